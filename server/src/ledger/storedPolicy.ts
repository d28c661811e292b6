import { readOwnJson } from '../db/index.ts';
import type { Sql } from '../db/index.ts';
import type { StoredPolicy } from '../shop/index.ts';

/** The shop's rules as they stand now, read in the transaction that changes them. */
export const readPolicies = (sql: Sql): readonly StoredPolicy[] =>
  sql
    .all<{ policy: string }>('select "policy" from "shop" where "id" = 1')
    .flatMap(({ policy }) => readOwnJson<readonly StoredPolicy[]>(policy));

export const writePolicies = (sql: Sql, policies: readonly StoredPolicy[]): void =>
  sql.run('update "shop" set "policy" = ? where "id" = 1', [JSON.stringify(policies)]);
