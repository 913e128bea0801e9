import { describe, expect, it } from 'vitest';
import { coat, hoursIn, recordedRoom, type Sent, WITH_BUTTS } from '../../../tests/houses/recordedRoom';
import { openWork } from '../schedule/planInputOf';
import { nextChange } from '../snapshot/nextChange';

const headWith = (choices: object = {}) => ({ method: { level: 4, tools: 'boxes', order: 'boxes', ...choices } });
const boxed = (sent: readonly Sent[], hours: number, choices?: object, air = { temperature: 21.1, humidity: 50 }) =>
  recordedRoom(sent, hours, { room: WITH_BUTTS, head: headWith(choices), air });
const TAPED = [coat(0, 'butt.tape'), coat(0, 'flat.tape')];
const FILLED = [...TAPED, coat(40, 'butt.fill')];
const CENTERED: Sent = [42.5, 'centered', { round: 'fill' }];
const HOUR = 3_600_000;

describe('boxed butts are centered', () => {
  // Stiff two hours after they were boxed in usual air: common practice, no source.
  const TABLE: readonly (readonly [
    words: string,
    sent: readonly Sent[],
    hours: number,
    expected: Readonly<Record<string, number>>,
    choices?: object,
  ])[] = [
    ['never before they are boxed', TAPED, 39, {}],
    ['all of them once they are', FILLED, 41, { fill: 1 }],
    ['as many as are boxed', [...TAPED, coat(40, 'butt.fill', { part: 0.5 })], 41, { fill: 0.5 }],
    ['once', [...FILLED, CENTERED], 43, {}],
    ['not any more when they are dry', FILLED, 80, {}],
    ['not any more when the next coat is over them', [...FILLED, coat(70, 'butt.finish')], 71, { finish: 1 }],
    ['in each round', [...FILLED, CENTERED, coat(70, 'butt.finish')], 71, { finish: 1 }],
    ['the next day where the method says so', FILLED, 80, { fill: 1 }, { centring: 'nextDay' }],
    [
      'the next day, until they are coated again',
      [...FILLED, coat(90, 'butt.finish')],
      91,
      { finish: 1 },
      { centring: 'nextDay' },
    ],
    [
      'the next day, until they are sanded',
      [...FILLED, coat(90, 'butt.finish'), [140, 'sanded', { classes: ['butt'] }]],
      141,
      {},
      { centring: 'nextDay' },
    ],
    ['nowhere where the method leaves it out', FILLED, 41, {}, { centring: 'none' }],
    ['nowhere where they are run by knife', FILLED, 41, {}, { tools: 'knives' }],
  ];
  it.each(TABLE.map((row) => ({ words: row[0], row })))('$words', ({ row: [, sent, hours, expected, choices] }) => {
    const { room: own, refused } = boxed(sent, hours, choices);
    expect(refused.filter(Boolean)).toEqual([]);
    const parts = own.uncentered.map(({ round, part }) => [round, Math.round(part * 1000) / 1000]);
    expect(Object.fromEntries(parts)).toEqual(expected);
  });

  it('two hours after they were boxed in usual air, later in damp air, and until they are dry', () => {
    const [usual] = boxed(FILLED, 41).room.uncentered;
    expect(usual?.from).toBeCloseTo(hoursIn(42), -4);
    expect(usual?.until).toBeGreaterThan(hoursIn(50));
    const damp = boxed(FILLED, 41, {}, { temperature: 12, humidity: 80 }).room.uncentered[0];
    expect(damp?.from).toBeGreaterThan(hoursIn(44));
    const [dry] = boxed(FILLED, 41, { centring: 'nextDay' }).room.uncentered;
    expect(dry?.from).toBe(usual?.until);
  });

  it('as work that is as much before and after they are boxed, and gone when it is said to be done', () => {
    const item = (sent: readonly Sent[], hours: number) =>
      openWork(boxed(sent, hours).room, hoursIn(hours)).find(({ work }) => work === 'centring.fill');
    const [planned, waiting, ready] = [item(TAPED, 39), item(FILLED, 41), item(FILLED, 43)];
    expect(planned?.after.map(({ item: of, until }) => `${until} ${of}`)).toContain('stiff room/fill.butt');
    expect(waiting?.hours).toBeCloseTo(planned?.hours ?? 0, 9);
    expect(waiting?.from).toBeCloseTo(hoursIn(42), -4);
    expect(waiting?.after.map(({ until }) => until)).not.toContain('stiff');
    expect(ready).toMatchObject({ part: 1, from: undefined });
    expect(item([...FILLED, CENTERED], 43)).toBeUndefined();
  });

  it('which a page hears of by itself: when they are stiff and when they are dry', () => {
    const at = (hours: number) => nextChange({ rooms: [boxed(FILLED, hours).room] }, hoursIn(hours)) ?? 0;
    expect(at(41) / HOUR).toBeCloseTo(hoursIn(42) / HOUR, 2);
    expect(at(43)).toBeGreaterThan(hoursIn(50));
  });

  it.each([
    ['before they are boxed', TAPED],
    ['in another round', [...FILLED.slice(0, 2), coat(40, 'flat.fill')]],
  ])('and the record refuses it %s', (_words, sent) => {
    const { refused } = boxed([...sent, CENTERED], 43);
    expect(refused.at(-1)).toMatchObject({ why: 'nothingToCenter' });
  });
});
