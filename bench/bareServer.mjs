import { createRequire } from 'node:module';
import { mkdtempSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';

// The least a server could do: each entry one insert, one commit, on the same driver with the same durability.
const require = createRequire(new URL('../server/package.json', import.meta.url));
const express = require('express');
const Database = createRequire(require.resolve('@mikro-orm/libsql'))('libsql');
const database = new Database(join(mkdtempSync(join(tmpdir(), 'wergon-bare-')), 'bare.sqlite'));
database.exec('pragma journal_mode = WAL');
database.exec('pragma synchronous = FULL');
database.exec('create table entry (seq integer primary key, id text unique, body text)');
const insert = database.prepare('insert into entry (id, body) values (?, ?)');
const app = express();
app.post('/', express.json(), (req, res) => {
  for (const { entry } of req.body.entries) insert.run(entry.id, JSON.stringify(entry));
  res.json({ ok: true });
});
const listening = app.listen(0, '127.0.0.1', () =>
  process.stdout.write(`Wergon listens at http://127.0.0.1:${listening.address().port}\n`),
);
