import { randomUUID } from 'node:crypto';
import { ok } from '@wergon/core/result';
import { DEFAULT_STATION_SETTINGS } from '@wergon/core/station';
import type { StationSettings } from '@wergon/core/station';
import type { Instant } from '@wergon/core/time';
import { COOKIES, giveCookie, hashToken, makeToken } from '../access/index.ts';
import type { StationContext } from './context.ts';
import type { Mount } from '../http/index.ts';
import { refuse } from '../http/index.ts';
import { readSql } from '../db/index.ts';
import { loadBoard, loadBoardPart } from '../floor/index.ts';
import { readBatch, readChanges, writeOutcome } from '../ledger/index.ts';
import { BadgeEntity } from '../people/index.ts';
import type { ShopFacts } from '../catalog/index.ts';
import { StationEntity } from '../shop/index.ts';
import { loadCodes } from './loadCodes.ts';
import { loadChangedDetails, loadDetails, loadMoves } from './loadDirectory.ts';
import { findToConfirm, mountConfirm, writeToConfirm } from './confirm.ts';
import { loadOwnTime } from './ownTime.ts';
import { mountPins } from './pins.ts';
import { mountProveSelf } from './proveSelf.ts';
import { drawPairing, offerPairing } from './pairing.ts';

const instantOrNull = (at: Instant | null | undefined) => at ?? null;

/** What a station was set to, on top of what holds by itself. */
const settingsOf = (settings: Partial<StationSettings> | null | undefined): StationSettings => ({
  ...DEFAULT_STATION_SETTINGS,
  ...settings,
});

/** The same with the names by which its page knows departments, crews and work centers. */
const namedSettings = (settings: StationSettings, { groups }: ShopFacts): StationSettings => {
  const names = (ids: readonly string[]) => ids.flatMap((id) => groups.get(id) ?? []);
  return { ...settings, people: names(settings.people), workCenters: names(settings.workCenters) };
};

/** How long a station's last use is not written down anew. */
const SEEN_SECONDS = 60;

const TOKEN_SECONDS = 10 * 365 * 86_400;

export function mountStation(mount: Mount, context: StationContext): void {
  const { database, clock, journal, live, facts, proofs, isDemo } = context;

  mount('stations', async () => {
    const stations = await database.em.fork().findAll(StationEntity, { orderBy: { name: 1 } });
    return ok({
      stations: stations.map(({ id, name, settings, pairedAt, isRevoked, calibratedAt, lastScanAt }) => ({
        id,
        name,
        settings: settingsOf(settings),
        pairedAt: instantOrNull(pairedAt),
        isRevoked,
        calibratedAt: instantOrNull(calibratedAt),
        lastScanAt: instantOrNull(lastScanAt),
      })),
    });
  });

  mount('addStation', async ({ body: { name } }) => {
    const em = database.em.fork();
    if (await em.findOne(StationEntity, { name }))
      return refuse('record.taken', [{ field: 'name', message: 'a station of this name exists' }]);
    const id = randomUUID();
    const { code, columns, expiresAt } = drawPairing(clock.now());
    await em.insert(StationEntity, {
      id,
      name,
      tokenHash: null,
      pairedAt: null,
      ...columns,
      isRevoked: false,
      // A new station knows people by their badges alone; that codes may be typed there is somebody's choice.
      settings: { mayType: false },
      cardKey: makeToken(),
      scanner: null,
      calibratedAt: null,
      lastScanAt: null,
    });
    live.publishSetup();
    return ok({ id, code, expiresAt });
  });

  mount('saveStation', async ({ param, body: { name, settings } }) => {
    const em = database.em.fork();
    const other = await em.findOne(StationEntity, { name });
    if (other && other.id !== param('station'))
      return refuse('record.taken', [{ field: 'name', message: 'a station of this name exists' }]);
    const found = await em.nativeUpdate(
      StationEntity,
      { id: param('station') },
      settings ? { name, settings } : { name },
    );
    live.publishSetup();
    return found > 0 ? ok(null) : refuse('record.not_found');
  });

  mount('calibrate', async ({ body, who }) => {
    const { station } = who;
    const columns = { scanner: body, calibratedAt: clock.now() };
    await database.em.fork().nativeUpdate(StationEntity, { id: station.id }, columns);
    live.publishSetup();
    return ok(null);
  });

  mount('pairAgain', async ({ param }) => {
    const id = param('station');
    const offered = await offerPairing(database.em.fork(), id, clock.now());
    return offered
      ? ok({ id, code: offered.code, expiresAt: offered.expiresAt })
      : refuse('record.not_found');
  });

  mount('revokeStation', async ({ param }) => {
    const columns = { isRevoked: true, tokenHash: null, pairingHash: null, pairingExpiresAt: null };
    const changed = await database.em.fork().nativeUpdate(StationEntity, { id: param('station') }, columns);
    live.end(param('station'));
    live.publishSetup();
    return changed > 0 ? ok(null) : refuse('record.not_found');
  });

  mount('pair', async ({ body, req, res }) => {
    const em = database.em.fork();
    const pairingHash = hashToken(body.code.toUpperCase());
    const station = await em.findOne(StationEntity, { pairingHash });
    if (!station || (station.pairingExpiresAt ?? 0) < clock.now())
      return refuse('station.bad_pairing_code', [
        { field: 'code', message: 'this code is not valid, or not any more' },
      ]);
    const token = makeToken();
    await em.nativeUpdate(
      StationEntity,
      { id: station.id },
      {
        tokenHash: hashToken(token),
        pairedAt: clock.now(),
        // The demo prints its link once, and whoever tries it out opens it more than once.
        ...(isDemo ? {} : { pairingHash: null, pairingExpiresAt: null }),
        isRevoked: false,
      },
    );
    giveCookie(req, res, COOKIES.station, token, TOKEN_SECONDS);
    live.publishSetup();
    return ok({ id: station.id, name: station.name });
  });

  mount('directory', async ({ who }) => {
    const { station } = who;
    const known = await facts.get();
    const em = database.em.fork();
    const now = clock.now();
    const { board, moves } = await readSql(database, (sql) => {
      const found = loadBoard(sql, known, now);
      return { board: found, moves: loadMoves(sql, known, now, found) };
    });
    const onBoard = new Set(board.tasks.map(({ id }) => id));
    const own = await em.findOneOrFail(StationEntity, { id: station.id });
    const cardKey = own.cardKey || (await giveCardKey(station.id));
    return ok({
      ...board,
      station: { id: station.id, name: station.name },
      settings: namedSettings(settingsOf(own.settings), known),
      cardKey,
      codes: await loadCodes(em, known, board, onBoard, cardKey),
      ...(await loadDetails(em, known, board, moves, now)),
      scanner: own.scanner ?? null,
      isDemo,
    });
  });

  mount('directoryChanges', async ({ query: { after } }) => {
    const known = await facts.get();
    const now = clock.now();
    const read = await readChanges(database, live, after, (sql, part) => {
      const found = loadBoardPart(sql, known, now, part);
      return { board: found, moves: loadMoves(sql, known, now, found) };
    });
    if (!read) return ok(null);
    const { board, moves } = read;
    const details = await loadChangedDetails(database.em.fork(), known, board, moves, now);
    return ok({ ...board, ...details });
  });

  /** A station of an older version has no key of its own yet. */
  async function giveCardKey(id: string): Promise<string> {
    const cardKey = makeToken();
    await database.em.fork().nativeUpdate(StationEntity, { id }, { cardKey });
    return cardKey;
  }

  mountConfirm(mount, context);
  mountProveSelf(mount, context);
  mountPins(mount, context);
  mount('ownTime', async ({ body: { technician, proof }, who }) => {
    const known = await facts.get();
    if (!known.technicians.has(technician)) return refuse('record.not_found');
    if (!proofs.holds(proof, who.station.id, technician)) return refuse('access.not_proved');
    const now = clock.now();
    return ok(
      await readSql(database, (sql) => ({
        ...loadOwnTime(sql, known, technician, now),
        toConfirm: findToConfirm(sql, known, technician, now).map(writeToConfirm),
      })),
    );
  });

  mount('bench', async () => {
    if (!isDemo) return refuse('route.not_found');
    const known = await facts.get();
    const badges = await database.em.fork().find(BadgeEntity, { revokedAt: null });
    return ok({
      badges: badges.map(({ code, technician }) => ({
        code,
        name: known.technicians.get(technician)?.name ?? '',
      })),
    });
  });

  mount('stationEntries', async ({ body, who }) => {
    const { station } = who;
    const { outcomes, seq } = await journal.append(
      { kind: 'station', id: station.id },
      readBatch(body.entries),
    );
    await rememberScan(station.id);
    return ok({ results: outcomes.map(writeOutcome), seq });
  });

  /** Writes down that a station is in use, at most once a minute. */
  const seenAt = new Map<string, number>();
  async function rememberScan(id: string): Promise<void> {
    const now = clock.now();
    if (now - (seenAt.get(id) ?? 0) < SEEN_SECONDS) return;
    seenAt.set(id, now);
    await database.em.fork().nativeUpdate(StationEntity, { id }, { lastScanAt: now });
  }
}
