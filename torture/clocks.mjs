import { createCaller } from './server.mjs';
import { line, nowSeconds } from './shop.mjs';

const DAY = 86_400;
const instant = (seconds) => new Date(seconds * 1000).toISOString().replace('.000Z', 'Z');

/** Stations whose clocks are off, also by two days; what a person does now is seen now all the same. */
export async function tortureClocks(dice, { url, shop }) {
  const problems = [];
  const station = createCaller(url, shop.stations[0].cookie);
  for (const [days, expected] of [
    [-2, 'recorded'],
    [-700, 'recorded'],
    [0.5, 'recorded'],
    [2, 'refused'],
    [365, 'refused'],
    [60_000, 'refused'],
  ]) {
    const technician = dice.pick(shop.technicians);
    const send = async (entry) =>
      (await station('/api/station/entries', { entries: [line(entry)] })).results[0];
    const off = { id: dice.id(), type: 'shift-in', at: instant(nowSeconds() + days * DAY), technician };
    const { result } = await send(off);
    if (result !== expected) problems.push(`a clock ${days} days off: ${result}`);
    const start = {
      id: dice.id(),
      type: 'work-start',
      at: instant(nowSeconds()),
      technician,
      targets: [shop.tasks[0]],
    };
    await send(start);
    const { technicians } = await station('/api/station/directory');
    const { doing } = technicians.find(({ id }) => id === technician).state;
    if (doing.status !== 'work' || !doing.running.some(({ target }) => target === shop.tasks[0]))
      problems.push(`a clock ${days} days off hides what is done now`);
  }
  return { problems };
}
