import { Defect } from '@wergon/core/result';
import type { Result } from '@wergon/core/result';

/** A value of the sample data, which is right or else a bug of ours. */
export function unwrap<T>(result: Result<T, string>): T {
  if (!result.ok) throw new Defect(`sample data: ${result.code}`);
  return result.value;
}
