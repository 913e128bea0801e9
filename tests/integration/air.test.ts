import { randomUUID } from 'node:crypto';
import fc from 'fast-check';
import { aroundAll, beforeAll, describe, expect, it } from 'vitest';
import { stepAt } from '@/core/air/airClock';
import type { KeptReading } from '@/core/air/reading';
import type { Person } from '@/core/log/person';
import { connection } from '@/db/connection';
import { demoHouse } from '@/db/demo/demoHouse';
import { addDevice, findDevice, listDevices, moveDevice, noteLag, removeDevice } from '@/db/devices';
import { appendEntries } from '@/db/entries';
import { acrossFirms, firm } from '@/db/firm';
import { addHouse, findHouse, listMarks, markOf, type StoredHouse, saveRoom } from '@/db/houses';
import { listenForChanges } from '@/db/listenForChanges';
import { addPerson } from '@/db/people';
import { chartAir, listAirHours } from '@/db/readingHours';
import { recordReadings, trustReadings } from '@/db/readings';
import { addSession, endSession, findSession } from '@/db/sessions';
import { saveWeather, setWeatherUrl } from '@/db/weather';
import { cachedAir } from '@/server/cachedAir';
import { asTestFirm } from './asTestFirm';

const HOUR = 3_600_000;
const MINUTE = 60_000;
const START = Date.parse('2031-05-06T07:00:00Z');

let lead: Person;

aroundAll(asTestFirm);
beforeAll(async () => {
  const person = await addPerson(`lead ${randomUUID()}`, 'lead', 'a long password');
  if (!person) throw new Error('the name is new');
  lead = person;
});

const newHouse = (): Promise<string> => addHouse(demoHouse(), 'UTC');
const stored = async (id: string): Promise<StoredHouse> => {
  const house = await findHouse(id);
  if (!house) throw new Error('the house is there');
  return house;
};
const reading = (minute: number, temperature: number, humidity = 50): KeptReading => ({
  at: START + minute * MINUTE,
  temperature,
  humidity,
  speed: undefined,
  doubt: undefined,
});
const everyMinute = (count: number): readonly KeptReading[] =>
  Array.from({ length: count }, (_, minute) => reading(minute, 18 + Math.sin(minute / 30), 50 + (minute % 7)));
const hoursOf = async (id: string) => (await listAirHours(id, -1, 0)).map(({ batch: _batch, ...hour }) => hour);

describe('readings', () => {
  it('are one per device and instant: known when they come again, refused with other values', async () => {
    const id = await newHouse();
    expect(await recordReadings(id, 'a', 'hall', [reading(0, 18), reading(1, 19)])).toEqual({
      recorded: 2,
      known: 0,
      conflicts: [],
    });
    expect(await recordReadings(id, 'a', 'hall', [reading(1, 19), reading(0, 20), reading(2, 19)])).toEqual({
      recorded: 1,
      known: 1,
      conflicts: [START],
    });
    expect((await recordReadings(id, 'b', 'hall', [reading(0, 20)]))?.recorded).toBe(1);
    expect(await recordReadings(randomUUID(), 'a', null, [reading(0, 18)])).toBeUndefined();
  });

  it('come by the thousand, in any order, as they would one after the other', async () => {
    const [id, other] = [await newHouse(), await newHouse()];
    const many = everyMinute(4000);
    const shuffled = many.toSorted((a, b) => ((a.at * 7919) % 10_007) - ((b.at * 7919) % 10_007));
    expect(await recordReadings(id, 'a', 'hall', shuffled)).toEqual({ recorded: 4000, known: 0, conflicts: [] });
    for (let from = 0; from < many.length; from += 700)
      await recordReadings(other, 'a', 'hall', many.slice(from, from + 700));
    const hours = await hoursOf(id);
    expect(hours).toHaveLength(Math.ceil(4000 / 60));
    expect(hours.reduce((sum, { count }) => sum + count, 0)).toBe(4000);
    expect(hours).toEqual(await hoursOf(other));
    const changed = many.map((one, minute) => (minute % 1999 === 0 ? { ...one, temperature: 30 } : one));
    expect(await recordReadings(id, 'a', 'hall', changed)).toEqual({
      recorded: 0,
      known: 3997,
      conflicts: [0, 1999, 3998].map((minute) => START + minute * MINUTE),
    });
    // While they come, whoever writes in the house waits for a part of them only.
    const turns: string[] = [];
    const all = recordReadings(id, 'b', null, everyMinute(12_000)).then(() => turns.push('readings'));
    const entry = { id: randomUUID(), room: 'hall', at: new Date(START).toISOString(), kind: 'held' as const };
    await appendEntries(id, lead, [{ ...entry, payload: { why: 'closed' } }]).then(() => turns.push('entry'));
    await all;
    expect(turns).toEqual(['entry', 'readings']);
  });

  it('sum up by the hour the same in whatever order and batches they come, jumps and late ones included', async () => {
    const all = [...everyMinute(150), reading(20.5, 35), reading(80.5, 18.1, 95), reading(500, 17), reading(501, 17.5)];
    const whole = await newHouse();
    await recordReadings(whole, 'a', 'hall', all);
    const expected = await hoursOf(whole);
    expect(expected).toHaveLength(4);
    await fc.assert(
      fc.asyncProperty(
        fc.shuffledSubarray(all, { minLength: all.length }),
        fc.integer({ min: 5, max: 90 }),
        async (shuffled, size) => {
          const id = await newHouse();
          for (let from = 0; from < shuffled.length; from += size)
            await recordReadings(id, 'a', 'hall', shuffled.slice(from, from + size));
          expect(await hoursOf(id)).toEqual(expected);
        },
      ),
      { numRuns: 6 },
    );
  });

  it('keep least, most and mean of an hour, and leave out what jumps away from its middle', async () => {
    const id = await newHouse();
    await recordReadings(id, 'a', 'hall', [
      ...[0, 10, 20, 30].map((minute) => reading(minute, 18 + minute / 10)),
      reading(40, 33),
    ]);
    const [hour] = await listAirHours(id, -1, 0);
    expect(hour).toMatchObject({ room: 'hall', hour: START, count: 4, mean: { temperature: 19.5, humidity: 50 } });
    expect(hour?.readings?.map(({ air }) => air.temperature)).toEqual([18, 19, 20, 21]);
    expect(await chartAir(id, 'hall', START, START + HOUR, 100)).toEqual([
      { at: START, temperature: [18, 19.5, 21], humidity: [50, 50, 50] },
    ]);
  });

  it('that are doubtful count only once somebody says so', async () => {
    const id = await newHouse();
    const { id: device } = await addDevice(id, 'hall', 'Odd one');
    await recordReadings(id, device, 'hall', [{ ...reading(0, 41), doubt: 'fahrenheit' }]);
    expect(await hoursOf(id)).toEqual([]);
    expect((await listDevices(id, START + HOUR))[0]).toMatchObject({ doubtful: 1, temperature: 41 });
    expect(await trustReadings(id, device)).toBe(true);
    expect((await hoursOf(id))[0]?.mean.temperature).toBe(41);
    expect((await listDevices(id, START + HOUR))[0]?.doubtful).toBe(0);
  });

  it('of a long time are thinned with their extremes kept', async () => {
    const id = await newHouse();
    const days = Array.from({ length: 60 * 24 }, (_, hour) => reading(hour * 60, 18 + (hour === 777 ? 7 : 0)));
    await recordReadings(id, 'a', 'hall', days);
    const chart = await chartAir(id, 'hall', START, START + 60 * 24 * HOUR, 100);
    expect(chart.length).toBeGreaterThan(90);
    expect(chart.length).toBeLessThanOrEqual(101);
    expect(Math.max(...chart.map(({ temperature: [, , most] }) => most))).toBe(25);
    expect(await chartAir(id, 'bath', START, START + HOUR, 100)).toEqual([]);
  });
});

describe('devices', () => {
  it('are known by their key until they are taken away; the key itself is not kept', async () => {
    const id = await newHouse();
    const { id: device, key } = await addDevice(id, 'hall', 'Hall sensor');
    expect(await findDevice(key)).toEqual({
      firm: firm(),
      id: device,
      houseId: id,
      roomId: 'hall',
      name: 'Hall sensor',
    });
    expect(await findDevice(`${key}x`)).toBeUndefined();
    const [rows] = await connection().query('SELECT key_hash FROM devices WHERE id = ?', { replacements: [device] });
    expect(JSON.stringify(rows)).not.toContain(key);
    expect(await removeDevice(id, device, new Date('2031-05-06T07:30:00Z'))).toBe(true);
    expect(await findDevice(key)).toBeUndefined();
    expect(await listDevices(id, START)).toEqual([]);
  });

  it('send for the room that they hang in; what was read before stays where it was', async () => {
    const id = await newHouse();
    const { id: device } = await addDevice(id, 'hall', 'Wanderer');
    await recordReadings(id, device, 'hall', [reading(0, 18)]);
    expect(await moveDevice(id, device, 'bath')).toBe(true);
    expect(await moveDevice(await newHouse(), device, 'bath')).toBe(false);
    await recordReadings(id, device, 'bath', [reading(10, 21)]);
    expect((await hoursOf(id)).map(({ room, mean }) => [room, mean.temperature])).toEqual([
      ['bath', 21],
      ['hall', 18],
    ]);
  });

  it('that say the very same for twelve hours are told to be stuck', async () => {
    const id = await newHouse();
    const { id: stuck } = await addDevice(id, 'hall', 'Stuck');
    const { id: sound } = await addDevice(id, 'bath', 'Sound');
    const day = Array.from({ length: 24 * 6 }, (_, step) => step * 10);
    await recordReadings(
      id,
      stuck,
      'hall',
      day.map((minute) => reading(minute, 18.4, 51)),
    );
    await recordReadings(
      id,
      sound,
      'bath',
      day.map((minute) => reading(minute, 18.4, 51 + (minute % 30) / 10)),
    );
    const standing = await listDevices(id, START + 24 * HOUR);
    expect(standing.map((own) => [own.name, own.stuck])).toEqual([
      ['Stuck', true],
      ['Sound', false],
    ]);
  });

  it('whose readings keep coming an hour old are told to be an hour late', async () => {
    const id = await newHouse();
    const { id: device } = await addDevice(id, 'hall', 'Winter time');
    const late = async () => (await listDevices(id, START))[0]?.hourLate;
    for (const lag of [3605, 3640]) await noteLag(device, lag);
    expect(await late()).toBe(false);
    await noteLag(device, 3598);
    expect(await late()).toBe(true);
    await noteLag(device, 12);
    expect(await late()).toBe(false);
  });
});

describe('the air of a house as pages load it', () => {
  const stepsOf = async (id: string, room: string) =>
    (await cachedAir(await stored(id), START + 24 * HOUR))
      .of(room)
      .steps.map(({ from, air, source }) => [from, air.temperature, air.humidity, source.kind]);

  it('is the same whether it was followed batch by batch or loaded at once', async () => {
    const [followed, atOnce] = [await newHouse(), await newHouse()];
    const all = everyMinute(300);
    for (const part of [all.slice(100, 200), all.slice(0, 100), all.slice(200)]) {
      await recordReadings(followed, 'a', 'hall', part);
      await stepsOf(followed, 'hall');
    }
    await recordReadings(atOnce, 'a', 'hall', all);
    expect(await stepsOf(followed, 'hall')).toEqual(await stepsOf(atOnce, 'hall'));
    expect((await stepsOf(followed, 'hall')).length).toBeGreaterThan(60);
  });

  it('is assumed in a house without a reading, with and without weather', async () => {
    const id = await newHouse();
    const assumed = await stepsOf(id, 'hall');
    expect(assumed.map(([, , , source]) => source)).toEqual(['assumed']);
    await saveWeather(id, [{ from: START, air: { temperature: 5, humidity: 60 } }], new Date(START));
    expect((await stepsOf(id, 'hall'))[0]).toEqual(assumed[0]);
  });

  it('is borrowed over a wall, and made once for each state of the house', async () => {
    const id = await newHouse();
    await recordReadings(id, 'a', 'galley', [reading(0, 16)]);
    const air = await cachedAir(await stored(id), START + HOUR);
    expect(stepAt(air.of('pantry'), START + HOUR)).toMatchObject({
      air: { temperature: 16 },
      source: { kind: 'neighbour', room: 'galley' },
    });
    expect(await cachedAir(await stored(id), START + HOUR)).toBe(air);
    await recordReadings(id, 'a', 'galley', [reading(5, 17)]);
    const next = await cachedAir(await stored(id), START + HOUR);
    expect(stepAt(next.of('pantry'), START + HOUR).air.temperature).toBe(17);
  });

  it('stays as it is for a hundred hours after the last reading, on a server that was just started too', async () => {
    const swing = (hour: number) => 6 * Math.sin((hour / 24) * 2 * Math.PI);
    const house = async () => {
      const id = await newHouse();
      await recordReadings(
        id,
        'typed',
        null,
        Array.from({ length: 73 }, (_, hour) => reading((hour - 72) * 60, 18 + 0.9 * swing(hour - 72))),
      );
      await saveWeather(
        id,
        Array.from({ length: 260 }, (_, hour) => ({
          from: START + (hour - 80) * HOUR,
          air: { temperature: 5 + swing(hour - 80), humidity: 60 },
        })),
        new Date(START),
      );
      return id;
    };
    const seenAfter = async (hours: number) => {
      const { steps } = (await cachedAir(await stored(await house()), START + hours * HOUR)).of('hall');
      return steps.map(({ from, air }) => [from, air.temperature]);
    };
    const atOnce = await seenAfter(0);
    // Nine tenths of the swing outside arrived inside: that is what the forecast goes by.
    expect(atOnce.find(([from]) => from === START + 6 * HOUR)?.[1]).toBeCloseTo(18 + 0.9 * 6, 1);
    for (const hours of [10, 61, 63, 75, 100]) expect(await seenAfter(hours)).toEqual(atOnce);
  });

  it('follows the weather that was told, anew when it is told anew', async () => {
    const id = await newHouse();
    await recordReadings(id, 'typed', null, [reading(0, 18)]);
    const tell = (later: number) =>
      saveWeather(
        id,
        Array.from({ length: 48 }, (_, hour) => ({
          from: START + (hour - 24) * HOUR,
          air: { temperature: hour > 30 ? later : 5, humidity: 60 },
        })),
        new Date(START + later),
      );
    const tomorrow = async () =>
      stepAt((await cachedAir(await stored(id), START)).of('hall'), START + 20 * HOUR).air.temperature;
    await tell(15);
    expect(await tomorrow()).toBeCloseTo(18 + 0.3 * 10, 6);
    await tell(0);
    expect(await tomorrow()).toBeCloseTo(18 - 0.3 * 5, 6);
    expect(await setWeatherUrl(id, 'http://127.0.0.1:1/')).toBe(true);
    expect((await stored(id)).weatherUrl).toBe('http://127.0.0.1:1/');
  });
});

describe('changes', () => {
  /** Waits until something was heard; a test that never hears it runs out of time. */
  const until = async (heard: () => boolean) => {
    while (!heard()) await new Promise((resolve) => setImmediate(resolve));
  };

  it('of the log, the air and the rooms are told to whoever listens, also after the connection was lost', async () => {
    const id = await newHouse();
    const heard: string[] = [];
    const ended: string[] = [];
    let all = 0;
    const stop = listenForChanges(
      (house) => heard.push(house),
      () => {
        all += 1;
      },
      (session) => ended.push(session),
    );
    await until(() => all === 1);
    const told = async (change: () => Promise<unknown>) => {
      const before = heard.filter((house) => house === id).length;
      await change();
      await until(() => heard.filter((house) => house === id).length > before);
    };
    const held = { id: randomUUID(), room: 'hall', at: new Date(START).toISOString() };
    await told(() => appendEntries(id, lead, [{ ...held, kind: 'held', payload: { why: 'closed' } }]));
    await told(() => recordReadings(id, 'a', 'hall', [reading(0, 18)]));
    const [room] = (await stored(id)).rooms;
    if (room) await told(() => saveRoom(id, room.version, { ...room.room, name: 'Parlour' }));
    await acrossFirms(() =>
      connection().query(
        "SELECT pg_terminate_backend(pid) FROM pg_stat_activity WHERE query LIKE 'LISTEN %' AND datname = current_database()",
      ),
    );
    await until(() => all === 2);
    await told(() => recordReadings(id, 'a', 'hall', [reading(1, 18)]));
    const { id: session = '' } = (await findSession((await addSession(lead.id, 'Phone', START)) ?? '', START)) ?? {};
    await endSession(session);
    await until(() => ended.includes(session));
    stop();
  });

  it('move a house’s mark on, which pages and streams work out alike', async () => {
    const id = await newHouse();
    const mark = async () => {
      const [fromPage, fromStream] = [markOf(await stored(id)), (await listMarks(id))[0]?.mark];
      expect(fromPage).toEqual(fromStream);
      return fromPage;
    };
    const first = await mark();
    await recordReadings(id, 'a', 'hall', [reading(0, 18)]);
    expect((await mark()).air).toBe(first.air + 1);
    await recordReadings(id, 'a', 'hall', [reading(0, 18)]);
    expect((await mark()).air).toBe(first.air + 1);
    const held = { id: randomUUID(), room: 'hall', at: new Date(START).toISOString() };
    await appendEntries(id, lead, [{ ...held, kind: 'held', payload: { why: 'closed' } }]);
    expect((await mark()).seq).toBe(first.seq + 1);
    const [room] = (await stored(id)).rooms;
    if (room) await saveRoom(id, room.version, room.room);
    expect((await mark()).rooms).toBeGreaterThan(first.rooms);
  });
});
