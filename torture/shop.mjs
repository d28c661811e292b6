import { createCaller } from './server.mjs';

export const ROLES = ['own', 'technician', 'lead', 'supervisor', 'planner', 'bookkeeper', 'administrator'];
export const FIRST_RUN = {
  shopName: 'Torture',
  zone: 'Europe/Helsinki',
  currency: 'EUR',
  name: 'Sol',
  userName: 'sol',
  password: 'a long password',
};

/** Days of ordinary work behind it, so that pay periods can be closed. */
const DAYS_BEHIND = 45;

async function workFor({ technicians, tasks }, station, days) {
  const from = Math.floor(nowSeconds() / 86_400) * 86_400 - days * 86_400;
  for (let day = 0; day < days; day += 1) {
    const entries = technicians.flatMap((technician, i) => {
      const at = (hour) => instant(from + day * 86_400 + hour * 3_600);
      const id = (n) => `past-${day}-${i}-${n}`.padEnd(24, '-');
      return [
        { id: id(1), type: 'shift-in', at: at(6), technician },
        { id: id(2), type: 'work-start', at: at(6), technician, targets: [tasks[(day + i) % tasks.length]] },
        { id: id(3), type: 'shift-out', at: at(14), technician },
      ];
    });
    await station('/api/station/entries', { entries: entries.map(line) });
  }
}

/** A shop of some people, orders, stations and one user of each role, made as people would. */
export async function makeShop(url, stationCount = 4) {
  const desk = createCaller(url);
  await desk('/api/first-run', FIRST_RUN);
  const technicians = [];
  for (let i = 0; i < 8; i += 1)
    technicians.push(
      (
        await desk('/api/people', {
          number: `${i + 1}`,
          name: `Person ${i + 1}`,
          department: 'Shop',
          crew: 'One',
        })
      ).id,
    );
  const { id: grade } = await desk('/api/grades', { name: 'Any', standardRate: '40' });
  for (const id of technicians)
    await desk(`/api/people/${id}/rates`, {
      record: { from: '2026-01-01', per: 'hour', base: '31.50', grade },
    });
  const tasks = [];
  const orders = [];
  for (let i = 0; i < 6; i += 1) {
    const step = (title) => ({ title, workCenter: 'Bench', grade, runHours: '4' });
    const { id } = await desk('/api/work', {
      number: `T${i}`,
      title: 'Rewind',
      customer: 'Stock',
      quantity: 1,
      due: null,
      estimateIncludes: [],
      tasks: [step('Strip'), step('Wind')],
    });
    if (i < 5) await desk(`/api/work/${id}/state`, { state: 'released' });
    orders.push(id);
    tasks.push(...(await desk(`/api/work/${id}`)).tasks.map((task) => task.id));
  }
  const users = {};
  for (const role of ROLES) {
    const userName = `the ${role}`;
    const given = 'given by somebody';
    await desk('/api/users', { name: role, userName, password: given, roles: [role], seesRates: false });
    const own = createCaller(url);
    await own('/api/sign-in', { userName, password: given, isTrustedComputer: true });
    await own('/api/password', { password: given, newPassword: 'a long password' });
    users[role] = own.cookie;
  }
  const stations = [];
  for (let i = 0; i < stationCount; i += 1) {
    const { id, code } = await desk('/api/stations', { name: `Station ${i + 1}` });
    const station = createCaller(url);
    await station('/api/station/pair', { code });
    stations.push({ id, cookie: station.cookie });
  }
  const shop = { desk, technicians, tasks, orders, grade, users, stations };
  await workFor(shop, createCaller(url, stations[0].cookie), DAYS_BEHIND);
  return shop;
}

const instant = (seconds) => new Date(seconds * 1000).toISOString().replace('.000Z', 'Z');

/** One line of a batch, as a station sends it. */
export const line = (entry) => ({
  source: 'scan',
  via: [],
  action: entry.id,
  deviceAt: entry.at,
  clockOffset: 0,
  entry,
});
export const scanOf = (dice, { technicians, tasks }, at) => {
  const type = dice.pick(['shift-in', 'work-start', 'work-start', 'work-stop', 'shift-out', 'note']);
  return {
    id: dice.id(),
    type,
    at: instant(at),
    technician: dice.pick(technicians),
    ...(type === 'work-start' ? { targets: [dice.pick(tasks)] } : {}),
    ...(type === 'note' ? { text: 'as found' } : {}),
  };
};
export const nowSeconds = () => Math.floor(Date.now() / 1000);
