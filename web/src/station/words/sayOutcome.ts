import type { Said } from '@wergon/core/station';
import type { Running } from '@wergon/core/ledger';
import type { WorkType } from '@wergon/core/work';
import type { Line, Names, Speech } from './speech.ts';

const WORK_TYPES: ReadonlySet<string> = new Set<WorkType>([
  'setup',
  'run',
  'cleanup',
  'down',
  'rework',
  'travel',
]);
const isWorkType = (action: string): action is WorkType => WORK_TYPES.has(action);

/** What the last input came to, as it stands on the screen. */
export function sayOutcome(
  said: Exclude<Said, { kind: 'refused' }>,
  names: Names,
  { say, and, length }: Speech,
): Line {
  const line = (headline: string, help = '') => ({ headline, help });
  const ofType = (type: WorkType, target: string) =>
    type === 'run' ? target : say('stationSaid.of-type', { workType: say(`workTypes.${type}`), target });
  const titles = (running: readonly Running[]) => and(running.map(({ target }) => names.target(target)));
  switch (said.kind) {
    case 'started':
    case 'switched': {
      const target = ofType(said.workType, names.target(said.target));
      const back = said.minutesBack > 0 ? `, ${say('stationSaid.back', { n: said.minutesBack })}` : '';
      return line(
        `${say(`stationSaid.${said.kind}`, { target })}${back}`,
        said.isOldTraveler
          ? say('stationSaid.old-traveler')
          : said.isSignedIn
            ? say('stationSaid.signed-in-too')
            : '',
      );
    }
    case 'joined':
      return line(
        say('stationSaid.joined', {
          target: ofType(said.workType, names.target(said.target)),
          beside: titles(said.beside),
        }),
        say('stationSaid.joined.help'),
      );
    case 'stopped':
      return line(
        say('stationSaid.stopped', { targets: titles(said.left), length: length(said.at - said.since) }),
      );
    case 'done':
      return line(
        say('stationSaid.done', { targets: titles(said.left), length: length(said.at - said.since) }),
        said.others.length > 0
          ? say('stationSaid.done.others', { names: and(said.others.map(names.person)) })
          : '',
      );
    case 'already-on':
      return line(say('stationSaid.already-on', { target: names.target(said.target) }));
    case 'shift-in':
      return line(said.isRepeat ? say('stationSaid.shift-in.again') : say('stationSaid.shift-in'));
    case 'shift-out':
      if (said.isRepeat) return line(say('stationSaid.shift-out.again'));
      return line(
        say('stationSaid.shift-out'),
        said.left.length > 0
          ? say('stationSaid.shift-out.left', {
              targets: titles(said.left),
              length: length(said.at - said.since),
            })
          : '',
      );
    case 'break':
    case 'break-over':
    case 'taken-back':
    case 'noted':
    case 'proposed':
    case 'calibrated':
      return line(say(`stationSaid.${said.kind}`));
    case 'work-type':
      return line(
        say('stationSaid.work-type', {
          workType: say(`workTypes.${said.workType}`),
          targets: titles(said.left),
        }),
      );
    case 'withdrawn':
      return line(say('stationSaid.withdrawn'), say('stationSaid.withdrawn.help'));
    case 'requested':
      return line(say(`stationSaid.requested.${said.what}`), say('stationSaid.requested.answer'));
    case 'crew-started':
      return line(
        say('stationSaid.crew-started', { n: said.technicians.length, target: names.target(said.target) }),
        and(said.technicians.map(names.person)),
      );
    case 'crew-did': {
      const { action, technicians, skipped } = said;
      const act = isWorkType(action) ? say(`workTypes.${action}`) : say(`stationSaid.crew.${action}`);
      const nothing =
        skipped.length > 0
          ? ` ${say('stationSaid.crew-did.nothing', { names: and(skipped.map(names.person)) })}`
          : '';
      return line(
        say('stationSaid.crew-did', { n: technicians.length, act }),
        `${and(technicians.map(names.person))}.${nothing}`,
      );
    }
  }
}
