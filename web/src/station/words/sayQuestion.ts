import type { Question } from '@wergon/core/station';
import type { Line, Names, Speech } from './speech.ts';

/** What somebody is asked, as it stands on the screen. */
export function sayQuestion(question: Question, names: Names, { say, and }: Speech): Line {
  switch (question.kind) {
    case 'override':
      return {
        headline: say(`stationRefusal.${question.code}`, { text: question.text }),
        help: say('stationQuestion.override.help'),
      };
    case 'which-task':
    case 'which-running':
    case 'which-activity':
    case 'which-machine':
    case 'note':
    case 'find':
      return {
        headline: say(`stationQuestion.${question.kind}`),
        help: say(`stationQuestion.${question.kind}.help`),
      };
    case 'reopen':
      return {
        headline: say('stationQuestion.reopen', { target: names.target(question.target) }),
        help: say('stationQuestion.reopen.help'),
      };
    case 'confirm-stop':
      return {
        headline:
          question.targets.length === 0
            ? say('stationQuestion.confirm-stop.out')
            : say('stationQuestion.confirm-stop', { targets: and(question.targets.map(names.target)) }),
        help: say('stationQuestion.confirm-stop.help'),
      };
    case 'outside':
      return {
        headline: say('stationQuestion.outside', { workType: say(`workTypes.${question.workType}`) }),
        help: question.activity
          ? say('stationQuestion.outside.belongs', { activity: names.target(question.activity) })
          : say('stationQuestion.outside.help'),
      };
    case 'why':
      return {
        headline: say(`stationQuestion.why.${question.why}`),
        help: say('stationQuestion.why.without'),
      };
    case 'earlier':
      return {
        headline: say('stationQuestion.earlier'),
        help: say('stationQuestion.earlier.help', { most: question.most }),
      };
    case 'report':
      return sayReport(question, names, say);
    case 'forgot':
      return {
        headline: say(`stationQuestion.${question.forgotten}`, { time: names.clock(question.from) }),
        help: say('stationQuestion.forgot.help'),
      };
    case 'pin':
      return question.isChecking
        ? { headline: say('stationQuestion.pin.checking'), help: '' }
        : { headline: say('stationQuestion.pin'), help: say('stationQuestion.pin.help') };
    case 'how-many':
      return {
        headline: say('stationQuestion.how-many', { part: question.part }),
        help: say('stationQuestion.how-many.help'),
      };
    case 'why-part':
      return {
        headline: say('stationQuestion.why-part'),
        help: say('stationQuestion.request.how'),
      };
    case 'leave-kind':
      return {
        headline: say('stationQuestion.leave-kind'),
        help: say(`stationQuestion.leave-kind.${question.asked.length > 0 ? 'asked' : 'help'}`),
      };
    case 'leave-hours':
    case 'leave-word':
      return {
        headline: say(`stationQuestion.${question.kind}`),
        help: say(`stationQuestion.${question.kind}.help`),
      };
    case 'leave-from':
    case 'leave-to':
      return {
        headline: say(`stationQuestion.${question.kind}`),
        help: say('stationQuestion.leave-day.help'),
      };
    case 'request':
      return {
        headline: say(`stationQuestion.request.${question.what}`),
        help: say('stationQuestion.request.how'),
      };
  }
}

function sayReport(
  { report, half, target: of }: Extract<Question, { kind: 'report' }>,
  names: Names,
  say: Speech['say'],
): Line {
  const target = names.target(of);
  const { label, unit } = report;
  if (report.kind === 'remark') return { headline: label || say('stationQuestion.remark'), help: target };
  if (report.kind === 'value') {
    const limits = sayLimits(report, say);
    return {
      headline: unit
        ? say('stationQuestion.value.unit', { label, unit })
        : say('stationQuestion.value', { label }),
      help: limits === '' ? target : `${target}: ${limits}`,
    };
  }
  const { good, scrap } = half;
  if (good === undefined) return { headline: say('stationQuestion.good'), help: target };
  return scrap === undefined
    ? { headline: say('stationQuestion.scrap'), help: say('stationQuestion.scrap.help', { good, target }) }
    : {
        headline: say('stationQuestion.why'),
        help: say('stationQuestion.why.help', { good, scrap, target }),
      };
}

function sayLimits(
  { least, most }: { readonly least: number | null; readonly most: number | null },
  say: Speech['say'],
): string {
  if (least !== null && most !== null) return say('stationQuestion.between', { least, most });
  if (least !== null) return say('stationQuestion.at-least', { least });
  return most === null ? '' : say('stationQuestion.at-most', { most });
}
