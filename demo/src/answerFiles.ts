import { existsSync, mkdirSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { SEPARATORS } from '@wergon/core/pay';
import { formatDay } from '@wergon/core/time';
import type { Context } from '@wergon/server/app';
import { readSql } from '@wergon/server/db';
import { loadUnanswered, wagesOn } from './addPayroll.ts';
import { payByFile, writeAnswer } from './simulatedPayroll.ts';

const EACH_MS = 2_000;

/** The simulated payroll beside the running demo: whenever a pay file is made it pays by it, and puts its answer into a folder
 *  from where it can be taken over. Gives what ends it. */
export function answerFiles(
  { database, facts }: Pick<Context, 'database' | 'facts'>,
  folder: string,
  say: (text: string) => void,
): () => void {
  const answer = async () => {
    const known = await facts.get();
    for (const { text, separator, period } of await readSql(database, loadUnanswered)) {
      const answered = writeAnswer(
        payByFile(text, SEPARATORS[separator], formatDay(period), wagesOn(known, period)),
      );
      const path = join(folder, `paid-${formatDay(period)}.csv`);
      if (existsSync(path)) continue;
      mkdirSync(folder, { recursive: true });
      writeFileSync(path, answered);
      say(`Payroll   has paid the period from ${formatDay(period)}; its answer is in ${path}`);
    }
  };
  let next: NodeJS.Timeout | undefined;
  let isOver = false;
  const again = () => {
    void answer()
      .catch((error: unknown) => say(`Payroll   cannot answer: ${String(error)}`))
      .finally(() => {
        if (!isOver) next = setTimeout(again, EACH_MS).unref();
      });
  };
  again();
  return () => {
    isOver = true;
    clearTimeout(next);
  };
}
