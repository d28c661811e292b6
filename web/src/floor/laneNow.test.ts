/** @jest-environment jsdom */
import { RouterLinkStub, mount } from '@vue/test-utils';
import type { Board, Lane, Presently } from '@wergon/core/floor';
import { DEFAULT_POLICY } from '@wergon/core/ledger';
import { createZone, dated, toInstant, toSeconds } from '@wergon/core/time';
import { withAlwaysIncluded } from '@wergon/core/work';
import { signIn } from '../kit/desk.fixture.ts';
import LaneNow from './LaneNow.vue';

const zone = createZone('Europe/Oslo');
if (!zone.ok) throw new Error('zone');
const NOW = toInstant(1_772_431_200);
const HOUR = 3600;

/** A shop with one order of a task of ten hours, of which some are used. */
const boardOf = (used: number, warnAt = 80) =>
  ({
    facts: {
      zone: zone.value,
      policy: dated({ ...DEFAULT_POLICY, warnAt }),
      targets: new Map(),
      costRates: new Map(),
    },
    technicians: new Map(),
    orders: new Map([
      [
        'o1',
        { id: 'o1', number: '5001', customer: 'Aker', state: 'released', includes: withAlwaysIncluded([]) },
      ],
    ]),
    targets: new Map<string, unknown>([
      [
        't1',
        {
          kind: 'task',
          id: 't1',
          title: 'Winding',
          order: 'o1',
          estimatedSeconds: toSeconds(10 * HOUR),
          used: { run: toSeconds(used) },
          isFinished: false,
        },
      ],
      ['clean', { kind: 'activity', id: 'clean', title: 'Cleaning' }],
    ]),
  }) as unknown as Board;

const laneOf = (presently: Presently, targets: readonly string[], more: object = {}) =>
  ({
    technician: {
      id: 'ada',
      name: 'Ada',
      state: {
        shift: null,
        doing:
          targets.length > 0
            ? { status: 'work', since: NOW, running: targets.map((target) => ({ target, workType: 'run' })) }
            : { status: 'nothing' },
      },
    },
    presently,
    since: toInstant(NOW - HOUR),
    blocks: [],
    enteredSeconds: 0,
    ...more,
  }) as unknown as Lane;

function open(lane: Lane, { used = 0, warnAt = 80, isToday = true, made = '', doing = '' } = {}) {
  signIn();
  const page = mount(LaneNow, {
    props: {
      lane,
      board: boardOf(used, warnAt),
      now: NOW,
      isToday,
      more: { unit: () => 'Pump motor', pieces: () => made, doing: () => doing, stages: () => [] },
      person: undefined,
      pointed: null,
    },
    global: { stubs: { RouterLink: RouterLinkStub } },
  });
  return { page, text: () => page.text().replace(/\s+/g, ' ') };
}

test.each<[presently: Presently, targets: readonly string[], words: string]>([
  ['work', ['t1'], '5001 Winding'],
  ['work', ['t1', 'clean'], '5001 Winding + 1'],
  ['indirect', ['clean'], 'Cleaning'],
  ['break', [], 'On a break'],
  ['nothing', [], 'No task since'],
])('somebody who is on %s, with %j running: “%s”', (presently, targets, words) => {
  expect(open(laneOf(presently, targets)).text()).toContain(words);
});

test('a task leads to its order, says for whom and on what, and points at it in every lane', async () => {
  const { page, text } = open(laneOf('work', ['t1']));
  expect(text()).toContain('Aker · Pump motor');
  await page.getComponent(RouterLinkStub).trigger('focus');
  expect(page.emitted('update:pointed')).toEqual([['o1']]);
});

test.each<[used: number, warnAt: number, words: string, why: string]>([
  [8 * HOUR, 80, 'near its estimate', 'at the share'],
  [8 * HOUR - 1, 80, '', 'a second before it'],
  [8 * HOUR, 85, '', 'where the shop hears of it later'],
  [10 * HOUR, 80, '', 'used up is no longer near, and not past it yet'],
  [11 * HOUR, 80, 'past its estimate', 'past it'],
])('%i s used of ten hours, from %i %%: “%s” (%s)', (used, warnAt, words) => {
  const { page } = open(laneOf('work', ['t1']), { used, warnAt });
  expect(page.find('.low').exists() ? page.get('.low').text() : '').toBe(words);
});

test('a day gone by says what it was charged with, and nothing of what runs now', () => {
  const { page, text } = open(laneOf('work', ['t1'], { enteredSeconds: toSeconds(2 * HOUR) }), {
    used: 9 * HOUR,
    isToday: false,
  });
  expect(text()).toContain('2:00');
  expect(text()).not.toContain('near its estimate');
  expect(text()).not.toContain('Aker');
  expect(page.findAllComponents(RouterLinkStub)).toHaveLength(0);
});

test('who signed out and runs on is said so, and so is what was written down', () => {
  const lane = laneOf('work', ['t1'], { signedOutAt: NOW, enteredSeconds: toSeconds(HOUR) });
  const { page, text } = open(lane);
  expect(page.get('.signed-out').text()).toContain('signed out');
  expect(text()).toContain('1:00');
});

test('the machine, the reason and the pieces stand with it, today alone', () => {
  const more = { made: '12 of 24 pieces', doing: 'Long lathe, Tool broken' };
  const said = 'Long lathe, Tool broken · 12 of 24 pieces · Aker · Pump motor';
  expect(open(laneOf('work', ['t1']), more).text()).toContain(said);
  expect(open(laneOf('indirect', ['clean']), more).text()).toContain('Long lathe, Tool broken');
  expect(open(laneOf('work', ['t1']), { ...more, isToday: false }).text()).not.toContain('Long lathe');
});
