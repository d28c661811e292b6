import { fetchBench, fetchDirectory } from './stationApi.ts';

afterEach(() => jest.restoreAllMocks());

test('the time of an answer does not depend on the device’s clock, were it moved meanwhile', async () => {
  let running = 1_000;
  jest.spyOn(performance, 'now').mockImplementation(() => running);
  const clock = jest.spyOn(Date, 'now').mockReturnValue(5_000_000);
  jest.spyOn(globalThis, 'fetch').mockImplementation(() => {
    running += 200;
    clock.mockReturnValue(0);
    const headers = { 'wergon-now': '77000' };
    return Promise.resolve(new Response(JSON.stringify({ badges: [] }), { status: 200, headers }));
  });
  expect(await fetchBench()).toMatchObject({ kind: 'ok', time: { ms: 77_000, at: 1_100 } });
});

test('a server of another version is as good as none', async () => {
  jest.spyOn(globalThis, 'fetch').mockResolvedValue(new Response('{"badges":3}', { status: 200 }));
  expect(await fetchBench()).toEqual({ kind: 'unreachable' });
});

test('a server that is not there, or says no, says no time', async () => {
  const fetch = jest.spyOn(globalThis, 'fetch').mockRejectedValue(new TypeError('no network'));
  expect(await fetchDirectory()).toEqual({ kind: 'unreachable' });
  fetch.mockResolvedValue(new Response(null, { status: 401 }));
  expect(await fetchDirectory()).toEqual({ kind: 'refused', status: 401 });
});
