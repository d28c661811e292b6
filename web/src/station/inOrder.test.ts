import { inOrder } from './inOrder.ts';

/** Answers are made ready when told to, and known once they are taken. */
function create() {
  const taken: number[] = [];
  const waiting = new Map<number, () => void>();
  const takeIn = inOrder<{ seq: number }, undefined>(
    () => taken.at(-1) ?? 0,
    ({ seq }) => new Promise((done) => waiting.set(seq, () => done(undefined))),
    ({ seq }) => void taken.push(seq),
  );
  return { taken, takeIn: (seq: number) => takeIn({ seq }), ready: (seq: number) => waiting.get(seq)?.() };
}

test.each([
  ['as they came', [1, 2], [1, 2]],
  ['the later one first', [2, 1], [2]],
])(
  'of two answers on their way, ready %s, the last that is taken is the newest',
  async (_how, order, taken) => {
    const created = create();
    const both = [created.takeIn(1), created.takeIn(2)];
    for (const seq of order) {
      created.ready(seq);
      await new Promise((done) => setImmediate(done));
    }
    await Promise.all(both);
    expect(created.taken).toEqual(taken);
  },
);

test('an answer older than what is known is not even made ready', async () => {
  const created = create();
  const first = created.takeIn(5);
  created.ready(5);
  await first;
  await created.takeIn(4);
  expect(created.taken).toEqual([5]);
});
