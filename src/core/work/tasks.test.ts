import { describe, expect, it } from 'vitest';
import { roomOf } from '../../../tests/houses/readRooms';
import { priceOf } from '../estimate/priceOf';
import { takeOff } from '../joints/takeOff';
import { resolveMethod, usualMethod } from '../method/resolveMethod';
import { roomCoats } from '../method/roomCoats';
import { LEVELS, type Level } from '../room/level';
import { dayListOf, type HandedPass, inDayOrder } from './dayListOf';
import { coatHours, tasksOf } from './tasksOf';

const { house, room } = roomOf("A 20' x 14' x 8', door 32x80 wall 1 bead, ceiling along");
const { tally } = takeOff(room, house);
const METHOD = usualMethod(4);
const COATS = roomCoats(tally, METHOD);
const coatsOf = (kind: string) => COATS.filter((coat) => coat.class === kind);
const feet = (kind: 'flat' | 'butt' | 'angle' | 'bead') => tally.classes[kind].length / 304.8;

describe('hours', () => {
  // common practice, no source: the default rates, one person by hand
  it.each([
    ['butt', [70, 40, 60]],
    ['flat', [90, 120, 150]],
    ['bead', [40, 80, 110]],
  ] as const)('of %s are its feet over the rate of each coat', (kind, rates) => {
    const hours = coatsOf(kind).map((coat) => coatHours(coat, METHOD));
    rates.forEach((rate, index) => {
      expect(hours[index]).toBeCloseTo(feet(kind) / rate, 9);
    });
  });

  it('of an angle are both sides at once in the tape coat, one side at a time after', () => {
    const hours = coatsOf('angle').map((coat) => coatHours(coat, METHOD));
    expect(hours).toEqual([
      expect.closeTo(feet('angle') / 60, 9),
      expect.closeTo(feet('angle') / 90, 9),
      expect.closeTo(feet('angle') / 90, 9),
    ]);
  });

  it('of fasteners are 500 in the first round and 700 after', () => {
    const hours = coatsOf('fasteners').map((coat) => coatHours(coat, METHOD));
    [500, 700, 700].forEach((rate, index) => {
      expect(hours[index]).toBeCloseTo(tally.fasteners / rate, 9);
    });
  });

  it('of sanding are by class, or by the surface once it is skimmed', () => {
    const sand = (level: 4 | 5) =>
      tasksOf(tally, roomCoats(tally, usualMethod(level)), usualMethod(level)).find(({ pass }) => pass === 'sand')
        ?.hours ?? 0;
    const byClass =
      feet('flat') / 200 + feet('butt') / 100 + feet('angle') / 150 + feet('bead') / 150 + tally.fasteners / 800;
    expect(sand(4)).toBeCloseTo(5 / 60 + byClass, 9);
    expect(sand(5)).toBeCloseTo(5 / 60 + tally.boardArea / 304.8 ** 2 / 300, 9);
  });

  it('a butt costs two to three times a flat of its length', () => {
    // common practice, no source
    const perFoot = (kind: 'flat' | 'butt') =>
      coatsOf(kind).reduce((sum, coat) => sum + coatHours(coat, METHOD), 0) / feet(kind);
    expect(perFoot('butt') / perFoot('flat')).toBeGreaterThan(2);
    expect(perFoot('butt') / perFoot('flat')).toBeLessThan(3);
  });
});

describe('the list of a day', () => {
  const [tape, fill] = tasksOf(tally, COATS, METHOD);
  if (!tape || !fill) throw new Error('a level 4 room has a tape and a fill round');
  const handed: readonly HandedPass<string>[] = [
    { room: 'a', task: tape, people: ['tobin'], day: '2031-05-06', order: [0, 0] as const },
    { room: 'b', task: fill, people: ['tobin'], day: '2031-05-06', order: [0, 0] as const },
    { room: 'c', task: fill, people: ['tobin'], day: '2031-05-07', order: [0, 0] as const },
    { room: 'd', task: fill, people: ['ines'], day: '2031-05-06', order: [0, 0] as const },
  ];

  it('holds one person’s passes of one day, with half an hour of mixing and cleaning', () => {
    const list = dayListOf(handed, 'tobin', '2031-05-06');
    expect(list.passes.map((pass) => pass.room)).toEqual(['a', 'b']);
    expect(list.hours).toBeCloseTo(tape.hours + fill.hours + 0.5, 9);
  });

  it('counts half of what two run together, and goes by how fast somebody is', () => {
    const pair: readonly HandedPass<string>[] = [
      { room: 'a', task: fill, people: ['tobin', 'ines'], day: '2031-05-06', order: [0, 0] as const },
    ];
    expect(dayListOf(pair, 'ines', '2031-05-06').hours).toBeCloseTo(fill.hours / 2 + 0.5, 9);
    const coated = fill.parts.reduce((sum, part) => sum + part.hours, 0);
    const [alone] = [{ room: 'a', task: fill, people: ['tobin'], day: '2031-05-06', order: [0, 0] as const }];
    const fast = dayListOf(alone ? [alone] : [], 'tobin', '2031-05-06', () => 2).hours;
    expect(fast).toBeCloseTo(fill.hours - coated / 2 + 0.5, 9);
  });

  it('tells what is left of it, with the half hour until all is done', () => {
    const leftWith = (done: Readonly<Record<string, number>>) =>
      dayListOf(handed, 'tobin', '2031-05-06', undefined, ({ room }) => done[room] ?? 0);
    expect(leftWith({}).left).toBeCloseTo(leftWith({}).hours, 9);
    expect(leftWith({ a: 1, b: 0.25 }).left).toBeCloseTo(0.75 * fill.hours + 0.5, 9);
    expect(leftWith({ a: 1, b: 1 })).toMatchObject({ left: 0, hours: leftWith({}).hours });
  });

  it('begins with what is left from earlier days, of which only the rest is of this day', () => {
    const left = [
      ...handed,
      { room: 'e', task: tape, people: ['tobin'], day: '2031-05-06', order: [0, 0] as const, leftFrom: '2031-05-05' },
    ];
    const older = [
      ...left,
      { room: 'f', task: tape, people: ['tobin'], day: '2031-05-06', order: [0, 0] as const, leftFrom: '2031-05-02' },
    ];
    const list = dayListOf<string>(older, 'tobin', '2031-05-06', undefined, ({ room }) => (room === 'e' ? 0.5 : 0));
    expect(list.passes.map(({ room }) => room)).toEqual(['f', 'e', 'a', 'b']);
    expect(list.hours).toBeCloseTo(2.5 * tape.hours + fill.hours + 0.5, 9);
    expect(list.left).toBeCloseTo(list.hours, 9);
  });

  it('goes by what was assigned first, after what is left from earlier days', () => {
    const assigned = (room: string, at: number, seq: number, leftFrom?: string): HandedPass<string> => ({
      room,
      task: fill,
      people: ['tobin'],
      day: '2031-05-06',
      order: [at, seq],
      leftFrom,
    });
    const all = [assigned('c', 2, 1), assigned('b', 1, 9), assigned('a', 1, 3), assigned('left', 7, 20, '2031-05-05')];
    expect(inDayOrder(all).map(({ room }) => room)).toEqual(['left', 'a', 'b', 'c']);
  });

  it('of somebody who is free is empty and takes no time', () => {
    expect(dayListOf(handed, 'ines', '2031-05-07')).toEqual({ passes: [], hours: 0, left: 0 });
  });
});

describe('the order of a round', () => {
  // common practice, no source
  const order = (choices: object, pass: string) => {
    const method = resolveMethod({ unit: 'in', method: { level: 4, ...choices } });
    const task = tasksOf(tally, roomCoats(tally, method), method).find((own) => own.pass === pass);
    return [...new Set(task?.coats.map((coat) => coat.class))];
  };

  it('is butts, flats, angles, screws for the tape, beads before or after it', () => {
    expect(order({}, 'tape')).toEqual(['bead', 'butt', 'flat', 'angle', 'fasteners']);
    expect(order({ beads: 'after' }, 'tape')).toEqual(['butt', 'flat', 'angle', 'fasteners', 'bead']);
  });

  it('is by the school for the coats after', () => {
    expect(order({}, 'fill')).toEqual(['butt', 'fasteners', 'flat', 'bead', 'angle']);
    expect(order({ order: 'boxes' }, 'fill')).toEqual(['flat', 'butt', 'bead', 'angle', 'fasteners']);
    expect(order({ order: 'ceilingSides' }, 'fill')).toEqual(['angle', 'fasteners', 'flat', 'butt', 'bead']);
  });
});

describe('what is done between coats', () => {
  it('is scraped at 600 ft an hour before the coat that goes over it, and not before the tape', () => {
    // common practice, no source
    const [tape, fill] = tasksOf(tally, COATS, METHOD);
    const bare = (task: typeof fill) =>
      (task?.coats ?? []).reduce((sum, coat) => sum + coatHours({ ...coat, amount: amountOf(coat) }, METHOD), 5 / 60);
    const scraped = feet('flat') + feet('butt') + feet('bead') + feet('angle') / 2;
    // Beside the coats: a twentieth of the butts pre-filled at 60 ft an hour; in both rounds factory edges in angles at 200, and 40
    // three-ways an hour in the tape round.
    const { one, both } = tally.factoryEdgeInAngle;
    const edges = (one + both) / 304.8 / 200;
    expect(tape?.hours).toBeCloseTo(bare(tape) + feet('butt') / 20 / 60 + edges + tally.threeWays / 40, 9);
    expect(fill?.hours).toBeCloseTo(bare(fill) + scraped / 600 + edges, 9);
  });
});

const amountOf = (coat: { readonly class: string; readonly key: string }) =>
  COATS.find((own) => own.class === coat.class && own.key === coat.key)?.amount ?? 0;
const AIR = { temperature: 21, humidity: 50 };
const priceAt = (level: Level, rooms: Parameters<typeof priceOf>[1]) =>
  priceOf({ unit: 'in', method: { level, last: 'none' } }, rooms, AIR);

describe('the price of a level', () => {
  const rooms = [{ room, tally }];

  it('never falls as the level rises', () => {
    const prices = LEVELS.map((level) => priceAt(level, rooms));
    for (const [index, price] of prices.slice(1).entries()) {
      const below = prices[index];
      expect(price.hours).toBeGreaterThanOrEqual(below?.hours ?? 0);
      expect(price.litres).toBeGreaterThanOrEqual(below?.litres ?? 0);
      expect(price.visits).toBeGreaterThanOrEqual(below?.visits ?? 0);
    }
    expect(prices[0]).toMatchObject({ hours: 0, litres: 0, visits: 0, nights: 0 });
  });

  it('is the sum of the rooms’ passes', () => {
    const hours = tasksOf(tally, COATS, METHOD).reduce((sum, task) => sum + task.hours, 0);
    expect(priceAt(4, [...rooms, ...rooms]).hours).toBeCloseTo(2 * hours, 9);
  });

  it('leaves a room with a level of its own at that level', () => {
    const own = [{ room: { id: 'own', finish: { level: 5 as const } }, tally }];
    expect(priceAt(1, own).hours).toBe(priceAt(4, own).hours);
  });
});
