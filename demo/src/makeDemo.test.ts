import { given } from '@wergon/core/result';
import { once } from 'node:events';
import { mkdtempSync } from 'node:fs';
import type { AddressInfo } from 'node:net';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { pino } from 'pino';
import { LOOSE_END_KINDS } from '@wergon/core/ledger';
import type { LooseEndsJson } from '@wergon/contract/loose-ends';
import { createApp, createContext, openShop } from '@wergon/server/app';
import { createSetClock } from '@wergon/server/http';
import type { Context } from '@wergon/server/app';
import { readSql } from '@wergon/server/db';
import { rebuild, verifyChain } from '@wergon/server/ledger';
import { OPENS_AT, makeDemo } from './makeDemo.ts';
import { DEMO_USERS } from './setUpShop.ts';

let context: Context;
beforeAll(async () => {
  const path = join(mkdtempSync(join(tmpdir(), 'wergon-demo-')), 'demo.sqlite');
  await makeDemo(path, () => undefined);
  context = createContext(
    await openShop(path),
    createSetClock(Date.parse(OPENS_AT)),
    pino({ level: 'silent' }),
    true,
  );
});
afterAll(() => context.database.close());

test('the sample shop shows every kind of loose end, and gaps outside the planned time', async () => {
  const server = createApp(context, '/nowhere').listen(0, '127.0.0.1');
  await once(server, 'listening');
  const url = `http://127.0.0.1:${(server.address() as AddressInfo).port}`;
  const { userName, password } = given(DEMO_USERS[0]);
  const signedIn = await fetch(`${url}/api/sign-in`, {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify({ userName, password }),
  });
  const cookie = signedIn.headers.get('set-cookie') ?? '';
  const page = await fetch(`${url}/api/reconcile`, { headers: { cookie } });
  const { looseEnds } = (await page.json()) as LooseEndsJson;
  server.closeAllConnections();
  await new Promise((closed) => server.close(closed));
  expect([...new Set(looseEnds.map(({ kind }) => kind))].sort()).toEqual([...LOOSE_END_KINDS].sort());
  expect(looseEnds.some(({ isOutsidePlan }) => isOutsidePlan)).toBe(true);
  expect(looseEnds.some(({ proposed }) => proposed !== null)).toBe(true);
});

test('ten weeks derived from nothing give the rows that were kept, and their chain is whole', async () => {
  const dump = () =>
    readSql(context.database, (sql) =>
      Object.fromEntries(
        [
          ['effective_entry', 'id'],
          ['labor_state', 'technician, day'],
          ['stint', 'technician, from_at'],
          ['presence', 'kind, technician, from_at'],
          ['loose_end', 'kind, entry, from_at'],
          ['labor_line', 'technician, day, target, work_type'],
          ['task_mark', 'entry, target'],
          ['approval', 'kind, technician, shift_day'],
          ['pay_period', 'first_day'],
          ['closed_line', 'period, is_adjustment, technician, shift_day, day, target, work_type'],
        ].map(([table = '', order = '']) => [table, sql.all(`select * from "${table}" order by ${order}`)]),
      ),
    );
  const kept = await dump();
  expect(kept['labor_line']?.length).toBeGreaterThan(3_000);
  expect(kept['pay_period']).toHaveLength(4);
  await rebuild(context.database, await context.facts.get(), context.clock.now());
  expect(await dump()).toEqual(kept);
  expect(await verifyChain(context.database)).toMatchObject({ broken: undefined });
});
