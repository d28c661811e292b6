import { UnreadableAnswer } from '@wergon/contract/routes';
import { CallFailed, callRoute, clockOffsetMs, forgetAnswers, sayRefusal, wordsOf } from './callRoute.ts';

const asked: { url: string; init: RequestInit | undefined }[] = [];
let respond: () => Response;
beforeEach(() => {
  asked.length = 0;
  respond = () => new Response('null', { status: 200 });
  globalThis.fetch = (input, init) => {
    // The pages call with text alone.
    asked.push({ url: input as string, init });
    return Promise.resolve().then(() => respond());
  };
});
const refuse = (status: number, problem: unknown) => () => new Response(JSON.stringify(problem), { status });
const drop = () => callRoute('dropDraft', { params: { draft: 'd' } });
const failure = async () => callRoute('rail').catch((error: unknown) => error);

test('a route is called by its method and path, with what stands in it made safe', async () => {
  await callRoute('dropDraft', { params: { draft: 'a/b ?' } });
  await callRoute('week', { query: { technician: 't 1', day: '2026-03-02' } }).catch(() => undefined);
  expect(asked.map(({ url, init }) => `${init?.method ?? ''} ${url}`)).toEqual([
    'POST /api/reconcile/drafts/a%2Fb%20%3F/drop',
    'GET /api/reconcile/week?technician=t+1&day=2026-03-02',
  ]);
});

test('the clock of the server is measured at every answer that tells it', async () => {
  respond = () => new Response('null', { headers: { 'wergon-now': String(Date.now() + 60_000) } });
  await drop();
  expect(Math.abs(clockOffsetMs.value - 60_000)).toBeLessThan(5_000);
  const before = clockOffsetMs.value;
  respond = () => new Response('null');
  await drop();
  expect(clockOffsetMs.value).toBe(before);
});

test.each<[told: () => Response, words: string, sentence: string, why: string]>([
  [
    refuse(409, {
      type: 'urn:wergon:reconcile.changed',
      status: 409,
      title: 'This has changed meanwhile: look at it as it is now',
    }),
    'This has changed meanwhile: look at it as it is now',
    'This has changed meanwhile: look at it as it is now',
    'a “no” in its own words',
  ],
  [
    refuse(422, {
      type: 'urn:wergon:input.invalid',
      status: 422,
      title: 'Something is not right',
      errors: [{ field: 'rows[0].day', message: 'lies in the future' }],
    }),
    'rows[0].day: lies in the future',
    'Something in the input is not right: lies in the future',
    'with the field at fault',
  ],
  [
    () => {
      throw new TypeError('fetch failed');
    },
    'The server does not answer',
    'The server does not answer',
    'no answer at all',
  ],
  [
    () => new Response('<html>', { status: 502 }),
    'The server does not answer',
    'The server does not answer',
    'an answer of something in between',
  ],
])('%#: a failed call is said as “%s”', async (told, words, sentence) => {
  respond = told;
  const error = await failure();
  expect(error).toBeInstanceOf(CallFailed);
  expect([wordsOf(error), sayRefusal(error)]).toEqual([words, sentence]);
});

test('what was answered before is asked for with its mark, and not told again until somebody else signs in', async () => {
  const told = JSON.stringify({
    folder: null,
    isScheduled: false,
    isRunning: false,
    last: null,
    failed: null,
  });
  respond = () => new Response(told, { headers: { etag: 'W/"1"' } });
  const first = await callRoute('backups').catch((error: unknown) => error);
  respond = () => new Response(null, { status: 304 });
  expect(await callRoute('backups')).toEqual(first);
  forgetAnswers();
  respond = () => new Response(told, { headers: { etag: 'W/"1"' } });
  await callRoute('backups');
  const marks = asked.map(({ init }) => new Headers(init?.headers).get('if-none-match'));
  expect(marks).toEqual([null, 'W/"1"', null]);
});

test('an answer of another version than the page says to reload it', async () => {
  respond = () => new Response('{"looseEnds":"many"}');
  const error = await failure();
  expect(error).toBeInstanceOf(UnreadableAnswer);
  expect(wordsOf(error)).toContain('Reload the page');
});

test('what is no “no” of the server is called a fault of the page', () => {
  expect(wordsOf(new Error('undefined is not a function'))).toBe('Something went wrong on this page.');
});

test('a body that the contract refuses is not sent, and the answer is the server’s', async () => {
  const error = await callRoute('addTechnician', {
    body: { number: '7', name: '  ', department: '' },
  }).catch((each: unknown) => each);
  expect(asked).toEqual([]);
  expect(error).toBeInstanceOf(CallFailed);
  expect((error as CallFailed).problem).toMatchObject({
    type: 'urn:wergon:input.invalid',
    status: 422,
    errors: [{ field: 'name' }],
  });
  await callRoute('addTechnician', { body: { number: '7', name: 'Ada', department: '' } }).catch(
    () => undefined,
  );
  expect(asked).toHaveLength(1);
});
