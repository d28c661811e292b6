import { z } from 'zod';
import { ROUTES } from '@wergon/contract/routes';
import { ask } from './server.mjs';
import { line, nowSeconds, scanOf } from './shop.mjs';

/** Values that have hurt servers before. */
const HOSTILE = [
  '',
  ' ',
  '\u0000',
  'a\u0000b',
  '\ud800',
  'x\udfff',
  '\u202e',
  '../../../etc/passwd',
  "'; drop table journal; --",
  '<img src=x onerror=alert(1)>',
  '=1+1',
  '%00',
  '%ff',
  'x'.repeat(5_000),
  '9999-12-31T23:59:59-23:59',
  '0000-01-01T00:00:00+23:59',
  '2026-02-30',
  '9999-12-31',
  '0001-01-01',
  'NaN',
  '1e999',
  '-1',
  '99999999999999999999',
  null,
  true,
  0,
  -1,
  1e308,
  -0,
  9_007_199_254_740_991,
  0.1,
  [],
  {},
  [[[[[]]]]],
  { __proto__: { isAdmin: true } },
  { constructor: { prototype: {} } },
];

const nested = (depth) => `${'['.repeat(depth)}${']'.repeat(depth)}`;

/** A value that a schema describes, made by dice, with what is known of the shop in it. */
function valueOf(dice, schema, known, depth = 0) {
  if (!schema || depth > 8) return dice.pick(HOSTILE);
  if (schema.const !== undefined) return schema.const;
  if (schema.enum) return dice.pick(schema.enum);
  const any = schema.anyOf ?? schema.oneOf;
  if (any) return valueOf(dice, dice.pick(any), known, depth + 1);
  if (schema.allOf)
    return Object.assign({}, ...schema.allOf.map((each) => valueOf(dice, each, known, depth + 1)));
  switch (schema.type) {
    case 'object': {
      const made = {};
      for (const [key, inner] of Object.entries(schema.properties ?? {}))
        if (schema.required?.includes(key) || dice.chance(0.5))
          made[key] = valueOf(dice, inner, known, depth + 1);
      return made;
    }
    case 'array':
      return Array.from({ length: dice.below(4) }, () => valueOf(dice, schema.items, known, depth + 1));
    case 'integer':
    case 'number':
      return dice.pick([0, 1, 2, 60, 3600, schema.minimum ?? -1, schema.maximum ?? 1e9]);
    case 'boolean':
      return dice.chance(0.5);
    case 'null':
      return null;
    default:
      return dice.pick([
        ...known,
        '2026-11-20',
        '2026-11-24T11:00:00Z',
        '12.50',
        '1',
        'EUR',
        'Winding',
        'a long password',
      ]);
  }
}

/** The same value with something hostile somewhere in it. */
function poison(dice, value, depth = 0) {
  if (dice.chance(0.25) || depth > 6 || typeof value !== 'object' || value === null)
    return dice.pick(HOSTILE);
  if (Array.isArray(value)) {
    if (value.length === 0) return [dice.pick(HOSTILE)];
    const at = dice.below(value.length);
    return value.map((each, i) => (i === at ? poison(dice, each, depth + 1) : each));
  }
  const keys = Object.keys(value);
  if (keys.length === 0 || dice.chance(0.1))
    return { ...value, [dice.pick(['more', '\ud800', '__proto__', ''])]: 1 };
  const key = dice.pick(keys);
  return { ...value, [key]: poison(dice, value[key], depth + 1) };
}

const schemas = new Map();
function schemaOf(name, part) {
  const key = `${name} ${part}`;
  if (!schemas.has(key)) {
    const schema = ROUTES[name][part];
    schemas.set(
      key,
      schema ? z.toJSONSchema(schema, { io: 'input', unrepresentable: 'any', reused: 'inline' }) : null,
    );
  }
  return schemas.get(key);
}

/** Floor entries and labor as stations send them, good and bad, one batch. */
function batchOf(dice, shop, known) {
  const at = () => nowSeconds() + dice.pick([-3600, -60, 0, 30, 3600, 90_000, 200_000, -200_000, -1e9]);
  const entry = () => {
    const scan = scanOf(dice, shop, at());
    return dice.pick([
      scan,
      scan,
      { id: dice.id(), type: 'void', target: dice.pick(known) },
      { id: dice.id(), type: 'amend', target: dice.pick(known), set: { at: scan.at } },
      { id: dice.id(), type: 'unread-scan', at: scan.at, text: 'ABC', reason: 'code.unknown_kind' },
      {
        id: dice.id(),
        type: 'request',
        at: scan.at,
        technician: scan.technician,
        what: 'part',
        target: null,
        text: 'x',
      },
      {
        id: dice.id(),
        type: 'proposal',
        at: scan.at,
        technician: scan.technician,
        about: dice.pick(known),
        kind: 'forgotten-stop',
        ended: scan.at,
      },
      { id: dice.id(), type: 'clock-jump', at: scan.at, seconds: 4_000 },
    ]);
  };
  const entries = Array.from({ length: 1 + dice.below(6) }, () => {
    const made = line(entry());
    if (dice.chance(0.5)) known.push(made.entry.id);
    return dice.chance(0.4) ? poison(dice, made) : made;
  });
  return { entries };
}

const ODD_HEADERS = [
  { 'content-encoding': 'gzip' },
  { 'content-encoding': 'br' },
  { 'content-encoding': 'nonsense' },
  { 'content-type': 'text/plain' },
  { 'content-type': 'application/json; charset=utf-99' },
  { range: 'bytes=999999999-' },
  { origin: 'http://evil.example' },
  { 'sec-fetch-site': 'cross-site' },
  { 'last-event-id': 'x' },
  { cookie: 'wergon_desk=\u00e9; wergon_station==;;=' },
];
const ODD_PATHS = [
  '/%',
  '/api/people/%ff/plan',
  '/api/people/a%00b/plan',
  '/api/../api/rail',
  '//',
  '/api/work/%2e%2e',
  '/assets/%c0%ae',
  '/api/stations/%00/revoke',
  `/api/work/${'x'.repeat(3_000)}`,
];

/** Acts that would end the torture rather than the server: everybody signed out, switched off, or locked out. */
const LEFT_ALONE = new Set(['signOut', 'saveUser', 'changePassword', 'pairAgain', 'makeBackup', 'firstRun']);

/** Sends varied requests of all kinds of callers over all routes; gives how they were answered. */
export async function fuzz({ dice, url, shop, count, isAlive, at = 8, say }) {
  const names = Object.keys(ROUTES).filter((name) => !LEFT_ALONE.has(name));
  const known = [...shop.technicians, ...shop.tasks, ...shop.orders, shop.grade, 'none', 'e1'];
  const cookies = [
    ...Object.values(shop.users),
    ...shop.stations.map(({ cookie }) => cookie),
    '',
    'wergon_desk=rubbish',
  ];
  const statuses = {};
  const failures = [];
  let [sent, slowest] = [0, 0];

  function make() {
    if (dice.chance(0.02)) return { path: dice.pick(ODD_PATHS), headers: { cookie: dice.pick(cookies) } };
    const name = dice.chance(0.25) ? 'stationEntries' : dice.pick(names);
    const route = ROUTES[name];
    const isHostile = dice.chance(0.5);
    const param = () =>
      encodeURIComponent(
        dice.chance(0.1) ? dice.pick(['a\u0000b', 'x'.repeat(500), '\u00e9']) : dice.pick(known),
      );
    let path = route.path.replace(/:\w+/g, param);
    const query = valueOf(dice, schemaOf(name, 'query') ?? { type: 'object' }, known);
    const asked = isHostile ? poison(dice, query) : query;
    if (route.method === 'get' && asked && typeof asked === 'object') {
      const pairs = Object.entries(asked).map(([key, value]) =>
        [key, String(value)].map(wellFormed).map(encodeURIComponent).join('='),
      );
      if (pairs.length > 0) path += `?${pairs.join('&')}`;
    }
    const cookie =
      name === 'stationEntries' && dice.chance(0.9) ? dice.pick(shop.stations).cookie : dice.pick(cookies);
    const headers = { cookie, ...(dice.chance(0.05) ? dice.pick(ODD_HEADERS) : {}) };
    if (route.method === 'get') return { path, headers };
    let body =
      name === 'stationEntries' ? batchOf(dice, shop, known) : valueOf(dice, schemaOf(name, 'body'), known);
    if (isHostile && name !== 'stationEntries') body = poison(dice, body);
    const text = dice.chance(0.01) ? nested(20_000) : dice.chance(0.01) ? '{' : JSON.stringify(body ?? null);
    return {
      method: 'POST',
      path,
      headers: { 'content-type': 'application/json', ...headers },
      body: text,
      name,
    };
  }

  async function run() {
    while (sent < count) {
      sent += 1;
      if (sent % 5_000 === 0) say(`   ${sent} requests`);
      const request = make();
      const { status, isHang, ms, text } = await ask(url, request);
      slowest = Math.max(slowest, ms);
      statuses[status] = (statuses[status] ?? 0) + 1;
      if (status === 500 || isHang || (status === 0 && !isAlive()))
        failures.push({
          status,
          isHang,
          path: request.path,
          body: request.body?.slice(0, 600),
          text: text.slice(0, 200),
        });
      if (!isAlive()) return;
    }
  }
  /** Pages that hear of every change, and go away and come back at any time. */
  async function hear(path, cookie) {
    while (sent < count && isAlive()) {
      await fetch(`${url}${path}`, {
        headers: { cookie },
        signal: AbortSignal.timeout(200 + dice.below(3_000)),
      })
        .then((response) => response.text())
        .catch(() => undefined);
      await new Promise((again) => setTimeout(again, 50));
    }
  }
  const hearing = [
    ...shop.stations.map(({ cookie }) => hear('/api/station/stream', cookie)),
    ...Object.values(shop.users).map((cookie) => hear('/api/stream', cookie)),
  ];
  await Promise.all(Array.from({ length: at }, run));
  await Promise.all(hearing);
  return { sent, statuses, failures, slowest };
}

/** Queries are sent as text; half a character cannot even leave this program. */
const wellFormed = (text) => text.toWellFormed();
