import { toInstant } from '@wergon/core/time';
import { snapEdge } from './snap.ts';

const at = toInstant;

test.each([
  [1000, [], 0, 1020, 'the nearest whole minute'],
  [985, [], 0, 960, 'below the half it is the minute before'],
  [1000, [1007], 10, 1007, 'a neighbour’s edge that is near, to the second'],
  [1000, [1007], 5, 1020, 'not one that is further than the reach'],
  [1000, [1009, 996], 10, 996, 'of two the nearer one'],
])('%i near %j within %i lies at %i: %s', (drawn, neighbours, reach, lies) => {
  expect(snapEdge(at(drawn), neighbours.map(at), reach)).toBe(lies);
});
