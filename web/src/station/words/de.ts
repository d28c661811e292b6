import { DE_SCREEN } from './screen.de.ts';
import type { Running } from '@wergon/core/ledger';
import type { Names, Words } from './words.ts';

const and = (names: readonly string[]): string =>
  names.length < 2 ? (names[0] ?? '') : `${names.slice(0, -1).join(', ')} und ${names.at(-1) ?? ''}`;

function length(seconds: number): string {
  if (seconds < 60) return `${seconds} s`;
  const minutes = Math.floor(seconds / 60);
  return minutes < 60 ? `${minutes} min` : `${Math.floor(minutes / 60)} Std. ${minutes % 60} min`;
}

const workType = {
  setup: 'Rüsten',
  run: 'Fertigen',
  cleanup: 'Reinigen',
  down: 'Stillstand',
  rework: 'Nacharbeit',
  travel: 'Fahrt',
} as const;

const ofType = (type: keyof typeof workType, target: string) =>
  type === 'run' ? target : `${workType[type]}, ${target}`;
const targetsOf = (left: readonly Running[], names: Names) =>
  and(left.map(({ target }) => names.target(target)));
const noLabel = (text: string) => ({
  headline: 'Kein Etikett von uns',
  help: `Gelesen als „${text}“. Ausweis, Arbeitsgang oder Aktion scannen.`,
});

/** What a person reads at a station in German. */
export const de: Words = {
  prompt: {
    'badge-or-task': 'Ausweis oder Arbeitsgang scannen',
    'badge-to-sign': 'Ausweis scannen: kommen oder gehen',
    'name-or-task': 'Namen antippen oder Arbeitsgang scannen',
    'badge-for-task': 'Ausweis scannen, dann beginnt er',
    'badge-for-order': 'Ausweis scannen, dann einen Arbeitsgang wählen',
    'badge-for-action': 'Ausweis scannen',
    'task-for-draft': 'Arbeitsgang scannen',
    'task-to-switch': 'Arbeitsgang scannen zum Wechseln, OFF TASK zum Verlassen',
    'task-to-join': 'Arbeitsgang scannen, der dazukommt',
    'task-to-start': 'Arbeitsgang scannen, oder SHIFT OUT zum Gehen',
    'shift-in-or-task': 'SHIFT IN scannen, oder einen Arbeitsgang',
    'task-ends-break': 'Arbeitsgang scannen: beendet die Pause',
    'crew-badges': 'Alle Ausweise der Gruppe und den Arbeitsgang scannen',
    'crew-task': 'Arbeitsgang scannen, oder weitere Ausweise',
    'crew-ticks': 'Antippen, wer fehlt, dann den Arbeitsgang scannen',
  },
  question(question, names) {
    switch (question.kind) {
      case 'which-task':
        return { headline: 'Welcher Arbeitsgang?', help: 'Antippen, Nummer tippen oder scannen.' };
      case 'which-running':
        return { headline: 'Welcher davon?', help: 'Antippen, Nummer tippen oder scannen.' };
      case 'which-activity':
        return { headline: 'Was machst du?', help: 'Antippen oder Nummer tippen.' };
      case 'which-machine':
        return { headline: 'An welcher Maschine?', help: 'Antippen, Nummer tippen oder scannen.' };
      case 'reopen':
        return {
          headline: `${names.target(question.target)} ist fertig. Wieder aufnehmen?`,
          help: 'Noch hat nichts begonnen.',
        };
      case 'confirm-stop':
        return question.targets.length === 0
          ? { headline: 'Gehen?', help: 'Man tippt leicht daneben.' }
          : {
              headline: `${and(question.targets.map(names.target))} verlassen?`,
              help: 'Man tippt leicht daneben.',
            };
      case 'outside':
        return {
          headline: `${workType[question.workType]} ist in diesem Auftrag nicht kalkuliert`,
          help: question.activity
            ? `Solche Zeit gehört zu ${names.target(question.activity)}.`
            : 'Sie stünde neben dem Auftrag, außerhalb des Vergleichs.',
        };
      case 'override':
        return {
          headline: 'Ein Vorarbeiter kann es freigeben',
          help: 'Sein Ausweis genügt; es wird festgehalten.',
        };
      case 'earlier':
        return {
          headline: 'Vor wie vielen Minuten?',
          help: `Höchstens ${question.most}. Antippen oder tippen.`,
        };
      case 'report':
        return sayReport(question, names);
      case 'forgot':
        return {
          headline:
            question.forgotten === 'forgotten-stop'
              ? `Um ${names.clock(question.from)} begonnen und nie beendet. Wann war Schluss?`
              : `Um ${names.clock(question.from)} gekommen und nie gegangen. Wann bist du gegangen?`,
          help: 'Der Meister entscheidet; das hilft dabei. Zeit tippen, etwa 15:30.',
        };
      case 'pin':
        return question.isChecking
          ? { headline: 'PIN wird geprüft…', help: '' }
          : { headline: 'PIN tippen', help: 'Dann ENTER.' };
      case 'note':
        return { headline: 'Was ist zu vermerken?', help: 'Es steht bei deinem Arbeitsgang.' };
      case 'find':
        return { headline: 'Welcher Auftrag oder Arbeitsgang?', help: 'Eine Nummer oder ein paar Wörter.' };
      case 'request':
        return {
          headline: { part: 'Welches Teil?', help: 'Worum geht es?', correction: 'Was stimmt nicht?' }[
            question.what
          ],
          help: 'Tippen, oder so senden. Das Büro sieht es sofort.',
        };
    }
  },
  refusal: {
    'code.empty': () => ({ headline: 'Nichts gelesen', help: 'Noch einmal scannen.' }),
    'code.bad_character': noLabel,
    'code.unknown_kind': noLabel,
    'code.too_short': () => ({
      headline: 'Nur ein Teil des Etiketts gelesen',
      help: 'Noch einmal ganz scannen.',
    }),
    'code.too_long': () => ({
      headline: 'Mehr als ein Etikett gelesen',
      help: 'Eines nach dem anderen scannen.',
    }),
    'code.wrong_check': () => ({
      headline: 'Falsch gelesen',
      help: 'Ein Zeichen stimmt nicht. Noch einmal scannen.',
    }),
    'station.unknown_code': () => ({
      headline: 'Dieses Etikett ist hier unbekannt',
      help: 'Vielleicht alt oder gesperrt. Den Meister fragen.',
    }),
    'station.no_typing': () => ({
      headline: 'Codes werden hier nicht getippt',
      help: 'Das Etikett scannen. Zahlen dürfen getippt werden.',
    }),
    'station.order_on_hold': (number) => ({
      headline: `Auftrag ${number} ist angehalten`,
      help: 'Nichts hat begonnen. Den Meister fragen.',
    }),
    'station.order_not_released': (number) => ({
      headline: `Auftrag ${number} ist nicht freigegeben`,
      help: 'Nichts hat begonnen. Den Meister um Freigabe bitten.',
    }),
    'station.no_open_task': (number) => ({
      headline: `Auftrag ${number} hat keinen offenen Arbeitsgang`,
      help: 'Fertig oder nicht freigegeben. Den Meister fragen.',
    }),
    'station.task_finished': (title) => ({
      headline: `${title} ist fertig`,
      help: 'Nichts hat begonnen. Den Meister fragen, ob noch etwas zu tun ist.',
    }),
    'station.technician_left': (name) => ({
      headline: `${name} arbeitet nicht mehr hier`,
      help: 'Dieser Ausweis beginnt nichts. Den Meister fragen.',
    }),
    'station.already_in': () => ({ headline: 'Du bist schon da', help: 'Einen Arbeitsgang scannen.' }),
    'station.not_in': () => ({ headline: 'Du bist nicht angemeldet', help: 'Erst SHIFT IN scannen.' }),
    'station.on_nothing': () => ({
      headline: 'Du arbeitest an nichts',
      help: 'Es gibt nichts zu verlassen.',
    }),
    'station.nothing_to_take_back': () => ({
      headline: 'Nichts zurückzunehmen',
      help: 'Das Letzte lässt sich 30 Sekunden lang zurücknehmen.',
    }),
    'station.presence_only': () => ({
      headline: 'Hier wird nur gekommen und gegangen',
      help: 'Arbeit an einer Arbeitsstation beginnen.',
    }),
    'station.not_a_lead': () => ({
      headline: 'Das kann nur ein Vorarbeiter',
      help: 'Den Vorarbeiter um seinen Ausweis bitten.',
    }),
    'station.no_crew': () => ({
      headline: 'Niemand zum An- oder Abmelden',
      help: 'Erst die Ausweise der Gruppe scannen.',
    }),
    'station.too_early': (most) => ({
      headline: most === '0' ? 'Lässt sich nicht zurücklegen' : `Höchstens ${most} Minuten zurück`,
      help: 'Nicht vor den letzten Scan, nicht über die Grenze dieser Station.',
    }),
    'station.bad_answer': (text) => ({
      headline: 'Das ist hier keine Antwort',
      help: text ? `Gelesen als „${text}“.` : 'Eine Antwort wählen oder eine Zahl tippen.',
    }),
    'station.value_outside': (text) => ({
      headline: `${text} liegt außerhalb der Grenzen`,
      help: 'Noch einmal tippen, wenn es stimmt, sonst den richtigen Wert.',
    }),
    'station.answer_needed': () => ({
      headline: 'Das muss beantwortet werden',
      help: 'Der Arbeitsgang verlangt es. Die Zahl tippen.',
    }),
    'station.nothing_found': (text) => ({
      headline: 'Kein offener Arbeitsgang gefunden',
      help: text
        ? `Nichts passt zu „${text}“. Mit der Auftragsnummer versuchen.`
        : 'Es gibt nichts zu wählen.',
    }),
    'station.wrong_pin': () => ({
      headline: 'Diese PIN stimmt nicht',
      help: 'Noch einmal tippen, dann ENTER.',
    }),
    'station.pin_wait': () => ({
      headline: 'Zu oft falsch',
      help: 'Eine Viertelstunde warten oder den Meister fragen.',
    }),
    'station.nothing_asked': () => ({
      headline: 'Jetzt ist nichts gefragt',
      help: 'Erst Ausweis oder Arbeitsgang scannen.',
    }),
  },
  said(said, names) {
    const line = (headline: string, help = '') => ({ headline, help });
    switch (said.kind) {
      case 'started':
      case 'switched': {
        const verb = said.kind === 'started' ? 'Begonnen' : 'Gewechselt';
        const back = said.minutesBack > 0 ? `, vor ${said.minutesBack} Minuten` : '';
        return line(
          `${verb}: ${ofType(said.workType, names.target(said.target))}${back}`,
          said.isOldTraveler
            ? 'Der Auftrag hat sich seit dem Druck dieser Laufkarte geändert. Eine neue verlangen.'
            : said.isSignedIn
              ? 'Du bist damit auch angemeldet.'
              : '',
        );
      }
      case 'joined':
        return line(
          `${ofType(said.workType, names.target(said.target))} neben ${targetsOf(said.beside, names)}`,
          'Die Zeit wird ab jetzt geteilt.',
        );
      case 'stopped':
        return line(`${targetsOf(said.left, names)} verlassen nach ${length(said.at - said.since)}`);
      case 'done':
        return line(
          `${targetsOf(said.left, names)} fertig nach ${length(said.at - said.since)}`,
          said.others.length > 0 ? `Noch daran: ${and(said.others.map(names.person))}.` : '',
        );
      case 'already-on':
        return line(`Du bist schon an ${names.target(said.target)}`);
      case 'shift-in':
        return line(said.isRepeat ? 'Du bist angemeldet' : 'Angemeldet');
      case 'shift-out':
        if (said.isRepeat) return line('Du bist abgemeldet');
        return said.left.length > 0
          ? line(
              'Abgemeldet. Bis bald',
              `${targetsOf(said.left, names)} verlassen nach ${length(said.at - said.since)}.`,
            )
          : line('Abgemeldet. Bis bald');
      case 'break':
        return line('Pause');
      case 'break-over':
        return line('Pause zu Ende');
      case 'work-type':
        return line(`Jetzt ${workType[said.workType]}, ${targetsOf(said.left, names)}`);
      case 'taken-back':
        return line('Zurückgenommen, als wäre nichts gescannt');
      case 'noted':
        return line('Vermerkt');
      case 'proposed':
        return line('Danke. Der Meister sieht es');
      case 'requested':
        return line(
          {
            part: 'Das Büro sieht, was fehlt',
            help: 'Hilfe ist gerufen',
            correction: 'Der Meister sieht es',
          }[said.what],
          'Die Antwort steht hier beim nächsten Ausweis.',
        );
      case 'crew-started':
        return line(
          `${said.technicians.length} an ${names.target(said.target)}`,
          and(said.technicians.map(names.person)),
        );
      case 'crew-did': {
        const act = {
          'off-task': 'verlassen',
          done: 'fertig',
          break: 'Pause',
          'shift-in': 'angemeldet',
          'shift-out': 'abgemeldet',
          'take-back': 'zurückgenommen',
          ...workType,
        }[said.action];
        const skipped = said.skipped.length > 0 ? ` Nichts für ${and(said.skipped.map(names.person))}.` : '';
        return line(
          `${said.technicians.length}: ${act}`,
          `${and(said.technicians.map(names.person))}.${skipped}`,
        );
      }
      case 'calibrated':
        return line('Dieser Scanner ist jetzt bekannt');
    }
  },
  workType,
  word: {
    yes: 'Ja',
    no: 'Nein',
    all: 'Alle',
    skip: 'Weglassen',
    'beside-the-job': 'Neben dem Auftrag',
    send: 'Senden',
    'not-now': 'Nicht jetzt',
  },
  request: { part: 'braucht ein Teil', help: 'braucht Hilfe', correction: 'bittet um Korrektur' },
  button: {
    'off-task': 'Verlassen',
    done: 'Fertig',
    break: 'Pause',
    'break-over': 'Pause Ende',
    'shift-in': 'Kommen',
    'shift-out': 'Gehen',
    join: 'Einer dazu',
    earlier: 'Früher',
    indirect: 'Gemeinkosten',
    part: 'Teil fehlt',
    help: 'Hilfe rufen',
    note: 'Notiz',
    find: 'Suchen',
    'own-time': 'Meine Zeit',
    'lead-crew': 'Meine Gruppe',
    'take-back': 'Zurücknehmen',
    blank: 'Bildschirm leeren',
    camera: 'Kamera',
    enter: 'Enter',
    correction: 'Etwas stimmt nicht',
    'change-pin': 'PIN ändern',
    back: 'Zurück',
  },
  length,
  and,
  ui: DE_SCREEN,
};

function sayReport(
  question: Extract<Parameters<Words['question']>[0], { kind: 'report' }>,
  names: Names,
): ReturnType<Words['question']> {
  const { report, half, target } = question;
  const of = names.target(target);
  const { least, most, unit, label } = report;
  const limits =
    least !== null && most !== null
      ? `${least} bis ${most}`
      : least !== null
        ? `mindestens ${least}`
        : most !== null
          ? `höchstens ${most}`
          : '';
  if (report.kind === 'remark') return { headline: label || 'Was ist dazu zu sagen?', help: of };
  if (report.kind === 'value')
    return { headline: `${label}${unit ? ` in ${unit}` : ''}?`, help: `${of}${limits ? `: ${limits}` : ''}` };
  if (half.good === undefined) return { headline: 'Wie viele gute Stück?', help: of };
  return half.scrap === undefined
    ? { headline: 'Wie viel Ausschuss?', help: `${half.good} gut. ${of}` }
    : { headline: 'Warum Ausschuss?', help: `${half.good} gut, ${half.scrap} Ausschuss. ${of}` };
}
