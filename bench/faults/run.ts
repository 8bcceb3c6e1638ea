import 'fake-indexeddb/auto';
import { applyEntry, type FindRecord } from '@pause/core';
import { seeded } from '@pause/core/drawing';
import { parseEntry } from '@pause/core/notebook';
import { shippedGuide } from '@pause/guide';
import { takeGuide } from '../../app/src/deciding/guide';
import { comparable, SimulatedDevice, type Fault } from './device';
import { ATTACKS } from './hostile';
import { people } from './people';
import { openWorld, type World } from './world';

/**
 * Several devices of one group, given things at random, while everything that can break does, and some members
 * mean harm.
 */
export interface FaultRun {
  readonly seed: number;
  readonly devices: number;
  readonly readings: number;
  readonly faults: number;
  /** So many of the devices are of members who mean harm. */
  readonly hostile?: number;
  /** One device keeps nothing of what it receives, to see that it would be noticed. */
  readonly forgetful?: boolean;
}

export interface FaultReport extends FaultRun {
  readonly seconds: number;
  /** How often each fault was made to happen. */
  readonly happened: Readonly<Record<string, number>>;
  /** How often each attack was made. */
  readonly attacked: Readonly<Record<string, number>>;
  readonly acknowledged: number;
  /** Acknowledged readings that the server does not have once. */
  readonly lost: readonly string[];
  readonly doubled: readonly string[];
  /** Devices whose notebook is not the server's, with a find that differs. */
  readonly unequal: readonly string[];
  readonly refused: readonly string[];
  readonly entries: number;
  readonly gaps: number;
}

const KINDS = [
  'refused',
  'cut-request',
  'answer-lost',
  'twice',
  'late-again',
  'offline',
  'tab-killed',
  'clock',
  'server-killed',
  'database-killed',
] as const;
/** The two that take seconds are rarer. */
const WEIGHT: Readonly<Record<(typeof KINDS)[number], number>> = {
  refused: 4,
  'cut-request': 4,
  'answer-lost': 4,
  twice: 4,
  'late-again': 4,
  offline: 4,
  'tab-killed': 4,
  clock: 3,
  'server-killed': 1,
  'database-killed': 1,
};

const CHARACTERS = [
  ['cap.shape', 'funnel'],
  ['hymenophore', 'gills'],
  ['cap.surface', 'felty'],
  ['stipe.interior', 'solid'],
] as const;
const DAY_MS = 86_400_000;
/** Attacks in a run, of every kind about as many. */
const ATTACKS_IN_ALL = 100;
const LEAST_BETWEEN = 10;

export async function runFaults(
  { seed, devices: count, readings, faults, hostile = 0, forgetful = false }: FaultRun,
  say: (line: string) => void = () => undefined,
): Promise<FaultReport> {
  const began = Date.now();
  takeGuide({ raw: shippedGuide() });
  const random = seeded(seed);
  const below = (most: number) => Math.floor(random() * most);
  const one = <T>(of: readonly T[]): T => of[below(of.length)] as T;
  const world = await openWorld();
  try {
    const { devices, group, cookie, enemies } = await people(world, count, hostile, seed, forgetful);
    for (const device of devices) await device.begin();
    const finds: string[] = [];
    const happened: Record<string, number> = {};
    const attacked: Record<string, number> = {};
    const bag = KINDS.flatMap((kind) => Array.from({ length: WEIGHT[kind] }, () => kind));
    const every = Math.max(1, Math.floor(readings / (faults + 1)));
    const between = Math.max(LEAST_BETWEEN, Math.floor(readings / ATTACKS_IN_ALL));
    let breaking: Promise<unknown> = Promise.resolve();
    for (let made = 0; made < readings; made += 1) {
      const device = one(devices);
      if (made % 25 === 0) {
        const find = await device.find('boletus-edulis', group);
        if (find !== undefined) finds.push(find);
      }
      if (made % every === every - 1 && Object.values(happened).reduce((a, b) => a + b, 0) < faults) {
        // Each of the two that take long happens at least once.
        const made = Object.values(happened).reduce((a, b) => a + b, 0);
        const kind = made === 0 ? 'server-killed' : made === 1 ? 'database-killed' : one(bag);
        happened[kind] = (happened[kind] ?? 0) + 1;
        breaking = breaking.then(() => make(kind, device, world, random));
        if (kind !== 'server-killed' && kind !== 'database-killed') await breaking;
      }
      if (enemies.length > 0 && made % between === between - 1) {
        const attack = ATTACKS[Math.floor(made / between) % ATTACKS.length] ?? 'nonsense';
        attacked[attack] = (attacked[attack] ?? 0) + 1;
        await one(enemies).attack(attack, below);
      }
      const [character, state] = one(CHARACTERS);
      await device.readOn(one(finds), character, state);
      if (made % 40 === 7) await device.edit(one(finds), 'x'.repeat(1 + below(9)));
      if (made % 11 === 0) await one(devices).sync();
      if (made % 1000 === 999)
        say(`${made + 1} readings made, ${Object.values(happened).reduce((a, b) => a + b, 0)} faults`);
    }
    await breaking;
    // After all of it, every one of them still tells something and is heard.
    for (const device of devices) await device.readOn(one(finds), 'cap.shape', 'funnel');
    for (const device of devices) {
      device.online = true;
      device.clockOff = 0;
      device.faults.length = 0;
    }
    // Twice: what the last one sent is news to the first.
    const stuck: string[] = [];
    for (let round = 0; round < 2; round += 1)
      for (const device of devices)
        if (!(await device.settle())) stuck.push(`${device.name} did not come to rest`);

    const { records, entries, gaps } = await server(world, cookie, group);
    const readingsThere = [...records.values()].flatMap((record) =>
      record.readings.map((reading) => reading.id as string),
    );
    const known = new Set(readingsThere);
    const acknowledged = devices.flatMap((device) => [...device.acknowledged]);
    const unequal: string[] = [...stuck];
    for (const device of devices) {
      const mine = await device.everything();
      if (mine.size !== records.size)
        unequal.push(`${device.name} has ${mine.size} finds, the server ${records.size}`);
      for (const [id, record] of records)
        if (mine.get(id) !== comparable(record)) unequal.push(`${device.name} differs in ${id}`);
    }
    return {
      seed,
      devices: count,
      readings,
      faults,
      hostile,
      attacked,
      seconds: Math.round((Date.now() - began) / 1000),
      happened,
      acknowledged: acknowledged.length,
      lost: acknowledged.filter((id) => !known.has(id)),
      doubled: readingsThere.filter((id, index) => readingsThere.indexOf(id) !== index),
      unequal,
      refused: devices.flatMap((device) => device.refused),
      entries,
      gaps,
    };
  } finally {
    await world.close();
  }
}

async function make(
  kind: (typeof KINDS)[number],
  device: SimulatedDevice,
  world: World,
  random: () => number,
): Promise<void> {
  if (kind === 'server-killed') await world.killServer();
  else if (kind === 'database-killed') await world.killDatabase();
  else if (kind === 'tab-killed') await device.killTab();
  else if (kind === 'offline') {
    device.online = false;
    setTimeout(
      () => {
        device.online = true;
      },
      300 + random() * 1500,
    );
  } else if (kind === 'clock') device.clockOff = Math.round((random() * 2 - 1) * 1.5 * DAY_MS);
  else device.faults.push(kind satisfies Fault);
}

/** The group's notebook as the server tells it, from the first entry on. */
async function server(world: World, cookie: string, group: string) {
  const records = new Map<string, FindRecord>();
  let after = 0;
  let gaps = 0;
  for (;;) {
    const response = await fetch(`${world.url}/api/v1/sync/pull?stream=g:${group}&after=${after}&most=1000`, {
      headers: { cookie },
    });
    const page = (await response.json()) as { entries: { seq: number }[] };
    for (const { seq, ...raw } of page.entries) {
      if (seq !== after + 1) gaps += 1;
      after = seq;
      const { number: _, ...entry } = raw as { number?: number };
      const parsed = parseEntry(entry);
      if (!('entry' in parsed)) throw new Error(`entry ${seq} cannot be read`);
      if (parsed.entry.find === undefined) continue;
      const record = applyEntry(records.get(parsed.entry.find), parsed.entry);
      if (record) records.set(parsed.entry.find, record);
    }
    if (page.entries.length === 0) break;
  }
  return { records, entries: after, gaps };
}
