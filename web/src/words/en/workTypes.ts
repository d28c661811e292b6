/** Kinds of work. */
export const workTypes = {
  setup: 'setup',
  run: 'run',
  cleanup: 'cleanup',
  down: 'down',
  rework: 'rework',
  travel: 'travel',
} as const;
