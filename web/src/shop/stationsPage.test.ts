/** @jest-environment jsdom */
import { enableAutoUnmount, flushPromises } from '@vue/test-utils';
import { toInstant } from '@wergon/core/time';
import { signIn } from '../kit/desk.fixture.ts';
import { CallFailed, server } from '../kit/fakeServer.fixture.ts';
import { openPage } from '../kit/page.fixture.ts';
import StationsPage from './StationsPage.vue';

jest.mock('../kit/callRoute.ts', () => ({
  ...jest.requireActual<object>('../kit/callRoute.ts'),
  ...jest.requireActual<object>('../kit/fakeServer.fixture.ts'),
}));
enableAutoUnmount(afterEach);

const AT = toInstant(1_772_431_200);
const station = (id: string, name: string, more: object = {}) => ({
  id,
  name,
  pairedAt: AT,
  isRevoked: false,
  calibratedAt: null,
  lastScanAt: AT,
  owner: null,
  settings: { kind: 'labor' },
  ...more,
});

async function open(stations: object[], ...rights: Parameters<typeof signIn>) {
  signIn(...rights);
  server.calls = [];
  server.answer = ({ name }) => {
    if (name === 'stations') return { stations };
    if (name === 'notices') return { notices: [] };
    if (name === 'addStation') return { id: 's9', code: 'WX3K' };
    return name === 'pairAgain' ? { id: 's1', code: 'QT7P' } : null;
  };
  return openPage(StationsPage);
}

test.each([
  [{}, 'paired', ['Pair a device', 'Revoke']],
  [{ isRevoked: true }, 'revoked', ['Pair a device']],
  [{ pairedAt: null, lastScanAt: null }, 'none yet', ['Pair a device']],
])('a station that is %j is said to be %s', async (more, device, acts) => {
  const { page, cells } = await open([station('s1', 'Winding', more)], 'shop.change');
  expect(cells()[0]?.[2]).toBe(device);
  expect(page.findAll('tbody tr td:last-child button').map((each) => each.text())).toEqual(acts);
});

test('a phone of somebody’s own is told from a station of the shop', async () => {
  const { cells } = await open([station('s1', 'Winding'), station('s2', 'Ada ☎', { owner: 'ada' })]);
  expect(cells().map((row) => row[1])).toEqual(['labor', 'phone of one’s own']);
});

test('what was never scanned is said to be so, and seen', async () => {
  const { page, cells } = await open([station('s1', 'Winding', { lastScanAt: null })]);
  expect(cells()[0]?.slice(3, 5)).toEqual(['never', 'never']);
  expect(page.findAll('td.attention')).toHaveLength(1);
  expect(page.findAll('tbody button')).toHaveLength(0);
});

test('headings put stations in the order of their last scan, those without one at the end', async () => {
  const { page, cells, press } = await open([
    station('s1', 'Winding', { lastScanAt: null }),
    station('s2', 'Test'),
    station('s3', 'Gate', { lastScanAt: toInstant(AT + 60) }),
  ]);
  const names = () => cells().map((row) => row[0]);
  await press('Last scan');
  const first = names();
  await page
    .findAll('thead button')
    .find((each) => each.text().startsWith('Last scan'))
    ?.trigger('click');
  expect([first, names()].map((each) => each.join())).toEqual(['Gate,Test,Winding', 'Test,Gate,Winding']);
});

test('a new station shows its pairing code; pairing again shows a new one', async () => {
  const { page, press } = await open([station('s1', 'Winding'), station('s9', 'Bench')], 'shop.change');
  await page.get('form input').setValue('Bench');
  await page.get('form').trigger('submit');
  await flushPromises();
  expect(page.findAll('.code').map((each) => each.text())).toEqual(['WX3K']);
  expect(page.get<HTMLInputElement>('form input').element.value).toBe('');
  await press('Pair a device');
  expect(page.findAll('.code').map((each) => each.text())).toEqual(['QT7P']);
});

test('a name that is taken is refused in words, and no code is shown', async () => {
  const { page } = await open([station('s1', 'Winding')], 'shop.change');
  server.answer = () => {
    throw new CallFailed({ title: 'This is in use already' });
  };
  await page.get('form input').setValue('Winding');
  await page.get('form').trigger('submit');
  await flushPromises();
  expect(page.get('[role=alert]').text()).toBe('This is in use already');
  expect([page.findAll('.code').length, page.get<HTMLInputElement>('form input').element.value]).toEqual([
    0,
    'Winding',
  ]);
});
