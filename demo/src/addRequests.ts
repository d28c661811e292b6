import { sampleId } from './ids.ts';
import type { EntryId } from '@wergon/core/ledger';
import { addDays, formatDay, formatInstant, toDay, toInstant } from '@wergon/core/time';
import type { Instant } from '@wergon/core/time';
import type { Context } from '@wergon/server/app';
import { deskAs, recordAt, stationAs } from './recordAt.ts';

/** What people asked for at stations today, and what the desk answered; minutes before the demo opens. */
const REQUESTS = [
  {
    technician: 't3',
    what: 'part',
    text: 'Slot paper, 0.3 mm',
    station: 'Winding 2',
    ago: 64,
    answer: { text: 'At the counter.', state: 'here', by: 'Mikko Rask', ago: 47 },
  },
  { technician: 't16', what: 'help', text: '', station: 'Balancing', ago: 9 },
  {
    technician: 't21',
    what: 'part',
    text: 'Bearing 6311',
    quantity: 2,
    why: 'The old ones are pitted',
    station: 'Assembly',
    ago: 22,
  },
  {
    technician: 't5',
    what: 'time-off',
    text: 'My sister’s wedding',
    leave: { kind: 'holiday', inDays: 20, days: 5 },
    station: 'Winding 2',
    ago: 41,
  },
  {
    technician: 't8',
    what: 'time-off',
    text: 'Dentist',
    leave: { kind: 'other', inDays: 6, days: 1, seconds: 9_000 },
    station: 'Balancing',
    ago: 118,
  },
  {
    technician: 't17',
    what: 'part',
    text: 'Terminal block',
    quantity: 1,
    why: '',
    station: 'Assembly',
    ago: 190,
    answer: { text: 'Comes on Thursday.', state: 'ordered', by: 'Mikko Rask', ago: 150 },
  },
] as const;

type Ahead = {
  readonly kind: string;
  readonly inDays: number;
  readonly days: number;
  readonly seconds?: number;
};
/** Days of time off that lie so far ahead, as a station sends them. */
function leaveFrom(opensAt: Instant, { kind, inDays, days, seconds }: Ahead) {
  const from = toDay(Math.floor(opensAt / 86_400) + inDays);
  const to = addDays(from, days - 1);
  return { kind, from: formatDay(from), to: formatDay(to), ...(seconds === undefined ? {} : { seconds }) };
}

/** Records the sample shop's requests as its stations and its desk would. */
export async function addRequests(
  context: Context,
  clock: { readonly set: (ms: number) => void },
  opensAt: Instant,
): Promise<void> {
  for (const [i, { technician, what, text, station, ago, ...more }] of REQUESTS.entries()) {
    const at = toInstant(opensAt - ago * 60);
    const id = sampleId<EntryId>(`request-${i + 1}`);
    clock.set(at * 1000);
    const { quantity, why } = { quantity: null, why: '', ...more };
    const leave = 'leave' in more ? { leave: leaveFrom(opensAt, more.leave) } : {};
    const made = { id, type: 'request', at: formatInstant(at), technician, what, target: null };
    const entry = { ...made, text, quantity, why, ...leave };
    await recordAt(context, stationAs(station), [entry], at);
    if (!('answer' in more)) continue;
    const answeredAt = toInstant(opensAt - more.answer.ago * 60);
    clock.set(answeredAt * 1000);
    const answerId = sampleId<EntryId>(`answer-${i + 1}`);
    const { by, text: words, state } = more.answer;
    const answer = {
      id: answerId,
      type: 'answer',
      at: answeredAt,
      request: id,
      text: words,
      state,
      by,
    } as const;
    const { id: mikko } = await deskAs(context, 'mikko');
    await context.journal.appendAll({ kind: 'desk', id: mikko }, [
      {
        kind: 'floor',
        id: answerId,
        body: { ...answer, at: formatInstant(answeredAt) },
        entry: answer,
        sent: { source: 'desk', via: [], action: answerId, deviceAt: answeredAt, clockOffset: 0 },
      },
    ]);
  }
  clock.set(opensAt * 1000);
}
