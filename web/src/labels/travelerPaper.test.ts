import type { TravelerJson } from '@wergon/contract/labels';
import { parseDay, toSeconds } from '@wergon/core/time';
import { speak } from '../words/atDesk.ts';
import { travelerPaper } from './travelerPaper.ts';

const day = (text: string) => {
  const read = parseDay(text);
  if (!read.ok) throw new Error(text);
  return read.value;
};
const ORDER: TravelerJson = {
  number: '24105',
  title: 'Rewind',
  customer: 'Aker Dairy',
  quantity: 1,
  due: day('2026-12-01'),
  unit: 'Pump set, Tarn',
  item: '',
  notes: 'Handle with care',
  code: 'J1',
  printedOn: day('2026-11-24'),
  version: 3,
  tasks: [
    {
      position: 10,
      title: 'Winding',
      workCenter: 'Winding room',
      estimatedSeconds: toSeconds(5400),
      description: '',
      instructions: [
        { text: 'Tag the leads', hours: '0.5' },
        { text: 'Wind', hours: '' },
      ],
      codes: [{ workType: 'run', code: 'T1' }],
    },
  ],
};

afterEach(() => speak('en'));

test('a traveler says what the order is, and what each task takes', () => {
  const paper = travelerPaper(ORDER);
  expect(paper).toMatchObject({
    heading: 'Order 24105',
    facts: ['Aker Dairy, 1 piece', 'Due Tue 1 Dec 2026', 'Unit: Pump set, Tarn'],
    printed: 'Printed Tue 24 Nov 2026, version 3',
    tasks: [
      {
        detail: 'Winding room · 1:30 h estimated',
        instructions: ['Tag the leads (0.5 h)', 'Wind'],
        codes: [{ title: '', code: 'T1' }],
      },
    ],
  });
});

test('what is not known of it is not on it', () => {
  const bare = { ...ORDER, due: null, unit: '', quantity: 12, item: 'D-132' };
  const [task] = ORDER.tasks;
  const paper = travelerPaper({ ...bare, tasks: task ? [{ ...task, estimatedSeconds: null }] : [] });
  expect(paper.facts).toEqual(['Aker Dairy, 12 pieces', 'Item: D-132']);
  expect(paper.tasks[0]?.detail).toBe('Winding room');
});

test('codes of a task are told apart by their kind of work, where it has several', () => {
  const codes = [
    { workType: 'run' as const, code: 'T1' },
    { workType: 'setup' as const, code: 'K1' },
  ];
  const paper = travelerPaper({ ...ORDER, tasks: ORDER.tasks.map((task) => ({ ...task, codes })) });
  expect(paper.tasks[0]?.codes.map(({ title }) => title)).toEqual(['run', 'setup']);
});

test('it speaks the language of the page', async () => {
  await speak('de');
  const { heading, facts, words } = travelerPaper(ORDER);
  expect([heading, facts[0], words]).toEqual([
    'Auftrag 24105',
    'Aker Dairy, 1 Stück',
    { wholeOrder: 'ganzer Auftrag', page: 'Seite' },
  ]);
});
