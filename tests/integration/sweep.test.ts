import { randomUUID } from 'node:crypto';
import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import pg from 'pg';
import { aroundAll, beforeAll, describe, expect, it } from 'vitest';
import { takeOff, whatIsKept } from '@/core/joints/takeOff';
import { stateOf } from '@/core/log/stateOf';
import { dayOf } from '@/core/measure/dayOf';
import { handedPasses, passDone } from '@/core/schedule/assignedWork';
import { houseSnapshot } from '@/core/snapshot/houseSnapshot';
import { dayListOf } from '@/core/work/dayListOf';
import { closeConnection } from '@/db/connection';
import { addDemoPeople, type DemoIds, loadDemoHouse } from '@/db/demo/loadDemo';
import { listDevices } from '@/db/devices';
import { appendEntries, listEntries } from '@/db/entries';
import { inFirm } from '@/db/firm';
import { findHouse } from '@/db/houses';
import { migrate } from '@/db/migrate';
import { recordReadings } from '@/db/readings';
import { cachedAir } from '@/server/cachedAir';
import { SWEEP, SWEEP_ZONE } from '../houses/sweepInstants';

const NAME = 'sweep_test';
const cluster = process.env.DATABASE_URL ?? '';
const folder = mkdtempSync(join(tmpdir(), 'oak-sweep-'));
const clock = join(folder, 'clock');
let people: DemoIds;

const inCluster = async (statement: string) => {
  const client = new pg.Client({ connectionString: cluster });
  await client.connect();
  await client.query(statement);
  await client.end();
};

aroundAll(async (run) => {
  await inCluster(`DROP DATABASE IF EXISTS ${NAME}`);
  await inCluster(`CREATE DATABASE ${NAME}`);
  const own = new URL(cluster);
  own.pathname = `/${NAME}`;
  process.env.DATABASE_URL = own.href;
  process.env.OAK_TEST_CLOCK = clock;
  await migrate();
  const demo = await addDemoPeople();
  people = demo.ids;
  await inFirm(demo.firm, run);
  await closeConnection();
  process.env.DATABASE_URL = cluster;
  delete process.env.OAK_TEST_CLOCK;
  await inCluster(`DROP DATABASE ${NAME}`);
  rmSync(folder, { recursive: true, force: true });
});

describe.each(SWEEP)('the demo in the database $words', ({ at }) => {
  let id = '';
  beforeAll(async () => {
    writeFileSync(clock, new Date(at).toISOString());
    id = await loadDemoHouse(people, new Date(at), SWEEP_ZONE, `-${at}`);
  });

  /** The house as its pages load it. */
  async function load() {
    const house = await findHouse(id);
    if (!house) throw new Error('the house was loaded');
    const entries = await listEntries(id);
    const air = await cachedAir(house, at);
    const rooms = house.rooms.map(({ room }) => room);
    const snapshot = houseSnapshot(house.head, rooms, stateOf(entries), air.of, at, (room) =>
      whatIsKept(takeOff(room, house.head)),
    );
    return { entries, air, snapshot };
  }

  it('is measured in seven rooms until now, and in the middle of the job', async () => {
    const { entries, air, snapshot } = await load();
    expect(air.places.size).toBe(7);
    for (const sensor of await listDevices(id, at)) {
      expect(at - (sensor.lastAt ?? 0), sensor.name).toBeLessThan(2 * 3_600_000);
      expect([sensor.doubtful, sensor.jumped], sensor.name).toEqual([0, 0]);
    }
    for (const entry of entries) {
      expect(Date.parse(entry.at)).toBeLessThanOrEqual(at);
      expect(entry.recordedAt).toBe(entry.at);
    }
    const state = (room: string) => snapshot.rooms.find((own) => own.room.id === room)?.standing.now.kind;
    expect(['boot-room', 'net-loft', 'bath', 'pantry', 'coat-closet', 'landing'].map(state)).toEqual([
      'go',
      'wet',
      'sand',
      'fix',
      'seal',
      'stuck',
    ]);
    const { passes } = dayListOf(
      handedPasses(snapshot.rooms, dayOf(at, SWEEP_ZONE)),
      people.Petra,
      dayOf(at, SWEEP_ZONE),
    );
    const open = passes.filter((handed) => passDone(handed) < 1);
    expect(open.map(({ room, task }) => `${room.room.id} ${task.pass}`)).toEqual([
      'bunk-room tape',
      'bath sand',
      'bunk-room fill',
    ]);
  });

  it('takes an entry and a reading of the minute before', async () => {
    const entry = {
      id: randomUUID(),
      room: 'boot-room',
      at: new Date(at - 60_000).toISOString(),
      kind: 'coat' as const,
      payload: {
        class: 'flat' as const,
        key: 'tape' as const,
        part: 1,
        mud: { kind: 'drying' as const },
      },
    };
    const appended = await appendEntries(id, { id: people.Ines, role: 'finisher' }, [entry]);
    expect(appended.kind).toBe('recorded');
    const reading = { at: at - 60_000, temperature: 20, humidity: 50, speed: undefined, doubt: undefined };
    expect(await recordReadings(id, 'typed:landing', 'landing', [reading])).toMatchObject({ recorded: 1 });
    const { snapshot, air } = await load();
    expect(air.places.has('landing')).toBe(true);
    const boot = snapshot.rooms.find((own) => own.room.id === 'boot-room');
    expect(boot?.standing.classes.find((kind) => kind.class === 'flat')?.now.kind).toBe('wet');
  });
});
