/** The page's reactive data as plain data: only that crosses to a worker or to the server. */
export const toPlain = <T>(value: T): T => JSON.parse(JSON.stringify(value)) as T;
