import { queueOf } from './alike.ts';
import type { LooseEndJson } from './alike.ts';

const end = (
  technician: string,
  kind: LooseEndJson['kind'],
  more: Partial<LooseEndJson> = {},
): LooseEndJson => ({
  kind,
  day: '2026-03-03',
  technician,
  name: technician,
  target: null,
  from: '2026-03-03T07:00:00Z',
  to: null,
  seconds: 600,
  targetId: null,
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

test.each([
  [[end('ada', 'gap'), end('bo', 'gap')], ['ada', 'bo'], 'each is a line of its own'],
  [
    [
      end('ada', 'gap', { isOutsidePlan: true }),
      end('bo', 'gap'),
      end('ada', 'gap', { isOutsidePlan: true }),
    ],
    ['outside-plan: ada+ada', 'bo'],
    'gaps of a person outside his planned time are one line',
  ],
  [
    [end('ada', 'forgotten-stop', planned), end('bo', 'forgotten-stop', planned)],
    ['alike: ada+bo', 'ada', 'bo'],
    'several of one kind with one likeliest answer can be answered together',
  ],
  [
    [end('ada', 'forgotten-stop', planned), end('bo', 'forgotten-shift-out', planned)],
    ['ada', 'bo'],
    'not of different kinds',
  ],
])('%# gives %j: %s', (ends, lines) => expect(say(ends)).toEqual(lines));
