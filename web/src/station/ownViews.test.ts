/** @jest-environment jsdom */
import { enableAutoUnmount, flushPromises, mount } from '@vue/test-utils';
import { h, ref, shallowRef } from 'vue';
import { targetId } from '@wergon/contract/wire';
import { DEFAULT_STATION_SETTINGS, IDLE } from '@wergon/core/station';
import type { StationDirectory, StationSettings } from '@wergon/core/station';
import OwnPhoneView from './OwnPhoneView.vue';
import type { OwnProof, Proving } from './ownProof.ts';
import { offerPhone, writeDown } from './stationApi.ts';
import type { Station } from './useStation.ts';
import { provideWords } from './useWords.ts';
import WriteDownView from './WriteDownView.vue';

jest.mock('./stationApi.ts', () => ({ offerPhone: jest.fn(), writeDown: jest.fn() }));
jest.mock('bwip-js/browser', () => ({ __esModule: true, default: { toCanvas: jest.fn() } }));
enableAutoUnmount(afterEach);
// What a browser has of its own.
Object.defineProperty(globalThis, 'crypto', { value: { randomUUID: () => 'once' }, configurable: true });

const offered = jest.mocked(offerPhone);
const written = jest.mocked(writeDown);
beforeEach(() => {
  offered.mockReset();
  written.mockReset();
});
const ok = (value: unknown) => ({ kind: 'ok', value, time: null }) as never;
const refused = (status: number) => ({ kind: 'refused', status }) as never;

const CENTERS = ['Winding', 'Assembly'];
const directory = {
  technicians: new Map([['ada', { id: 'ada', name: 'Ada' }]]),
  people: new Map(),
  resources: new Map(CENTERS.map((name) => [name, { kind: 'work-center', name }])),
} as unknown as StationDirectory;

function open(view: () => ReturnType<typeof h>) {
  const station = {
    state: shallowRef(IDLE),
    directory: shallowRef(directory),
    settings: ref(DEFAULT_STATION_SETTINGS),
  } as unknown as Station;
  return mount({
    setup() {
      provideWords(station);
      return view;
    },
  });
}

describe('a phone of one’s own', () => {
  const openPhone = async (proving: Proving, hasPin = false, checked: Proving = proving) => {
    const ownProof = {
      prove: () => Promise.resolve(proving),
      checkPin: () => Promise.resolve(checked),
    } as unknown as OwnProof;
    const page = open(() => h(OwnPhoneView, { technician: 'ada' as never, hasPin, ownProof }));
    await flushPromises();
    return page;
  };
  const PROVED = { kind: 'proved', proof: 'p' } as Proving;

  test('whoever has shown their badge gets the code at once', async () => {
    offered.mockResolvedValue(ok({ id: 's', code: 'ABC123', expiresAt: 0 }));
    const page = await openPhone(PROVED);
    expect(page.get('.code').text()).toBe('ABC123');
    expect(page.find('canvas').exists()).toBe(true);
    expect(offered).toHaveBeenCalledWith('ada', 'p');
  });

  test.each<[proving: string, hasPin: boolean, words: string]>([
    ['nothing', false, 'Scan your badge first: it says that the phone is yours.'],
    ['nothing', true, 'Your PIN'],
    ['wrong', true, 'That PIN is not right.'],
    ['wait', true, 'Too many wrong PINs.'],
    ['unreachable', false, 'The server does not answer.'],
  ])('with %s shown, and a PIN %j, it says so: %s', async (kind, hasPin, words) => {
    const page = await openPhone({ kind } as Proving, hasPin);
    expect(page.text()).toContain(words);
    expect(page.find('.code').exists()).toBe(false);
    expect(offered).not.toHaveBeenCalled();
  });

  test('a PIN that is right brings the code, and stands in no field any more', async () => {
    offered.mockResolvedValue(ok({ id: 's', code: 'ABC123', expiresAt: 0 }));
    const page = await openPhone({ kind: 'nothing' } as Proving, true, PROVED);
    await page.get('input').setValue('4711');
    await page.get('form').trigger('submit');
    await flushPromises();
    expect(page.get('.code').text()).toBe('ABC123');
    expect(page.find('input').exists()).toBe(false);
  });

  test.each([
    [409, 'This shop uses no phones of one’s own.'],
    [422, 'Scan your badge first'],
  ])('what the server refuses with %i is said: %s', async (status, words) => {
    offered.mockResolvedValue(refused(status));
    expect((await openPhone(PROVED)).text()).toContain(words);
  });
});

describe('work that is not on the list', () => {
  const openWrite = (settings: Partial<StationSettings> = {}) => {
    const said: string[] = [];
    const page = open(() =>
      h(WriteDownView, {
        technician: 'ada' as never,
        directory,
        settings: { ...DEFAULT_STATION_SETTINGS, ...settings },
        onWritten: (target: string) => said.push(target),
      }),
    );
    const send = async () => {
      await page.get('form').trigger('submit');
      await flushPromises();
    };
    return { page, said, send };
  };

  test('it needs words, and may say where and of which order; then it is begun', async () => {
    written.mockResolvedValue(ok({ target: targetId.parse('w9') }));
    const { page, said, send } = openWrite();
    await send();
    expect(written).not.toHaveBeenCalled();
    const [words, order] = page.findAll('input');
    await words?.setValue(' Weld the bracket ');
    await order?.setValue(' 24117 ');
    await page
      .findAll('fieldset button')
      .find((each) => each.text() === 'Winding')
      ?.trigger('click');
    await send();
    expect(written).toHaveBeenCalledWith({
      technician: 'ada',
      order: '24117',
      words: 'Weld the bracket',
      workCenter: 'Winding',
      once: 'once',
    });
    expect(said).toEqual(['w9']);
  });

  test('at a station of one work center nobody is asked where', () => {
    expect(
      openWrite({ workCenters: ['Winding'] })
        .page.find('fieldset')
        .exists(),
    ).toBe(false);
  });

  test.each<[answer: never, words: string]>([
    [{ kind: 'unreachable' } as never, 'The server does not answer.'],
    [refused(422), 'This order is not released.'],
    [refused(403), 'This cannot be written down here.'],
  ])('%#: nothing begins, and it says why', async (answer, words) => {
    written.mockResolvedValue(answer);
    const { page, said, send } = openWrite();
    await page.get('input').setValue('Weld');
    await send();
    expect([page.get('[role=alert]').text().startsWith(words), said]).toEqual([true, []]);
  });
});
