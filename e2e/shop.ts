import { copyFileSync } from 'node:fs';
import type { OrderJson } from '@wergon/contract/compare';
import type { Page } from '@playwright/test';
import { createServerProcess } from './server.ts';

export const PASSWORD = 'a long password';

export type Shop = Awaited<ReturnType<typeof openShop>>;

/** Types a code as a scanner does, where the focus is: within the page, because on a busy machine the driver's keys come
 *  as slowly as a hand's. */
export const scanText = (page: Page, code: string): Promise<void> =>
  page.evaluate((text) => {
    const target = document.activeElement ?? document.body;
    for (const key of [...text, 'Enter']) {
      const down = new KeyboardEvent('keydown', { key, bubbles: true, cancelable: true });
      if (!target.dispatchEvent(down) || key.length > 1 || !(target instanceof HTMLInputElement)) continue;
      target.value += key;
      target.dispatchEvent(new Event('input'));
    }
  }, code);

/** A caller with the cookie of a desk or a station, or with one it is given. */
export const createCaller = (url: string, jar = { cookie: '' }) => {
  const call = async <T>(path: string, body?: unknown): Promise<T> => {
    const response = await fetch(`${url}${path}`, {
      ...(body === undefined ? {} : { method: 'POST', body: JSON.stringify(body) }),
      headers: { cookie: jar.cookie, ...(body === undefined ? {} : { 'content-type': 'application/json' }) },
    });
    const given = response.headers.get('set-cookie')?.split(';')[0];
    if (given) jar.cookie = given;
    if (!response.ok) throw new Error(`${path}: ${response.status} ${await response.text()}`);
    return (await response.json()) as T;
  };
  return call;
};

/** Makes a small shop: Ada and Bo, one released order and one draft. */
async function makeShop(env: Readonly<Record<string, string>>) {
  const server = await createServerProcess(env);
  await server.start();
  const jar = { cookie: '' };
  const desk = createCaller(server.url, jar);
  await desk('/api/first-run', {
    shopName: 'Test shop',
    zone: 'Europe/Oslo',
    currency: 'EUR',
    name: 'Sol',
    userName: 'sol',
    password: PASSWORD,
  });
  for (const [i, name] of ['Ada Lund', 'Bo Moe'].entries()) {
    const { id } = await desk<{ id: string }>('/api/people', {
      number: String(i + 1),
      name,
      department: 'Winding',
    });
    await desk(`/api/people/${id}/rates`, { record: { from: '2026-01-01', per: 'hour', base: '36.00' } });
  }
  const { id: grade } = await desk<{ id: string }>('/api/grades', { name: 'Winder', standardRate: '40' });
  const addOrder = async (number: string) => {
    const { id } = await desk<{ id: string }>('/api/work', {
      number,
      title: 'Rewind pump motor',
      customer: 'Stock',
      quantity: 1,
      due: null,
      estimateIncludes: ['setup'],
      tasks: ['Strip', 'Winding'].map((title) => ({ title, workCenter: '', grade, runHours: '2' })),
    });
    return desk<OrderJson>(`/api/work/${id}`);
  };
  const released = await addOrder('5001');
  await desk(`/api/work/${released.order.id}/state`, { state: 'released' });
  const draft = await addOrder('5002');
  const { technicians } = await desk<{
    technicians: { id: string; name: string; badges: { code: string }[] }[];
  }>('/api/people');
  const { actions } = await desk<{ actions: { action: string; code: string }[] }>('/api/shop');
  const codes: Record<string, string> = {
    strip: released.tasks[0]?.code ?? '',
    winding: released.tasks[1]?.code ?? '',
    draft: draft.tasks[0]?.code ?? '',
    order: released.order.code,
    ...Object.fromEntries(
      technicians.map(({ name, badges }) => [name.split(' ')[0]?.toLowerCase(), badges[0]?.code]),
    ),
    ...Object.fromEntries(actions.map(({ action, code }) => [action, code])),
  };
  return { server, jar, technicians, codes, order: released };
}

/** Each shop begins as a copy of the first one of its worker: to make it takes several times as long. */
let first: ReturnType<typeof makeFirst> | undefined;
const makeFirst = async () => {
  const made = await makeShop({});
  await made.server.stop();
  return { ...made, clock: new Date(made.server.nowMs()).toISOString() };
};
async function copyShop() {
  const { server: original, clock, jar, ...rest } = await (first ??= makeFirst());
  const server = await createServerProcess({ WERGON_CLOCK: clock });
  copyFileSync(original.database, server.database);
  await server.start();
  return { server, jar: { ...jar }, ...rest };
}

/** The product with a small shop in it, and a station to be paired. */
export async function openShop(env?: Readonly<Record<string, string>>) {
  const { server, jar, technicians, codes, order } = await (env ? makeShop(env) : copyShop());
  const desk = createCaller(server.url, jar);
  /** A station at which codes may also be typed by hand. */
  const pairingCode = async (name: string) => {
    const { id, code } = await desk<{ id: string; code: string }>('/api/stations', { name });
    const { stations } = await desk<{ stations: { id: string; settings: object }[] }>('/api/stations');
    const settings = { ...stations.find((each) => each.id === id)?.settings, mayType: true };
    await desk(`/api/stations/${id}`, { name, settings });
    return code;
  };
  return {
    server,
    desk,
    codes,
    technicians,
    order,
    pairingCode,
    /** Opens a station page and pairs it. */
    openStation: async (page: Page, name = 'Winding 1') => {
      await page.goto(`${server.url}/station#pair=${await pairingCode(name)}`);
      await page.getByText('This station is free').waitFor();
    },
    /** A label before the scanner. */
    scan: (page: Page, label: string) => scanText(page, codes[label] ?? label),
    openDesk: async (page: Page, path: string) => {
      await page.goto(`${server.url}${path}`);
      await page.getByLabel('User name').fill('sol');
      await page.getByLabel('Password').fill(PASSWORD);
      await page.getByRole('button', { name: 'Sign in' }).click();
      await page.getByRole('navigation', { name: 'Places' }).waitFor();
    },
  };
}
