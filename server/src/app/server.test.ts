import { copyFileSync, mkdtempSync } from 'node:fs';
import { connect } from 'node:net';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { readConfig } from './config.ts';
import { startServer } from './server.ts';

test('the server stops although a browser holds a connection on which it has asked for nothing', async () => {
  const database = join(mkdtempSync(join(tmpdir(), 'wergon-')), 'shop.sqlite');
  const env = { WERGON_DATABASE: database, WERGON_PORT: '0', WERGON_LOG: 'silent', WERGON_BACKUPS: 'off' };
  const server = await startServer(readConfig(env, '/'));
  const socket = connect(Number(new URL(server.address).port), '127.0.0.1');
  await new Promise((open) => socket.once('connect', open));
  expect((await fetch(`${server.address}/api/start`)).status).toBe(200);
  const closed = new Promise((done) => socket.once('close', done));
  await server.stop();
  await closed;
  await expect(fetch(`${server.address}/api/start`)).rejects.toThrow();
});

test('after a stop the database’s file is whole by itself, with nothing left in the log beside it', async () => {
  const database = join(mkdtempSync(join(tmpdir(), 'wergon-')), 'shop.sqlite');
  const env = { WERGON_PORT: '0', WERGON_LOG: 'silent', WERGON_BACKUPS: 'off' };
  const startOn = (path: string) => startServer(readConfig({ ...env, WERGON_DATABASE: path }, '/'));
  const server = await startOn(database);
  const shop = { shopName: 'Kept', zone: 'Europe/Oslo', currency: 'EUR' };
  const user = { name: 'Sol', userName: 'sol', password: 'long enough' };
  const { status } = await fetch(`${server.address}/api/first-run`, {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify({ ...shop, ...user }),
  });
  expect(status).toBe(200);
  await server.stop();
  const copy = `${database}.copy`;
  copyFileSync(database, copy);
  const again = await startOn(copy);
  const told = (await (await fetch(`${again.address}/api/start`)).json()) as { needsFirstRun: boolean };
  await again.stop();
  expect(told.needsFirstRun).toBe(false);
});
