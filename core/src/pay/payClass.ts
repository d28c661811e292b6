import type { Seconds } from '../time/index.ts';

/** How an hour is paid, the lowest first, whatever the multipliers are. Source: docs/pay.md, classes of pay. */
export const PAY_CLASSES = ['straight', 'overtime', 'double'] as const;
export type PayClass = (typeof PAY_CLASSES)[number];

export const isPayClass = (text: string | undefined): text is PayClass =>
  PAY_CLASSES.some((each) => each === text);

const rankOf = (each: PayClass): number => PAY_CLASSES.indexOf(each);

/** The highest of some classes; straight of none. */
export const highestOf = (classes: readonly PayClass[]): PayClass =>
  classes.reduce((highest, each) => (rankOf(each) > rankOf(highest) ? each : highest), 'straight');

/** Whether a class is paid lower than another. */
export const isLower = (a: PayClass, b: PayClass): boolean => rankOf(a) < rankOf(b);

/** Seconds of a shift day of each class, and those of them that are on nothing. */
export type DayClasses = ClassSeconds & { readonly unallocated: Seconds };

/** Seconds of each class. */
export type ClassSeconds = Readonly<Record<PayClass, Seconds>>;
