/** The bench: sample labels beside a demo station. */
export const bench = {
  label: 'Bench: sample badges and travelers',
  bench: 'Bench',
  touch: 'touch a label: its code is typed as a scanner types it',
  wholeOrder: 'whole order',
  machines: 'Machines',
  indirect: 'Indirect',
  close: 'Close',
  badges: 'Badges',
  actions: 'Actions',
} as const;
