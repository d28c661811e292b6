import { createHash } from 'node:crypto';
import { readFileSync, readdirSync } from 'node:fs';
import { join } from 'node:path';
import { MIGRATIONS } from './migrate.ts';

const folder = 'server/src/db/migrations';
const sumOf = (name: string) =>
  createHash('sha256')
    .update(readFileSync(join(folder, `${name}.ts`), 'utf8'))
    .digest('hex')
    .slice(0, 12);

/** Every migration that some shop may have run, by what its file says. One that is changed afterwards is not run there again:
 *  what it lacks belongs into a new one, which is put here when it goes out. */
const RUN: readonly (readonly [name: string, sum: string])[] = [
  ['Migration20261123FirstSchema', 'd84815ee3eeb'],
  ['Migration20261124PrepareWork', '4175e9f72719'],
  ['Migration20261125StationInDepth', '84e1f9c9378f'],
  ['Migration20261126Reconcile', '729e02aaa1a3'],
  ['Migration20261127UnsettledDays', '2b5150ff38b4'],
  ['Migration20261128Hardened', 'fd571d83cdbe'],
  ['Migration20261129NamedTargets', 'e9e804f5c0f2'],
  ['Migration20261130Rules', 'b501ba9b723b'],
  ['Migration20261130Phones', '051965f31e12'],
  ['Migration20261130Offers', 'a0dd0cbc9a4c'],
  ['Migration20261130Written', 'c46125b4ea1a'],
  ['Migration20261130Activities', 'f24986e455a7'],
  ['Migration20261130HoursStyle', '311aa92f45e6'],
  ['Migration20261130Roles', '029ba1f25e4f'],
  ['Migration20261130Descriptions', 'b05d15d64949'],
  ['Migration20261130Parts', 'ab8f7636fcb6'],
  ['Migration20261130CustomerNotes', 'c3bda35f05c8'],
  ['Migration20261130Recurring', 'f7f74b636e4a'],
  ['Migration20261130SetCosts', 'e1f9d744b7dd'],
  ['Migration20261130Sight', 'e855c7406f24'],
  ['Migration20261201Compare', 'ffa73c87f19a'],
  ['Migration20261202FinishedJobs', 'c4bbb0d44a58'],
  ['Migration20261203Overtime', '5792a5a31f8f'],
  ['Migration20261204PayFile', '48e660f67c00'],
  ['Migration20261205TimeOff', '5b58704f2579'],
];

test.each(RUN)('%s is as shops have run it', (name, sum) => expect([name, sumOf(name)]).toEqual([name, sum]));

test('every migration stands here, and in the order in which they are run', () => {
  expect(MIGRATIONS.map(({ name }) => name).sort()).toEqual(RUN.map(([name]) => name).sort());
  expect(readdirSync(folder).sort()).toEqual(RUN.map(([name]) => `${name}.ts`).sort());
});
