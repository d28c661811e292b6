import type { StandardId } from '@wergon/core/work';
import { sampleId } from './ids.ts';
import type { EntityManager } from '@mikro-orm/libsql';
import { standardJobSchema, standardTaskSchema } from '@wergon/contract/work';
import type { Instant } from '@wergon/core/time';
import { jobBody, saveStandard, taskBody } from '@wergon/server/work';
import { DESCRIPTIONS, INSTRUCTIONS, INSTRUCTION_HOURS, MEASURED, OPTIONAL } from './sampleLists.ts';
import { JOBS } from './sampleShop.ts';
import type { Step } from './sampleShop.ts';

const slug = (text: string) => text.toLowerCase().replace(/\W+/g, '-');
const keyOf = (step: Step) => JSON.stringify(step);

/** A step as it is written in a standard or an order. */
export const stepFields = ({ title, department, grade, setup, run, perPiece }: Step) => {
  const measured = MEASURED[title];
  return {
    title,
    workCenter: department,
    grade,
    ...(setup === undefined ? {} : { setupHours: String(setup) }),
    ...(run === undefined ? {} : { runHours: String(run) }),
    ...(perPiece === undefined ? {} : { runHoursPerPiece: String(perPiece) }),
    description: DESCRIPTIONS[title] ?? '',
    instructions: (INSTRUCTIONS[title] ?? []).map((text, i) => {
      const hours = INSTRUCTION_HOURS[title]?.[i];
      return { text, ...(hours === undefined ? {} : { hours }) };
    }),
    reports: [
      ...(perPiece === undefined ? [] : [{ when: 'end' as const, kind: 'pieces' as const }]),
      ...(measured ? [{ when: 'done' as const, kind: 'value' as const, ...measured }] : []),
    ],
  };
};

/** Where the steps of the sample jobs come from: for each step its standard task. */
export type Origins = ReadonlyMap<string, string>;
export const originOf = (origins: Origins, job: string, step: Step) => ({
  job: `job-${slug(job)}`,
  jobVersion: 1,
  task: origins.get(keyOf(step)) ?? '',
  taskVersion: 1,
});

/** What a job is done to: `Rewind 90 kW pump motor` is about a `90 kW pump motor`. */
const subjectOf = (job: string): string => job.replace(/^(Rewind|Overhaul|Repair) /, '');

/** What a step is priced at, for each of its hours. */
const PRICE_OF_HOUR = 68;

/** Makes a standard of every step that the sample jobs have, and a standard job of each job. */
export async function enterStandards(em: EntityManager, by: string, at: Instant): Promise<Origins> {
  const origins = new Map<string, string>();
  const taken = new Map<string, number>();
  for (const [step, job] of JOBS.flatMap(({ steps, title }) => steps.map((each) => [each, title] as const))) {
    if (origins.has(keyOf(step))) continue;
    const count = (taken.get(step.title) ?? 0) + 1;
    taken.set(step.title, count);
    const id = sampleId<StandardId>(`std-${slug(step.title)}${count === 1 ? '' : `-${count}`}`);
    const title = count === 1 ? step.title : `${step.title}, ${subjectOf(job)}`;
    const { setup = 0, run = 0, perPiece = 0 } = step;
    const price = String(Math.round((setup + run + perPiece) * PRICE_OF_HOUR));
    const task = taskBody(
      standardTaskSchema.parse({
        ...stepFields(step),
        title,
        price,
      }),
    );
    await saveStandard(em, { id, kind: 'task', isOff: false, body: { task } }, by, at);
    origins.set(keyOf(step), id);
  }
  // Found on one type of unit alone, and done beside whatever else is done to it.
  const box = taskBody(
    standardTaskSchema.parse({
      title: 'Renew terminal box',
      workCenter: 'Assembly',
      grade: 'fitter',
      runHours: '1.5',
      price: '140',
      scope: { kind: 'unitType', name: 'Pump motor 90 kW' },
    }),
  );
  const boxId = sampleId<StandardId>('std-renew-terminal-box');
  await saveStandard(em, { id: boxId, kind: 'task', isOff: false, body: { task: box } }, by, at);
  for (const { title, steps } of JOBS) {
    const job = standardJobSchema.parse({
      title,
      scope: title.includes('pump motor')
        ? { kind: 'unitType', name: 'Pump motor 90 kW' }
        : title.includes('D-132')
          ? { kind: 'item', name: 'D-132' }
          : { kind: 'general' },
      steps: steps.map((step) => ({
        task: origins.get(keyOf(step)) ?? '',
        isRequired: !OPTIONAL.includes(step.title),
      })),
    });
    await saveStandard(
      em,
      {
        id: sampleId<StandardId>(`job-${slug(title)}`),
        kind: 'job',
        isOff: false,
        body: { job: jobBody(job) },
      },
      by,
      at,
    );
  }
  return origins;
}
