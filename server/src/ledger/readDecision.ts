import type { ClosedLine } from '@wergon/core/pay';
import { Defect } from '@wergon/core/result';
import { formatDay, formatInstant, parseDay, parseInstant } from '@wergon/core/time';
import type { LocalDay } from '@wergon/core/time';
import type { Decision } from './incoming.ts';

type Json = Readonly<Record<string, unknown>>;
const DAYS = ['day', 'firstDay', 'lastDay'] as const;

const writeLine = (line: ClosedLine): Json => ({
  ...line,
  day: formatDay(line.day),
  shiftDay: formatDay(line.shiftDay),
});

/** A decision as it stands in the journal: instants and days are text. */
export function writeDecisionBody(decision: Decision): Json {
  const body: Record<string, unknown> = { ...decision, at: formatInstant(decision.at) };
  for (const field of DAYS)
    if (typeof body[field] === 'number') body[field] = formatDay(body[field] as LocalDay);
  if (decision.type === 'close') {
    body['lines'] = decision.lines.map(writeLine);
    body['adjustments'] = decision.adjustments.map(writeLine);
    body['leftOut'] = decision.leftOut.map(({ technician, day }) => ({ technician, day: formatDay(day) }));
  }
  return body;
}

const readDay = (text: unknown): LocalDay => {
  const parsed = parseDay(String(text));
  if (!parsed.ok) throw new Defect(`stored day: ${String(text)}`);
  return parsed.value;
};

/** Reads a decision that the function above wrote. Throws `Defect` on anything else. */
export function readDecision(text: string): Decision {
  const body = JSON.parse(text) as Record<string, unknown>;
  const at = parseInstant(String(body['at']));
  if (!at.ok) throw new Defect(`stored instant: ${String(body['at'])}`);
  body['at'] = at.value;
  for (const field of DAYS) if (body[field] !== undefined) body[field] = readDay(body[field]);
  for (const field of ['lines', 'adjustments'])
    if (Array.isArray(body[field]))
      body[field] = (body[field] as Json[]).map((line) => ({
        ...line,
        day: readDay(line['day']),
        shiftDay: readDay(line['shiftDay']),
      }));
  // Periods that were closed before this was kept say nothing of it; every day of theirs is looked at.
  if (body['type'] === 'close')
    body['leftOut'] = ((body['leftOut'] ?? []) as Json[]).map((each) => ({
      ...each,
      day: readDay(each['day']),
    }));
  return body as unknown as Decision;
}
