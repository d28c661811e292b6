import type { ClosedClasses } from './adjustments.ts';

/** Seconds of each class, and those on nothing; below nothing where they were taken back. */
export type ClassSums = Omit<ClosedClasses, 'technician' | 'day'>;

/** Classes of days or people, added up. */
export const sumClasses = (items: readonly ClassSums[]): ClassSums => {
  const sum = (of: keyof ClassSums) => items.reduce((total, each) => total + each[of], 0);
  return {
    straight: sum('straight'),
    overtime: sum('overtime'),
    double: sum('double'),
    unallocated: sum('unallocated'),
  };
};
