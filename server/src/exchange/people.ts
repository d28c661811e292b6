import { personRowSchema } from '@wergon/contract/exchange';
import type { TechnicianFields } from '@wergon/contract/people';
import { formatDay } from '@wergon/core/time';
import type { LocalDay } from '@wergon/core/time';
import { GradeEntity, TechnicianEntity, addTechnician, columnsOf, writeTechnician } from '../people/index.ts';
import { ensureListItems } from '../shop/index.ts';
import { drawRandomCode } from '../scan/index.ts';
import type { Judged, StoredList } from './list.ts';

const FIELDS = [
  'number',
  'name',
  'department',
  'crew',
  'kind',
  'payrollNumber',
  'initials',
  'hiredOn',
  'leftOn',
] as const;

const day = (value: LocalDay | null) => (value === null ? null : formatDay(value));
const plain = (row: TechnicianFields, grade: string | null) =>
  JSON.stringify([...FIELDS.map((field) => row[field]), grade]);

/** People, by their number: new ones get a badge, known ones are brought up to date. */
export const PEOPLE: StoredList<TechnicianFields> = {
  schema: personRowSchema,
  isOfPeople: true,
  validateRows: async (em, rows) => {
    const grades = new Map((await em.findAll(GradeEntity)).map(({ id, name }) => [name.toLowerCase(), id]));
    const stored = new Map(
      (await em.findAll(TechnicianEntity)).map((each) => [each.number, writeTechnician(each)]),
    );
    const seen = new Set<string>();
    return rows.map((row): Judged => {
      if (seen.has(row.number)) return { field: 'number', message: 'stands in this file twice' };
      seen.add(row.number);
      const grade = row.grade === null ? null : (grades.get(row.grade.toLowerCase()) ?? undefined);
      if (grade === undefined) return { field: 'grade', message: `no grade is called “${row.grade ?? ''}”` };
      const known = stored.get(row.number);
      if (!known) return 'new';
      const before = JSON.stringify([...FIELDS.map((field) => known[field]), known.grade]);
      return before === plain(row, grade) ? 'same' : 'changed';
    });
  },
  store: async (em, rows) => {
    const grades = new Map((await em.findAll(GradeEntity)).map(({ id, name }) => [name.toLowerCase(), id]));
    await ensureListItems(em, {
      department: rows.map(({ department }) => department),
      crew: rows.map(({ crew }) => crew),
    });
    const stored = new Map((await em.findAll(TechnicianEntity)).map((each) => [each.number, each]));
    for (const row of rows) {
      const fields = {
        ...row,
        grade: row.grade === null ? null : (grades.get(row.grade.toLowerCase()) ?? null),
      };
      const known = stored.get(row.number);
      if (!known) await addTechnician(em, fields, drawRandomCode('badge'));
      else {
        // The file has no column for these: they stay.
        const { billedSeconds: _hours, feedsPay: _feeds, ...columns } = columnsOf(fields);
        await em.nativeUpdate(TechnicianEntity, { id: known.id }, columns);
      }
    }
  },
  write: async (em, sees) => {
    const grades = new Map((await em.findAll(GradeEntity)).map(({ id, name }) => [id, name]));
    const technicians = await em.findAll(TechnicianEntity, { orderBy: { number: 1 } });
    return technicians
      .filter(({ id }) => sees(id))
      .map(writeTechnician)
      .map((each) => [
        each.number,
        each.name,
        each.department,
        each.crew,
        each.grade === null ? '' : (grades.get(each.grade) ?? ''),
        each.kind,
        each.payrollNumber,
        each.initials,
        day(each.hiredOn) ?? '',
        day(each.leftOn) ?? '',
      ]);
  },
};
