import { groupBy } from '@wergon/core/result';
import type { StandardId } from '@wergon/core/work';
import { newId } from '../db/index.ts';
import { standardRowSchema } from '@wergon/contract/exchange';
import type { Instant } from '@wergon/core/time';
import type { z } from 'zod';
import { GradeEntity } from '../people/index.ts';
import { ensureListItems } from '../shop/index.ts';
import { StandardEntity, saveStandard, taskBody } from '../work/index.ts';
import type { Standard } from '../work/index.ts';
import type { Judged, StoredList } from './list.ts';

type StandardRow = z.output<typeof standardRowSchema>;

const comparable = (task: Standard['body']['task']): string =>
  JSON.stringify(
    task && [
      task.title,
      task.workCenter,
      task.grade,
      task.setupHours,
      task.runHours,
      task.runHoursPerPiece,
      task.instructions.map(({ text }) => text),
      task.price,
    ],
  );

const key = (text: string) => text.toLowerCase();

/** Standard tasks by their title, and the standard jobs that they stand in; what differs becomes a new version. */
export const createStandards = (now: () => Instant): StoredList<StandardRow> => ({
  schema: standardRowSchema,
  validateRows: async (em, rows) => {
    const grades = new Map((await em.findAll(GradeEntity)).map(({ id, name }) => [key(name), id]));
    const standards = await em.findAll(StandardEntity);
    const tasks = new Map(
      standards.flatMap((each) => (each.kind === 'task' ? [[key(each.title), each]] : [])),
    );
    const jobs = new Map(standards.flatMap((each) => (each.kind === 'job' ? [[key(each.title), each]] : [])));
    const first = new Map<string, string>();
    return rows.map((row): Judged => {
      const grade = grades.get(key(row.task.grade));
      if (grade === undefined) return { field: 'grade', message: `no grade is called “${row.task.grade}”` };
      const given = comparable(taskBody({ ...row.task, grade }));
      const earlier = first.get(key(row.task.title));
      if (earlier !== undefined && earlier !== given)
        return { field: 'title', message: 'differs from the first row of this task' };
      first.set(key(row.task.title), given);
      const known = tasks.get(key(row.task.title));
      if (!known) return 'new';
      const steps = jobs.get(key(row.job))?.body.job?.steps ?? [];
      const stands =
        row.job === '' ||
        steps.some(({ task, isRequired }) => task === known.id && isRequired === row.isRequired);
      return stands && comparable(known.body.task) === given ? 'same' : 'changed';
    });
  },
  store: async (em, rows, by) => {
    const grades = new Map((await em.findAll(GradeEntity)).map(({ id, name }) => [key(name), id]));
    await ensureListItems(em, { 'work-center': rows.map(({ task }) => task.workCenter) });
    const known = new Map(
      (await em.findAll(StandardEntity)).map((each) => [`${each.kind} ${key(each.title)}`, each]),
    );
    const ids = new Map<string, StandardId>();
    for (const { task } of rows) {
      if (ids.has(key(task.title))) continue;
      const old = known.get(`task ${key(task.title)}`);
      const fresh = taskBody({ ...task, grade: grades.get(key(task.grade)) ?? '' });
      // What a file has no column for stays as it was.
      const kept = old?.body.task;
      const body = {
        task: {
          ...fresh,
          reports: kept?.reports ?? [],
          description: kept?.description ?? '',
          scope: kept?.scope ?? { kind: 'general' as const },
        },
      };
      const id = old?.id ?? newId<StandardId>();
      ids.set(
        key(task.title),
        await saveStandard(em, { id, kind: 'task', body, isOff: old?.isOff ?? false }, by, now()),
      );
    }
    for (const [title, own] of groupBy(
      rows.filter(({ job }) => job !== ''),
      ({ job }) => key(job),
    )) {
      const old = known.get(`job ${title}`);
      const steps = [...(old?.body.job?.steps ?? [])];
      for (const { task, isRequired } of own) {
        const id = ids.get(key(task.title));
        if (id === undefined) continue;
        const at = steps.findIndex((step) => step.task === id);
        if (at >= 0) steps[at] = { task: id, isRequired };
        else steps.push({ task: id, isRequired });
      }
      const job = {
        title: own[0]?.job ?? '',
        scope: old?.body.job?.scope ?? { kind: 'general' as const },
        steps,
      };
      await saveStandard(
        em,
        { id: old?.id ?? newId<StandardId>(), kind: 'job', body: { job }, isOff: old?.isOff ?? false },
        by,
        now(),
      );
    }
  },
  write: async (em) => {
    const grades = new Map((await em.findAll(GradeEntity)).map(({ id, name }) => [id, name]));
    const standards = await em.findAll(StandardEntity, { orderBy: { title: 1 } });
    const tasks = new Map(standards.flatMap((each) => (each.body.task ? [[each.id, each.body.task]] : [])));
    const row = (job: string, task: NonNullable<Standard['body']['task']>, isRequired: boolean) => [
      job,
      task.title,
      isRequired ? 'yes' : 'no',
      task.workCenter,
      grades.get(task.grade) ?? '',
      task.setupHours ?? '',
      task.runHours ?? '',
      task.runHoursPerPiece ?? '',
      task.instructions.map(({ text }) => text).join(' | '),
      task.price ?? '',
    ];
    const steps = standards.flatMap((each) =>
      (each.body.job?.steps ?? []).map((step) => ({ job: each.title, ...step })),
    );
    const inJobs = new Set(steps.map(({ task }) => task));
    return [
      ...steps.flatMap(({ job, task: id, isRequired }) => {
        const task = tasks.get(id);
        return task ? [row(job, task, isRequired)] : [];
      }),
      ...[...tasks].flatMap(([id, task]) => (inJobs.has(id) ? [] : [row('', task, true)])),
    ];
  },
});
