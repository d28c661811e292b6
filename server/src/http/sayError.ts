/** What may stand in a log of an error: its name, its code and where it came from. Messages of a database hold the values
 *  that a statement was given, and among those are PINs and hashes. */
export function sayError(error: unknown): Readonly<Record<string, unknown>> {
  if (!(error instanceof Error)) return { error: typeof error };
  const code = 'code' in error && typeof error.code === 'string' ? { code: error.code } : {};
  const at = (error.stack ?? '').split('\n').filter((line) => /^\s+at /.test(line));
  return { error: error.name, ...code, at: at.slice(0, MOST_LINES).map((line) => line.trim()) };
}

const MOST_LINES = 8;
