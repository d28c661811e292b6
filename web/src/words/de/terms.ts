import type { Translation } from '../translation.ts';

/** Why somebody is away. */
export const absences: Translation['absences'] = {
  holiday: 'Urlaub',
  sick: 'krank',
  training: 'Schulung',
  'unpaid leave': 'unbezahlter Urlaub',
  other: 'anderes',
};

/** What an import is at. */
export const exchangeSteps: Translation['exchangeSteps'] = {
  reading: 'Datei wird gelesen',
  checking: 'Jede Zeile wird geprüft',
  storing: 'Wird gespeichert',
  writing: 'Datei wird geschrieben',
};

/** Why a file cannot be read. */
export const fileProblems: Translation['fileProblems'] = {
  empty: 'Die Datei ist leer.',
  'too-large': 'Die Datei ist größer als 30 MB.',
  'no-headings': 'Die erste Zeile hat keine Überschriften.',
  'no-rows': 'Unter den Überschriften stehen keine Zeilen.',
  'no-table': 'Das ist weder eine CSV- noch eine XLSX-Datei.',
  broken: 'Diese XLSX-Datei ist beschädigt, oder es ist eine andere Art Datei.',
  'no-sheet': 'Die Arbeitsmappe hat kein Blatt, auf dem etwas steht.',
};

/** How names stand on badges. */
export const splitRefusals: Translation['splitRefusals'] = {
  'no-rule': 'An diesem Tag gilt keine Regel für Überstunden: es gibt nichts zu entscheiden.',
  closed: 'Dieser Tag liegt in einer geschlossenen Abrechnung.',
  open: 'Dieser Tag läuft noch.',
  own: 'Über die eigene Zeit entscheidet jemand anderes.',
  'other-people': 'Das ist niemand von Ihren Leuten.',
};

export const payClasses: Translation['payClasses'] = {
  straight: 'normal',
  overtime: 'Überstunden',
  double: 'doppelt',
};

export const workedOn: Translation['workedOn'] = {
  job: 'auf Aufträgen',
  indirect: 'indirekt',
  nothing: 'auf nichts',
};

export const payFields: Translation['payFields'] = {
  payrollNumber: 'Personalnummer',
  name: 'Name',
  department: 'Abteilung',
  firstDay: 'Erster Tag',
  lastDay: 'Letzter Tag',
  day: 'Tag',
  code: 'Lohnart',
  hours: 'Stunden',
  class: 'Art der Zeit',
  order: 'Auftrag',
  task: 'Arbeitsgang',
  costCode: 'Kostenart',
  note: 'Vermerk',
};

export const payrollFields: Translation['payrollFields'] = {
  payrollNumber: 'Personalnummer',
  period: 'Abrechnung',
  amount: 'Betrag',
};

export const payRows: Translation['payRows'] = {
  period: 'den ganzen Zeitraum',
  day: 'einen Tag',
  task: 'einen Tag und Arbeitsgang',
};

export const paySigns: Translation['paySigns'] = {
  comma: 'Komma',
  semicolon: 'Semikolon',
  tab: 'Tabulator',
  point: 'Punkt',
};

export const premiumOn: Translation['premiumOn'] = {
  worked: 'die Arbeit, die dann getan wurde',
  spread: 'alle Arbeit der Woche',
  overhead: 'kein Auftrag',
};

export const nameForms: Translation['nameForms'] = {
  'as-written': 'wie geschrieben',
  'last-name-first': 'Nachname zuerst',
};

/** By what badges are sorted. */
export const nameOrders: Translation['nameOrders'] = {
  name: 'Name',
  number: 'Nummer',
  department: 'Abteilung',
};

/** An empty list of orders, by what it shows. */
export const noOrders: Translation['noOrders'] = {
  floor: 'Keine Aufträge sind in der Werkstatt.',
  estimates: 'Kein Voranschlag ist angefragt oder angeboten.',
  preparing: 'Keine Aufträge sind in Vorbereitung.',
  finished: 'Keine Aufträge sind fertig.',
  closed: 'Keine Aufträge sind geschlossen.',
  all: 'Es gibt noch keine Aufträge.',
};

/** Behind the number of orders in a list, by what it shows. */
export const orderCount: Translation['orderCount'] = {
  floor: 'Auftrag in der Werkstatt | Aufträge in der Werkstatt',
  estimates: 'Voranschlag | Voranschläge',
  preparing: 'Auftrag in Vorbereitung | Aufträge in Vorbereitung',
  finished: 'fertiger Auftrag | fertige Aufträge',
  closed: 'geschlossener Auftrag | geschlossene Aufträge',
  all: 'Auftrag insgesamt | Aufträge insgesamt',
};

/** What somebody is in while at work. */
export const presence: Translation['presence'] = {
  shift: 'Schicht',
  break: 'Pause',
};

/** What a task asks to be reported. */
export const reportKinds: Translation['reportKinds'] = {
  value: 'Messwert',
  pieces: 'Stück',
  remark: 'Bemerkung',
};

/** When it is asked for. */
export const reportTimes: Translation['reportTimes'] = {
  start: 'am Beginn',
  end: 'am Ende',
  done: 'bei Fertigmeldung',
};

/** What a right lets a person do. */
export const rights: Translation['rights'] = {
  'own.time': 'die eigene Zeit sehen und bestätigen',
  'floor.see': 'sehen, wer woran ist',
  'floor.answer': 'beantworten, worum an Stationen gebeten wird',
  'work.see': 'Aufträge und Arbeitsgänge sehen, und wie sie zur Kalkulation stehen',
  'work.change': 'Aufträge und Standards anlegen und ändern, freigeben, anhalten und schließen',
  'offers.ask': 'Voranschläge anfragen, Angebote mailen und Antworten der Kunden eintragen',
  'people.see': 'Personen, ihre Pläne und Abwesenheiten sehen',
  'people.change': 'Personen, ihre Ausweise, PINs, Pläne und Abwesenheiten ändern',
  'rates.see': 'Kostensätze sehen und ändern, und Kosten, die die einer Person sind',
  'ledger.see': 'eine Arbeitszeile bis zu ihren Scans öffnen',
  'ledger.correct': 'Arbeit im Büro erfassen und berichtigen',
  'reconcile.see': 'offene Punkte sehen, und Scans, die nicht verstanden wurden',
  'time.approve': 'Schichttage anderer genehmigen',
  'pay.see': 'Abrechnungen sehen',
  'pay.close': 'Abrechnungen schließen',
  'pay.reopen': 'die letzte geschlossene Abrechnung wieder öffnen',
  'shop.see': 'Listen, Stationen und Etiketten sehen',
  'shop.change': 'Listen, Stationen und Einstellungen ändern',
  'users.change': 'sagen, wer sich im Büro anmelden darf, und als was',
};

/** What somebody is in the shop. */
export const roles: Translation['roles'] = {
  own: 'nur eigene Zeit',
  technician: 'Mitarbeiter',
  lead: 'Gruppenleitung',
  supervisor: 'Meister',
  planner: 'Planung',
  bookkeeper: 'Buchhaltung',
  administrator: 'Verwaltung',
};

/** Whom the floor shows. */
export const shown: Translation['shown'] = {
  everybody: 'alle',
  'on tasks': 'an Arbeitsgängen',
  'on indirect work': 'an indirekter Arbeit',
  'on break': 'in der Pause',
  'no task': 'ohne Arbeit',
  'not here': 'nicht da',
};

/** How an entry came in. */
export const sources: Translation['sources'] = {
  scan: 'gescannt',
  touch: 'angetippt',
  typed: 'getippt',
  camera: 'Kamera',
  desk: 'Büro',
  import: 'Import',
  api: 'API',
};

/** What a station is for. */
export const stationKinds: Translation['stationKinds'] = {
  labor: 'Arbeit',
  presence: 'Anwesenheit',
};

/** How hours stand to their estimate. */
export const balances: Translation['balances'] = {
  over: 'über',
  left: 'übrig',
  under: 'unter',
  even: 'genau',
  used: 'verbraucht',
};

/** What of an order was changed, as its history names it. */
export const orderFields: Translation['orderFields'] = {
  Order: 'Auftrag',
  State: 'Stand',
  Number: 'Nummer',
  'What is done': 'Was getan wird',
  Customer: 'Kunde',
  Pieces: 'Stück',
  Due: 'Fällig',
  Division: 'Sparte',
  'Job type': 'Auftragsart',
  Item: 'Artikel',
  Unit: 'Gerät',
  Price: 'Preis',
  Notes: 'Notizen',
  'Estimate includes': 'Kalkulation enthält',
  Tasks: 'Arbeitsgänge',
  Parts: 'Teile',
  Offer: 'Angebot',
  Title: 'Titel',
  For: 'Für',
  'Work center': 'Arbeitsplatz',
  'Setup hours': 'Rüststunden',
  'Run hours': 'Fertigungsstunden',
  'Run hours per piece': 'Fertigungsstunden je Stück',
  Description: 'Beschreibung',
  Instructions: 'Anweisungen',
  Reports: 'Meldungen',
  'Fixed price': 'Festpreis',
};

/** Where an order stands. */
export const orderStates: Translation['orderStates'] = {
  asked: 'angefragt',
  offered: 'angeboten',
  lost: 'verloren',
  draft: 'Entwurf',
  accepted: 'angenommen',
  released: 'freigegeben',
  'on-hold': 'angehalten',
  finished: 'fertig',
  closed: 'geschlossen',
};

/** What several loose ends of one kind are called. */
export const looseEndKinds: Translation['looseEndKinds'] = {
  'double-shift-in': 'zweite Anmeldungen',
  'shift-out-without-in': 'Abmeldungen ohne Anmeldung',
  'stop-without-start': 'Enden ohne Beginn',
  'forgotten-shift-out': 'fehlende Abmeldungen',
  'forgotten-stop': 'fehlende Enden',
  gap: 'Lücken',
  'work-outside-shift': 'Tage mit Arbeit außerhalb der Schicht',
  'long-break': 'lange Pausen',
  'no-rate': 'Tage ohne Satz',
  'cost-changed': 'von Hand gesetzte Kosten für andere Zeit',
  'split-changed': 'Aufteilung anderer Zeit',
  'not-released': 'Beginne an nicht freigegebenen Aufträgen',
  'after-done': 'Beginne an fertigen Arbeitsgängen',
  'clock-jump': 'verstellte Uhren',
  'unknown-code': 'unbekannte Codes',
  'refused-entry': 'abgelehnte Einträge',
  'badge-hop': 'Ausweise an zwei Orten',
  'badge-pair': 'Ausweise, die immer zusammen gescannt werden',
  clock: 'Scans mit vorgehender Uhr',
};

/** How a station's screen looks. */
export const themes: Translation['themes'] = { dark: 'dunkel', light: 'hell' };

/** How somebody is known at a station. */
export const knownBy: Translation['knownBy'] = {
  badge: 'Ausweis',
  card: 'eigene Karte',
  'badge-and-pin': 'Ausweis und PIN',
  'pin-unchecked': 'Ausweis, PIN nicht geprüft',
  name: 'Namen allein',
  number: 'getippter Nummer',
  'number-and-pin': 'Nummer und PIN',
  'own-phone': 'eigenes Telefon',
};

export const reaches: Translation['reaches'] = {
  all: 'die Zeit aller',
  crew: 'die Zeit der eigenen Gruppe',
};

export const reasonKinds: Translation['reasonKinds'] = {
  down: 'wenn Arbeit wartet oder steht',
  rework: 'wenn Arbeit noch einmal getan wird',
  scrap: 'wenn Stücke Ausschuss sind',
};

/** What is done to several records at once; who or how much stands behind it. */
export const recordActs: Translation['recordActs'] = {
  out: 'herausnehmen',
  give: 'geben an',
  work: 'auf andere Arbeit legen',
  earlier: 'nach vorn schieben um',
  later: 'nach hinten schieben um',
};

/** Who may write down at a station what no task is there for. */
export const writers: Translation['writers'] = { nobody: 'niemand', leads: 'Leitungen', everybody: 'alle' };

/** Fields that a shop can do without. */
export const spareFields: Translation['spareFields'] = {
  unit: 'Gerät auf der Werkbank',
  item: 'Artikel, fürs Lager',
  division: 'Sparte',
  jobType: 'Auftragsart',
  price: 'Preise',
  charge: 'wie berechnet wird',
  parts: 'Teile',
  description: 'Worte zum Arbeitsgang im Ganzen',
  reports: 'Meldungen eines Arbeitsgangs',
  costCode: 'Kostenstelle',
  optional: 'wahlweise Arbeitsgänge',
  assigned: 'wem ein Arbeitsgang zugewiesen ist',
} as const;

/** What was changed of one of an order's tasks. */
export const taskFields: Translation['taskFields'] = {
  'work center': 'Arbeitsplatz',
  grade: 'Stufe',
  'setup hours': 'Rüststunden',
  'run hours': 'Fertigungsstunden',
  'run hours per piece': 'Fertigungsstunden je Stück',
  description: 'Beschreibung',
  instructions: 'Anweisungen',
  optional: 'wahlweise',
  assigned: 'zugewiesen',
  'rate estimated with': 'Satz der Kalkulation',
};

/** What was done, as a history keeps it. */
export const orderActs: Translation['orderActs'] = {
  'made as a draft': 'als Entwurf angelegt',
  'estimate asked for': 'Kalkulation angefragt',
  'written down at a station': 'an einer Station aufgeschrieben',
  'tied to another task': 'einem anderen Arbeitsgang zugeordnet',
  'kept as a task': 'als Arbeitsgang behalten',
  yes: 'ja',
  everything: 'alles',
};

export const causes = {
  setup: 'Rüsten',
  scrap: 'Ausschuss',
  quantity: 'andere Stückzahl',
  run: 'Ausführung',
  rework: 'Nacharbeit',
  cleanup: 'Aufräumen',
  down: 'Stillstand',
  travel: 'Fahrt',
  soFar: 'über der Kalkulation',
  mix: 'andere Stufe',
  rate: 'Sätze',
  premium: 'Überstunden',
  trueUp: 'Lohn',
  uncosted: 'ohne Satz',
  changed: 'geänderte Kalkulation',
} as const;
