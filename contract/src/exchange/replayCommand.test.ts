import { spawnSync } from 'node:child_process';
import { mkdtempSync, readFileSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join, resolve } from 'node:path';

const ROOT = resolve(__dirname, '../../..');
const CASE = resolve(ROOT, 'core/scenarios/01-plain-day');
const replay = (...args: readonly string[]) => {
  const { status, stdout, stderr } = spawnSync('node', ['scripts/replay.mjs', ...args], {
    cwd: ROOT,
    encoding: 'utf8',
  });
  return { status, stdout, problems: stderr.split('\n').filter((line) => line !== '') };
};

test('the command prints the result and nothing else', () => {
  const { status, stdout, problems } = replay(`${CASE}.json`);
  expect({ status, problems }).toEqual({ status: 0, problems: [] });
  expect(JSON.parse(stdout)).toEqual(JSON.parse(readFileSync(`${CASE}.result.json`, 'utf8')));
});

test('what is wrong with a document is said a line each, and nothing is printed', () => {
  const file = join(mkdtempSync(join(tmpdir(), 'wergon-replay-')), 'wrong.json');
  writeFileSync(
    file,
    JSON.stringify({ ...JSON.parse(readFileSync(`${CASE}.json`, 'utf8')), zone: 'Mars', color: 1 }),
  );
  const { status, stdout, problems } = replay(file);
  expect({ status, stdout }).toEqual({ status: 2, stdout: '' });
  expect(problems).toHaveLength(2);
  expect(problems.every((line) => /^(zone|color): ./.test(line))).toBe(true);
});

test.each([[[]], [['no-such-file.json']]])('%j: exit 2 with a word', (args) => {
  const { status, stdout, problems } = replay(...args);
  expect({ status, stdout }).toEqual({ status: 2, stdout: '' });
  expect(problems).toHaveLength(1);
});
