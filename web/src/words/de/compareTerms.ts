/* Lists of what Compare is told by: causes, periods, what is grouped and cut, in German. */

/** What a cause adds, as a sentence says it. */
export const causeMore = {
  setup: '{hours} mehr Rüsten',
  scrap: '{hours} für Ausschuss',
  quantity: '{hours} für weitere Stücke',
  run: '{hours} mehr',
  rework: '{hours} Nacharbeit',
  cleanup: '{hours} Aufräumen',
  down: '{hours} Stillstand',
  travel: '{hours} Fahrt',
  soFar: '{hours} über der Kalkulation',
  mix: '{money} mehr durch eine teurere Stufe als geplant',
  rate: '{money} mehr durch Leute, die mehr kosten als ihre Stufe',
  premium: '{money} für Überstunden',
  trueUp: '{money} mehr als nach den Sätzen, wie der Lohn zahlte',
  uncosted: '{money} Arbeit ohne Satz',
  changed: '{hours} zur ersten Kalkulation hinzugefügt',
} as const;
/** What a cause saves. */
export const causeLess = {
  setup: '{hours} weniger Rüsten',
  scrap: '{hours} weniger für Ausschuss',
  quantity: '{hours} weniger für fehlende Stücke',
  run: '{hours} weniger',
  rework: '{hours} weniger Nacharbeit',
  cleanup: '{hours} weniger Aufräumen',
  down: '{hours} weniger Stillstand',
  travel: '{hours} weniger Fahrt',
  soFar: '{hours} von der Kalkulation übrig',
  mix: '{money} weniger durch eine günstigere Stufe als geplant',
  rate: '{money} weniger durch Leute, die weniger kosten als ihre Stufe',
  premium: '{money} weniger für Überstunden',
  trueUp: '{money} weniger als nach den Sätzen, wie der Lohn zahlte',
  uncosted: '{money} nicht gezählt, weil ein Satz fehlt',
  changed: '{hours} aus der ersten Kalkulation gestrichen',
} as const;

/** Stretches of time that figures are told of. */
export const periods = {
  day: 'Ein Tag',
  week: 'Eine Woche',
  weeks: 'Acht Wochen',
  month: 'Ein Monat',
  quarter: 'Ein Quartal',
  year: 'Ein Jahr',
  days: 'Eigene Tage',
} as const;
/** What one step leads on by. */
export const periodSteps = {
  day: 'Tag',
  week: 'Woche',
  weeks: 'Woche',
  month: 'Monat',
  quarter: 'Quartal',
  year: 'Jahr',
} as const;
/** What jobs are grouped by. */
export const jobFields = {
  customer: 'Kunde',
  division: 'Sparte',
  jobType: 'Auftragsart',
  standard: 'Standardauftrag',
  estimator: 'Kalkulator',
  month: 'Monat',
} as const;
export const jobFieldsMany = {
  customer: 'Kunden',
  division: 'Sparten',
  jobType: 'Auftragsarten',
  standard: 'Standardaufträge',
  estimator: 'Kalkulatoren',
  month: 'Monate',
} as const;
export const noJobField = {
  customer: 'ohne Kunde',
  division: 'ohne Sparte',
  jobType: 'ohne Auftragsart',
  standard: 'von Hand angelegt',
  estimator: 'nicht bekannt',
  month: 'nicht fertig',
} as const;
export const jobSorts = {
  over: 'Am meisten darüber',
  hours: 'Die meisten Stunden darüber',
  under: 'Am meisten darunter',
  latest: 'Neueste zuerst',
  number: 'Nach Nummer',
} as const;
/** What the causes of a period are cut by. */
export const causeCuts = {
  workCenter: 'Arbeitsplatz',
  task: 'Arbeitsgang',
  standard: 'Standardarbeitsgang',
  grade: 'Stufe',
  customer: 'Kunde',
  division: 'Sparte',
  jobType: 'Auftragsart',
  month: 'Monat',
} as const;
export const noCauseCut = {
  workCenter: 'ohne Arbeitsplatz',
  task: 'ohne Titel',
  standard: 'von Hand angelegt',
  grade: 'ohne Stufe',
  customer: 'ohne Kunde',
  division: 'ohne Sparte',
  jobType: 'ohne Auftragsart',
  month: 'nicht fertig',
} as const;

/** What the figures of people are. */
export const peopleFigures = {
  attended: 'angemeldet, ohne Pausen',
  onJobs: 'Zeit auf Arbeitsgängen, gleich welcher Art',
  indirect: 'Zeit auf indirekter Arbeit',
  productivity: 'auf Aufträgen ÷ anwesend',
  expected: 'abrechenbare Stunden, die an jedem geplanten Tag bis heute erwartet werden',
  earned:
    'ihr Anteil an den Kalkulationen der Arbeitsgänge, die im Zeitraum fertig wurden, nach ihrem Anteil an der Arbeit',
  target: 'verdient ÷ erwartet',
  own: 'ihre eigene Zeit auf diesen Arbeitsgängen, an welchem Tag auch immer',
  efficiency: 'verdient ÷ dafür gebraucht; nicht gesagt, wo das meiste geteilt oder aufgeschrieben war',
  margin: 'verdient − dafür gebraucht',
  measured: 'wie viel der gebrauchten Zeit auf einem Arbeitsgang allein gemessen wurde',
} as const;
/** People who belong to no group. */
export const noGroup = { department: 'Ohne Abteilung', crew: 'Ohne Gruppe' } as const;

/** What labor is cut by. */
export const cutFields = {
  person: 'Person',
  department: 'Abteilung',
  crew: 'Gruppe',
  grade: 'Stufe',
  order: 'Auftrag',
  task: 'Arbeitsgang',
  customer: 'Kunde',
  unit: 'Gerät',
  division: 'Sparte',
  jobType: 'Auftragsart',
  costCode: 'Kostenstelle',
  workCenter: 'Arbeitsplatz',
  machine: 'Maschine',
  kind: 'Auftrag oder indirekt',
  activity: 'indirekte Tätigkeit',
  workType: 'Art der Arbeit',
  reason: 'Grund',
  day: 'Tag',
  week: 'Woche',
  month: 'Monat',
} as const;
/** Labor that has nothing of it. */
export const noCutField = {
  person: 'niemand',
  department: 'ohne Abteilung',
  crew: 'ohne Gruppe',
  grade: 'ohne Stufe',
  order: 'indirekte Arbeit',
  task: 'indirekte Arbeit',
  customer: 'ohne Kunde',
  unit: 'ohne Gerät',
  division: 'ohne Sparte',
  jobType: 'ohne Auftragsart',
  costCode: 'ohne Kostenstelle',
  workCenter: 'ohne Arbeitsplatz',
  machine: 'ohne Maschine',
  kind: 'keins von beiden',
  activity: 'auf Aufträgen',
  workType: 'indirekte Arbeit',
  reason: 'ohne Grund',
  day: 'ohne Tag',
  week: 'ohne Woche',
  month: 'ohne Monat',
} as const;
/** Cuts that are there from the start. */
export const usualCuts = {
  personJob: 'Nach Person und Auftrag',
  jobPerson: 'Nach Auftrag und Person',
  activity: 'Was an einem Auftrag geschah, Tag für Tag',
  costCode: 'Nach Kostenstelle',
  date: 'Nach Datum',
  indirect: 'Indirekte Arbeit',
  reason: 'Nach Grund',
  workType: 'Nach Art der Arbeit',
} as const;

/** What a machine’s time is. */
export const machineParts = { used: 'genutzt', down: 'Stillstand', idle: 'frei' } as const;
