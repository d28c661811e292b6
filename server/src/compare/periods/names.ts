import type { WorkOrderId } from '@wergon/core/work';
import type { Database, Sql } from '../../db/index.ts';
import { GradeEntity } from '../../people/index.ts';
import { StandardEntity } from '../../work/index.ts';

/** Titles of standard jobs and tasks by their ids. */
export type StandardTitles = ReadonlyMap<string, string>;

export const loadStandardTitles = async (database: Database): Promise<StandardTitles> =>
  new Map(
    (await database.em.fork().findAll(StandardEntity, { fields: ['id', 'title'] })).map(({ id, title }) => [
      id,
      title,
    ]),
  );

/** Names of grades by their ids. */
export const loadGradeNames = async (database: Database): Promise<ReadonlyMap<string, string>> =>
  new Map((await database.em.fork().findAll(GradeEntity)).map(({ id, name }) => [id, name]));

/** Who wrote each order down, and with it its estimate: the first thing that was noted of it says so. */
export const loadEstimators = (sql: Sql, orders: readonly WorkOrderId[]): ReadonlyMap<WorkOrderId, string> =>
  new Map(
    sql
      .all<{ order: WorkOrderId; by: string }>(
        `select c."work_order" as "order", c."changed_by" as "by" from json_each(?) o
         join "order_change" c on c."id" = (select min("id") from "order_change" where "work_order" = o."value")`,
        [JSON.stringify(orders)],
      )
      .map(({ order, by }) => [order, by]),
  );
