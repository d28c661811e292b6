import type { Translation } from '../translation.ts';

export const bench: Translation['bench'] = {
  label: 'Werkbank: Musterausweise und Laufkarten',
  bench: 'Werkbank',
  touch: 'ein Etikett antippen: sein Code wird getippt, wie ein Scanner ihn tippt',
  wholeOrder: 'ganzer Auftrag',
  machines: 'Maschinen',
  indirect: 'Indirekt',
  close: 'Schließen',
  badges: 'Ausweise',
  actions: 'Aktionen',
};
