/** @jest-environment jsdom */
import { mount } from '@vue/test-utils';
import { h, ref, shallowRef } from 'vue';
import { AT_REST } from '@wergon/core/ledger';
import type { LaborState } from '@wergon/core/ledger';
import { targetId } from '@wergon/contract/wire';
import { DEFAULT_STATION_SETTINGS, IDLE } from '@wergon/core/station';
import type { HideableAct, PersonBrief } from '@wergon/core/station';
import { toInstant } from '@wergon/core/time';
import PersonActs from './PersonActs.vue';
import type { Station } from './useStation.ts';
import { provideWords } from './useWords.ts';

const at = toInstant(1_772_431_200);
const shift = { since: at };
const STATES = {
  out: AT_REST,
  in: { ...AT_REST, shift },
  work: {
    shift,
    doing: { status: 'work', since: at, running: [{ target: targetId.parse('a'), workType: 'run' }] },
  },
  travel: {
    shift,
    doing: { status: 'work', since: at, running: [{ target: targetId.parse('a'), workType: 'travel' }] },
  },
  break: { shift, doing: { status: 'break', since: at, suspended: [] } },
} as unknown as Readonly<Record<string, LaborState>>;
const LEAD: PersonBrief = {
  crew: 'Night',
  isLead: true,
  number: '',
  hasPin: false,
  language: null,
  lastAt: null,
  plannedEnd: null,
  messages: [],
  leave: [],
};

/** The buttons of somebody at a station that speaks English. */
const open = (
  state: string,
  hidden: readonly HideableAct[] = [],
  person?: PersonBrief,
  more: {
    offersPhones?: boolean;
    writesDown?: 'nobody' | 'leads' | 'everybody';
    hasPapers?: boolean;
    goesOut?: boolean;
  } = {},
) => {
  const station = {
    state: shallowRef(IDLE),
    directory: shallowRef(null),
    settings: ref(DEFAULT_STATION_SETTINGS),
  } as unknown as Station;
  const page = mount({
    setup() {
      provideWords(station);
      const shop = {
        offersPhones: false,
        writesDown: 'nobody' as const,
        hasPapers: false,
        goesOut: false,
        ...more,
      };
      return () => h(PersonActs, { stands: STATES[state] ?? AT_REST, person, hidden, ...shop });
    },
  });
  return {
    acts: page.getComponent(PersonActs),
    words: () => page.findAll('button').map((each) => each.text()),
  };
};

test.each([
  [
    'out',
    [
      'Shift in',
      'Find a task',
      'Indirect',
      'Began earlier',
      'Need a part',
      'Need help',
      'Time off',
      'My time',
    ],
  ],
  [
    'in',
    [
      'Break',
      'Shift out',
      'Find a task',
      'Indirect',
      'Began earlier',
      'Need a part',
      'Need help',
      'Time off',
      'My time',
    ],
  ],
  [
    'break',
    [
      'Break over',
      'Shift out',
      'Find a task',
      'Indirect',
      'Began earlier',
      'Need a part',
      'Need help',
      'Time off',
      'My time',
    ],
  ],
])('somebody who is %s is offered what makes sense: %j', (state, words) => {
  expect(open(state).words()).toEqual(words);
});

test('what the shop does not use is not there, whatever somebody is on; how to end things always is', () => {
  const hidden: HideableAct[] = [
    'join',
    'break',
    'find',
    'earlier',
    'work-type',
    'note',
    'part',
    'help',
    'time-off',
    'own-time',
    'lead-crew',
  ];
  expect(open('work', hidden).words()).toEqual(['Off task', 'Done', 'Shift out', 'Indirect']);
  // A break that was begun by its label can be ended by touch.
  expect(open('break', hidden).words()).toEqual(['Break over', 'Shift out', 'Indirect']);
});

test('a lead has their crew beside their own, unless the shop has none', () => {
  expect(open('work', [], LEAD).words()).toContain('My crew');
  expect(open('work', ['lead-crew'], LEAD).words()).not.toContain('My crew');
});

test('a touch says what was wanted; one’s own time is shown, not recorded', async () => {
  const { acts } = open('work');
  const press = (words: string) =>
    acts
      .findAll('button')
      .find((each) => each.text() === words)
      ?.trigger('click');
  await press('Done');
  await press('My time');
  expect(acts.emitted()).toMatchObject({ act: [['done']], show: [['own-time']] });
});

test('a phone of one’s own is offered where the shop lets people have one', async () => {
  const { acts, words } = open('in', [], undefined, { offersPhones: true });
  expect(words().at(-1)).toBe('My phone');
  await acts.findAll('button').at(-1)?.trigger('click');
  expect(acts.emitted('show')).toEqual([['own-phone']]);
});

test.each([
  ['nobody', LEAD, false],
  ['leads', LEAD, true],
  ['leads', { ...LEAD, isLead: false }, false],
  ['everybody', { ...LEAD, isLead: false }, true],
] as const)('where %s write down what is not there, %j may: %j', (writesDown, person, may) => {
  expect(open('in', [], person, { writesDown }).words().includes('Not on the list')).toBe(may);
});

test('a kind of work, a note and the steps are there for whoever is on one task', () => {
  const more = ['Kind of work', 'Note', 'Steps and papers'];
  const offered = (state: string, hasPapers: boolean) =>
    open(state, [], undefined, { hasPapers })
      .words()
      .filter((each) => more.includes(each));
  expect(offered('work', true)).toEqual(more);
  expect(offered('work', false)).toEqual(['Kind of work', 'Note']);
  expect(offered('in', false)).toEqual([]);
});

test.each([
  ['in', true, 'On the way'],
  ['work', true, 'On the way'],
  ['travel', true, 'On site'],
  ['travel', false, 'Off task'],
] as const)('somebody who is %s, where people go out %j, is offered %s first', (state, goesOut, first) => {
  expect(open(state, [], undefined, { goesOut }).words()[0]).toBe(first);
});
