export { closeDatabase, openDatabase, openForReading } from './database.ts';
export type { Database, Entities } from './database.ts';
export { findPlain } from './findPlain.ts';
export { insertOnce } from './insertOnce.ts';
export { newId } from './newId.ts';
export { readOwnJson } from './readOwnJson.ts';
export { isDiskFault, readSql, trySql, writeSql } from './sql.ts';
export type { Row, Sql } from './sql.ts';
