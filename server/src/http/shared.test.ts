import type { ReadAnswer } from './apart.ts';
import { createShared } from './shared.ts';

const answer = (text: string): ReadAnswer => ({ ok: true, json: text });

test('an answer is made once for everybody, until something changes', async () => {
  let version = 1;
  let made = 0;
  const shared = createShared(() => version);
  const ask = (key: string) => shared(key, () => Promise.resolve(answer(`${key} ${(made += 1)}`)));
  expect([await ask('a'), await ask('a'), await ask('b')]).toEqual(['a 1', 'a 1', 'b 2'].map(answer));
  version = 2;
  expect([await ask('a'), await ask('b')]).toEqual(['a 3', 'b 4'].map(answer));
});

test('what went wrong once is tried again', async () => {
  const shared = createShared(() => 1);
  await expect(shared('a', () => Promise.reject(new Error('disk')))).rejects.toThrow('disk');
  expect(await shared('a', () => Promise.resolve(answer('now')))).toEqual(answer('now'));
});

test('ever new questions do not fill the memory', async () => {
  let made = 0;
  const shared = createShared(() => 1);
  const ask = (key: string) => shared(key, () => Promise.resolve(answer(`${(made += 1)}`)));
  await ask('first');
  for (let i = 0; i < 1_000; i += 1) await ask(`/api/floor?day=2026-03-03&x=${i}`);
  // The first has been let go, or all thousand and one would be held.
  expect(await ask('first')).toEqual(answer('1002'));
});
