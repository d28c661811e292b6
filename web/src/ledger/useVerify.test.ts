import { CallFailed, server } from '../kit/fakeServer.fixture.ts';
import { useVerify } from './useVerify.ts';

jest.mock('../kit/callRoute.ts', () => jest.requireActual('../kit/fakeServer.fixture.ts'));

type Asked = { readonly after: number; readonly hash: string };
/** A chain of so many entries, told in parts; broken at one of them, if one is named. */
const chain = (total: number, broken: number | null = null) => {
  server.calls = [];
  server.answer = ({ options }) => {
    const { after } = options?.['body'] as Asked;
    const count = Math.min(after + 1000, total);
    return broken !== null && broken <= count
      ? { count: broken - 1, total, hash: '', broken }
      : { count, total, hash: `h${count}`, broken: null };
  };
};

test.each<[total: number, broken: number | null, status: string, words: string]>([
  [0, null, 'whole', 'The chain of 0 entries holds. Its head: h0'],
  [900, null, 'whole', 'The chain of 900 entries holds. Its head: h900'],
  [2500, null, 'whole', 'The chain of 2500 entries holds. Its head: h2500'],
  [2500, 1234, 'broken', 'The chain breaks at entry 1234; the 1233 before it hold.'],
])('of %i entries, broken at %s: %s', async (total, broken, status, words) => {
  chain(total, broken);
  const { state, verify } = useVerify();
  await verify();
  expect([state.status, state.words]).toEqual([status, words]);
});

test('each part goes on where the one before it ended, with its hash', async () => {
  chain(2500);
  await useVerify().verify();
  expect(server.calls.map(({ options }) => options?.['body'])).toEqual([
    { after: 0, hash: '' },
    { after: 1000, hash: 'h1000' },
    { after: 2000, hash: 'h2000' },
    { after: 2500, hash: 'h2500' },
  ]);
});

test('whoever stops it is told how far it held', async () => {
  chain(100_000);
  const { state, verify, cancel } = useVerify();
  const answer = server.answer;
  server.answer = (call) => {
    if (server.calls.length === 3) cancel();
    return answer(call);
  };
  await verify();
  expect([state.status, state.words]).toEqual(['idle', 'Stopped after 3000 entries; they hold.']);
});

test('a server that is gone is said, and the chain is not called whole', async () => {
  server.answer = () => {
    throw new CallFailed(null);
  };
  const { state, verify } = useVerify();
  await verify();
  expect([state.status, state.words]).toEqual(['idle', 'The server does not answer']);
});
