import type { Translation } from '../translation.ts';

export const app: Translation['app'] = {
  floor: 'Werkstatt',
  shop: 'Betrieb',
  open: '{n} offen',
  loose: '{n} Punkte',
  due: '{n} fällig',
  goToFloorWorkReconcilePayShop: 'zu Werkstatt, Aufträge, Klären, Lohn, Betrieb, Meine Zeit',
  aDayOrAWeekBackOrOn: 'einen Tag oder eine Woche zurück oder weiter',
  hoursAs64564530Or675: 'Stunden als 6:45, 6:45:30 oder 6.75',
  showOrHideTheseKeys: 'diese Tasten zeigen oder verbergen',
  places: 'Orte',
  wergonToTheFloor: 'Wergon, zur Werkstatt',
  hoursAreShownAs: 'Stunden stehen hier als {style}',
  keys: 'Tasten',
  thereIsNoSuchPage: 'Diese Seite gibt es nicht',
  toTheFloor: 'Zur Werkstatt',
  search: 'suchen',
  compare: 'Vergleich',
  near: '{n} knapp',
  asked: '{n} offen',
};
