import type { LaborLine } from '@wergon/core/ledger';
import { sumCents } from '@wergon/core/money';
import type { TechnicianId } from '@wergon/core/people';
import { toSeconds } from '@wergon/core/time';
import type { ShopFacts } from '../catalog/index.ts';

/** A labor line as it may be told; of nobody in particular where it is of several who are not told of. */
export type ToldLine = Omit<LaborLine, 'technician'> & { readonly technician: TechnicianId | null };

/** Labor lines of one task with those of people of whom whoever asks is told nothing added up by day and work type: a job
 *  comes to the same for everybody who may see it. */
export function joinHidden({ hidden }: ShopFacts, lines: readonly LaborLine[]): ToldLine[] {
  if (!hidden) return [...lines];
  const joined = new Map<string, LaborLine[]>();
  for (const line of lines.filter(({ technician }) => hidden.has(technician))) {
    const key = `${line.day} ${line.workType}`;
    joined.set(key, [...(joined.get(key) ?? []), line]);
  }
  return [
    ...lines.filter(({ technician }) => !hidden.has(technician)),
    ...[...joined.values()].flatMap(addUp),
  ];
}

function addUp(lines: readonly LaborLine[]): ToldLine[] {
  const [first] = lines;
  const sum = (part: 'seconds' | 'measuredSeconds' | 'sharedSeconds' | 'enteredSeconds') =>
    toSeconds(lines.reduce((total, line) => total + line[part], 0));
  const isCosted = lines.some(({ cost }) => cost !== null);
  return first
    ? [
        {
          ...first,
          technician: null,
          seconds: sum('seconds'),
          measuredSeconds: sum('measuredSeconds'),
          sharedSeconds: sum('sharedSeconds'),
          enteredSeconds: sum('enteredSeconds'),
          cost: isCosted ? sumCents(lines) : null,
        },
      ]
    : [];
}
