/** What takes the place of one's work on the screen until one goes back, or the screen clears. */
export const ASIDES = ['own-time', 'own-phone', 'write-down', 'work-type', 'task-papers'] as const;
export type Aside = (typeof ASIDES)[number];

export const isAside = (act: string): act is Aside => ASIDES.some((each) => each === act);
