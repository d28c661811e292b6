import fc from 'fast-check';
import { REQUEST_KINDS } from '@wergon/core/station';
import { entryId, targetId, technicianId } from '@wergon/contract/wire';
import { toInstant } from '@wergon/core/time';
import { stationEntry } from './entryJson.ts';

const made = { id: entryId.parse('e1'), at: toInstant(1_772_518_218) };
const ada = technicianId.parse('ada');
const task = targetId.parse('w1-10');

test.each<[entry: Parameters<typeof stationEntry.encode>[0], why: string]>([
  [{ ...made, type: 'shift-in', technician: ada }, 'a sign-in'],
  [{ ...made, type: 'work-start', technician: ada, targets: [task], workType: 'setup' }, 'a start'],
  [{ ...made, type: 'count', technician: ada, targets: [task], good: 3, scrap: 0 }, 'pieces'],
  [{ id: entryId.parse('c1'), type: 'void', target: made.id }, 'what is taken back'],
  [
    { ...made, type: 'unread-scan', text: '4006381333931', reason: 'code.unknown' },
    'a code that meant nothing',
  ],
  [
    {
      ...made,
      type: 'request',
      technician: ada,
      what: REQUEST_KINDS[0],
      target: null,
      text: 'slot paper',
      quantity: 2,
      why: '',
    },
    'a request',
  ],
  [
    { ...made, type: 'proposal', technician: ada, about: made.id, kind: 'forgotten-stop', ended: made.at },
    'a proposal',
  ],
])('%j crosses the wire and back: %s', (entry) => {
  const json = JSON.parse(JSON.stringify(stationEntry.encode(entry))) as unknown;
  expect(json).toMatchObject('at' in entry ? { at: '2026-03-03T06:10:18Z' } : { id: 'c1' });
  expect(stationEntry.parse(json)).toEqual(entry);
});

test('any instant is the same after it', () => {
  fc.assert(
    fc.property(fc.integer({ min: 0, max: 4_000_000_000 }), (seconds) => {
      const entry = { ...made, at: toInstant(seconds), type: 'break-start' as const, technician: ada };
      expect(stationEntry.parse(stationEntry.encode(entry))).toEqual(entry);
    }),
  );
});
