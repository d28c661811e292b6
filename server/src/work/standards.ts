import { newId } from '../db/index.ts';
import type { EntityManager } from '@mikro-orm/libsql';
import type {
  StandardJobFields,
  StandardJobJson,
  StandardTaskFields,
  StandardTaskJson,
} from '@wergon/contract/work';
import { formatCents, formatDecimal, toCents } from '@wergon/core/money';
import { ok } from '@wergon/core/result';
import { toInstant } from '@wergon/core/time';
import type { Instant } from '@wergon/core/time';
import { findChanges } from '@wergon/core/work';
import type { InWords, StandardId, StandardScope } from '@wergon/core/work';
import type { Context, Mount } from '../http/index.ts';
import { refuse } from '../http/index.ts';
import { GradeEntity } from '../people/index.ts';
import { ensureListItems } from '../shop/index.ts';
import { StandardEntity, StandardVersionEntity } from './entities.ts';
import type { Standard } from './entities.ts';
import { priceInCents, writeInstructions } from './orders.ts';

type Body = Standard['body'];

/** A standard task as it is kept: decimal strings as they were entered. */
export const taskBody = (task: StandardTaskFields): NonNullable<Body['task']> => {
  const { setupHours, runHours, runHoursPerPiece, instructions, price, ...rest } = task;
  const cents = priceInCents(price);
  return {
    ...rest,
    ...(setupHours ? { setupHours: formatDecimal(setupHours) } : {}),
    ...(runHours ? { runHours: formatDecimal(runHours) } : {}),
    ...(runHoursPerPiece ? { runHoursPerPiece: formatDecimal(runHoursPerPiece) } : {}),
    instructions: writeInstructions(instructions),
    price: cents === null ? null : formatCents(toCents(cents)),
  };
};

export const jobBody = ({ title, scope, steps }: StandardJobFields): NonNullable<Body['job']> => ({
  title,
  scope,
  steps,
});

type Saved = {
  readonly id: StandardId | null;
  readonly kind: Standard['kind'];
  readonly body: Body;
  readonly isOff: boolean;
};

/** Saves a standard as its next version, unless nothing of it changed. Orders keep the version they were made from. */
export async function saveStandard(
  em: EntityManager,
  saved: Saved,
  by: string,
  now: Instant,
): Promise<StandardId> {
  const before = saved.id === null ? null : await em.findOne(StandardEntity, { id: saved.id });
  const id = before?.id ?? saved.id ?? newId<StandardId>();
  const title = saved.body.task?.title ?? saved.body.job?.title ?? '';
  const isSame = before !== null && JSON.stringify(before.body) === JSON.stringify(saved.body);
  const version = (before?.version ?? 0) + (isSame ? 0 : 1);
  const columns = { title, version, isOff: saved.isOff, body: saved.body };
  if (before) await em.nativeUpdate(StandardEntity, { id }, columns);
  else await em.insert(StandardEntity, { id, kind: saved.kind, ...columns });
  if (!isSame)
    await em.insert(StandardVersionEntity, {
      standard: id,
      version,
      body: saved.body,
      savedAt: now,
      savedBy: by,
    });
  return id;
}

/** Routes of standards. */
export function mountStandards(mount: Mount, { database, clock, live }: Context): void {
  mount('standards', async () => {
    const em = database.em.fork();
    const standards = await em.findAll(StandardEntity, { orderBy: { title: 1 } });
    const versions = await em.findAll(StandardVersionEntity, { fields: ['savedAt', 'savedBy'] });
    const saves = new Map(versions.map((each) => [`${each.standard} ${each.version}`, each]));
    const kept = ({ id, version, isOff }: Standard) => {
      const save = saves.get(`${id} ${version}`);
      return {
        id,
        version,
        isOff,
        savedAt: save?.savedAt ?? toInstant(0),
        savedBy: save?.savedBy ?? '',
      };
    };
    const jobs = standards.flatMap((each): StandardJobJson[] =>
      each.body.job ? [{ ...kept(each), ...each.body.job }] : [],
    );
    const usedBy = (task: StandardId) =>
      jobs.filter(({ steps }) => steps.some((step) => step.task === task)).map(({ title }) => title);
    return ok({
      tasks: standards.flatMap((each): StandardTaskJson[] =>
        each.body.task ? [{ ...kept(each), ...each.body.task, usedBy: usedBy(each.id) }] : [],
      ),
      jobs,
    });
  });

  /** Why a standard cannot be saved as it is: it grew out of an old version, or its name is taken. */
  const findProblem = async (saved: Saved & { readonly version: number | null }) => {
    const em = database.em.fork();
    const before =
      saved.id === null ? null : await em.findOne(StandardEntity, { id: saved.id, kind: saved.kind });
    if (saved.id !== null && !before) return refuse('record.not_found');
    if (before && before.version !== saved.version) return refuse('record.changed');
    const title = saved.body.task?.title ?? saved.body.job?.title ?? '';
    const other = await em.findOne(StandardEntity, { kind: saved.kind, title });
    return other && other.id !== saved.id
      ? refuse('record.taken', [
          { field: `${saved.kind}.title`, message: 'there is a standard of this name' },
        ])
      : undefined;
  };

  mount('saveStandardTask', async ({ body, who }) => {
    const saved = { ...body, kind: 'task' as const, body: { task: taskBody(body.task) } };
    const problem = await findProblem(saved);
    if (problem) return problem;
    const em = database.em.fork();
    if (!(await em.findOne(GradeEntity, { id: body.task.grade })))
      return refuse('input.invalid', [{ field: 'task.grade', message: 'no such grade' }]);
    const id = await em.transactional(async (inner) => {
      await ensureListItems(inner, { 'work-center': [body.task.workCenter] });
      return saveStandard(inner, saved, who.user.name, clock.now());
    });
    live.publishSetup();
    return ok({ id });
  });

  mount('saveStandardJob', async ({ body, who }) => {
    const saved = { ...body, kind: 'job' as const, body: { job: jobBody(body.job) } };
    const problem = await findProblem(saved);
    if (problem) return problem;
    const em = database.em.fork();
    const known = new Set((await em.find(StandardEntity, { kind: 'task' })).map(({ id }) => id));
    const unknown = body.job.steps.findIndex(({ task }) => !known.has(task));
    if (unknown >= 0)
      return refuse('input.invalid', [
        { field: `job.steps[${unknown}].task`, message: 'no such standard task' },
      ]);
    const id = await em.transactional((inner) => saveStandard(inner, saved, who.user.name, clock.now()));
    live.publishSetup();
    return ok({ id });
  });

  mount('standardVersions', async ({ param }) => {
    const em = database.em.fork();
    const versions = await em.find(
      StandardVersionEntity,
      { standard: param('standard') },
      { orderBy: { version: 1 } },
    );
    if (versions.length === 0) return refuse('record.not_found');
    const tasks = await em.find(StandardEntity, { kind: 'task' });
    const titleOf = (id: string) => tasks.find((task) => task.id === id)?.title ?? id;
    const words = versions.map(({ body }) => standardInWords(body, titleOf));
    return ok({
      versions: versions
        .map(({ version, savedAt, savedBy }, i) => ({
          version,
          savedAt,
          savedBy,
          changes: i === 0 ? [] : findChanges(words[i - 1] ?? {}, words[i] ?? {}),
        }))
        .reverse(),
    });
  });
}

const scopeInWords = (scope: StandardScope = { kind: 'general' }): string =>
  scope.kind === 'general' ? 'everything' : `${scope.kind} ${scope.name}`;

function standardInWords({ task, job }: Body, titleOf: (task: string) => string): InWords {
  if (job)
    return {
      Title: job.title,
      For: scopeInWords(job.scope),
      Tasks: job.steps
        .map(({ task: id, isRequired }) => `${titleOf(id)}${isRequired ? '' : ' (optional)'}`)
        .join(', '),
    };
  return {
    Title: task?.title ?? '',
    For: scopeInWords(task?.scope),
    'Work center': task?.workCenter ?? '',
    'Setup hours': task?.setupHours ?? '',
    'Run hours': task?.runHours ?? '',
    'Run hours per piece': task?.runHoursPerPiece ?? '',
    Description: task?.description ?? '',
    Instructions: task?.instructions.map(({ text }) => text).join('; ') ?? '',
    Reports: task?.reports.map(({ when, kind, label }) => `${kind} ${label} at ${when}`).join('; ') ?? '',
    'Fixed price': task?.price ?? '',
  };
}
