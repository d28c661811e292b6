import './plainErrors.ts';
import { z } from 'zod';

/** One thing that is wrong with an input, and where. */
export const fieldProblemSchema = z.object({ field: z.string(), message: z.string() });
export type FieldProblem = Readonly<z.output<typeof fieldProblemSchema>>;

/** Writes a path as people read it: `events[3].targets[0]`. */
export const formatPath = (path: readonly PropertyKey[]): string =>
  path.reduce<string>(
    (text, key) => (typeof key === 'number' ? `${text}[${key}]` : `${text}${text && '.'}${String(key)}`),
    '',
  );

/** What Zod found, one line a problem; unknown fields are named themselves, not their parent. */
export function fieldProblemsOf(error: z.ZodError): FieldProblem[] {
  return error.issues.flatMap((issue) =>
    issue.code === 'unrecognized_keys'
      ? issue.keys.map((key) => ({ field: formatPath([...issue.path, key]), message: 'unknown field' }))
      : [{ field: formatPath(issue.path), message: issue.message }],
  );
}

/** A refusal as RFC 9457 writes it. */
export const problemSchema = z.strictObject({
  type: z.string(),
  title: z.string(),
  status: z.number(),
  detail: z.string().exactOptional(),
  errors: z.array(fieldProblemSchema).exactOptional(),
});
export type Problem = z.output<typeof problemSchema>;
