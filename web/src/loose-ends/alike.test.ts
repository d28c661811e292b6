import { day, instant, technicianId } from '@wergon/contract/wire';
import { findAlike, likeliestAnswers, namesOf, queueOf } from './alike.ts';
import type { LooseEndJson } from './alike.ts';

const end = (
  technician: string,
  kind: LooseEndJson['kind'],
  more: Partial<LooseEndJson> = {},
): LooseEndJson => ({
  kind,
  day: day.parse('2026-03-03'),
  technician: technicianId.parse(technician),
  name: technician,
  target: null,
  from: instant.parse('2026-03-03T07:00:00Z'),
  to: null,
  seconds: 600,
  targetId: null,
  about: null,
  stations: [],
  times: 1,
  refused: null,
  mayDecide: true,
  isOutsidePlan: false,
  answers: [],
  proposed: null,
  ...more,
});
const planned = { answers: [{ reason: 'planned-end', at: null }] } satisfies Partial<LooseEndJson>;
const say = (ends: readonly LooseEndJson[]) =>
  queueOf(ends).map((line) =>
    line.kind === 'one'
      ? line.end.technician
      : `${line.kind}: ${line.ends.map(({ technician }) => technician).join('+')}`,
  );
const together = (ends: readonly LooseEndJson[]) =>
  findAlike(ends).map((alike) => alike.map(({ technician }) => technician).join('+'));

test.each([
  [[end('ada', 'gap'), end('bo', 'gap')], ['ada', 'bo'], 'each is a line of its own'],
  [
    [
      end('ada', 'gap', { isOutsidePlan: true }),
      end('bo', 'gap'),
      end('ada', 'gap', { isOutsidePlan: true }),
    ],
    ['outside-plan: ada+ada', 'bo'],
    'gaps of a person outside the planned time are one line',
  ],
  [
    [
      end('bo', 'gap'),
      end('ada', 'gap', { from: instant.parse('2026-03-03T09:00:00Z'), name: 'ada' }),
      end('gate', 'unknown-code', { technician: null }),
      end('ada', 'long-break'),
    ],
    ['ada', 'ada', 'bo', null],
    'person by person, what is about nobody last',
  ],
])('%# gives %j: %s', (ends, lines) => expect(say(ends)).toEqual(lines));

const stop = (technician: string, more: Partial<LooseEndJson> = {}) =>
  end(technician, 'forgotten-stop', { ...planned, ...more });
test.each([
  [[stop('ada'), stop('bo')], ['ada+bo'], 'several of one kind with one likeliest answer'],
  [[stop('ada'), stop('bo', { day: day.parse('2026-03-04') })], ['ada+bo'], 'of different days as well'],
  [[stop('ada'), end('bo', 'forgotten-shift-out', planned)], [], 'not those of different kinds'],
  [
    [stop('ada'), stop('bo', { answers: [{ reason: 'last-scan', at: null }] })],
    [],
    'nor of different answers',
  ],
  [[stop('ada'), stop('bo', { isOutsidePlan: true })], [], 'nor what lies outside the plan'],
  [[stop('ada'), stop('bo', { mayDecide: false })], [], 'nor what somebody else decides on'],
])('%# can be answered together as %j: %s', (ends, groups) => expect(together(ends)).toEqual(groups));

test('each of those answered together gets its own likeliest answer; what is about nobody gets none', () => {
  const at = (hour: number) => ({
    answers: [{ reason: 'planned-end' as const, at: instant.parse(`2026-03-03T${hour}:00:00Z`) }],
  });
  const answers = likeliestAnswers([
    stop('ada', at(15)),
    stop('bo', at(16)),
    stop('cy', { technician: null }),
  ]);
  expect(answers.map((each) => [each.end.technician, each.at])).toEqual([
    ['ada', '2026-03-03T15:00:00Z'],
    ['bo', '2026-03-03T16:00:00Z'],
  ]);
});

test('of very many alike two hundred are answered in one go, and eight of their people are named', () => {
  const many = Array.from({ length: 260 }, (_, i) => stop(`p${i}`));
  const [first] = findAlike(many);
  expect(first).toHaveLength(200);
  expect(namesOf(first ?? [])).toBe('p0, p1, p2, p3, p4, p5, p6, p7 and 192 more');
  expect(namesOf([stop('ada'), stop('ada'), stop('bo')])).toBe('ada, bo');
});
