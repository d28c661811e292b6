export { openDatabase } from './database.ts';
export type { Database } from './database.ts';
export { readSql, trySql, writeSql } from './sql.ts';
export type { Row, Sql } from './sql.ts';
