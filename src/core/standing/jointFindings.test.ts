import { describe, expect, it } from 'vitest';
import { hoursIn, recordedRoom, type Sent } from '../../../tests/houses/recordedRoom';
import { NO_CATALOGUE, waresOf } from '../materials/catalogue';
import { loadList, mudOf } from '../materials/loadList';
import { nextSteps } from '../readiness/nextSteps';
import { openWork } from '../schedule/planInputOf';
import { findingOf } from '../section/knifeCheck';
import type { RoomSnapshot } from '../snapshot/houseSnapshot';
import { goodsOfItems } from '../supply/goodsOfItems';
import { coatHours } from '../work/tasksOf';

const INCH = 25.4;
const LONG = {
  outline: [
    [0, 0],
    [240, 0],
    [240, 168],
    [0, 168],
  ],
};
const COATS = ['butt', 'flat', 'angle', 'fasteners'] as const;
const put = (hours: number, kind: string, key: string, more: object = {}): Sent => [
  hours,
  'coat',
  { class: kind, key, ...more },
];
/** Every coat after which only sanding is to come, a day and more between the rounds. */
const ALL: readonly Sent[] = [
  ...COATS.map((kind) => put(0, kind, 'tape')),
  ...COATS.map((kind) => put(40, kind, 'fill', kind === 'angle' ? { side: 'first' } : {})),
  ...COATS.map((kind) =>
    put(80, kind, kind === 'angle' ? 'fill' : 'finish', kind === 'angle' ? { side: 'second' } : {}),
  ),
];
const roomOf = (sent: readonly Sent[], hours: number) => {
  const { room, refused } = recordedRoom(sent, hours, { room: LONG });
  expect(refused.filter(Boolean)).toEqual([]);
  return room;
};
const EMPTY = recordedRoom([], 1, { room: LONG }).room;
const BUTT = EMPTY.pieces.find((piece) => piece.class === 'butt');
const FLAT = EMPTY.pieces.find((piece) => piece.class === 'flat');
const ANGLE = EMPTY.pieces.find((piece) => piece.class === 'angle');
if (!BUTT || !FLAT || !ANGLE) throw new Error('a room of 20 ft has them all');
const ITEM = '00000000-0000-4000-8000-0000000000f1';
/** A 12 in knife that rocks on the middle of a joint of 24 in and lifts by so much. */
const laid = (lift: number, width = 24) =>
  ({ length: 12 * INCH, width: width * INCH, seen: { kind: 'rocks', lift: lift * INCH, pivot: 6 * INCH } }) as const;
const knifed = (lift: number, piece: { readonly id: string } = BUTT, hours = 118): Sent => [
  hours,
  'item',
  { defect: 'crown', piece: piece.id, knife: laid(lift) },
  ITEM,
];
const gallons = (room: RoomSnapshot) => loadList([room], 'in').mud.reduce((sum, { net }) => sum + net, 0);
const planned = (room: RoomSnapshot) => openWork(room, hoursIn(119)).filter(({ pass }) => pass === 'extra');

describe('a knife check on one joint', () => {
  // Common practice, no source: a hump is half of the lift under its middle and is lost in 170 times its height on each side; two long
  // triangles of mud that shrinks by 27 %.
  it.each([
    ['lifts by 1/8 in: wide enough as it is', 1 / 8, undefined],
    ['lifts by 5/32 in: 27 in over all', 5 / 32, 27],
    ['lifts by 3/16 in: 32 in over all', 3 / 16, 32],
  ] as const)('%s', (_words, lift, inches) => {
    const room = roomOf([...ALL, knifed(lift)], 119);
    const more = room.more.get(BUTT.id);
    expect(more?.coat && Math.round(more.coat.width / INCH)).toBe(inches);
    const before = roomOf(ALL, 119);
    const extra = room.coats.find(({ key }) => key === 'extra');
    if (inches === undefined) {
      expect(more).toBeUndefined();
      expect(room.coats).toEqual(before.coats);
      return;
    }
    const litres = (((lift / 2) * INCH * ((340 * lift) / 2 - 24) * INCH) / 2 / 0.73 / 1000) * (BUTT.amount / 1000);
    // The joint, not its class: its width, its coat, its mud and its hours.
    expect(extra).toMatchObject({ class: 'butt', amount: BUTT.amount, tool: { kind: 'knife' } });
    expect((extra?.tool.width ?? 0) * 2).toBeCloseTo(340 * (lift / 2) * INCH, 6);
    expect(extra && mudOf(extra, room.method)).toBeCloseTo(litres, 9);
    expect(gallons(room) - gallons(before)).toBeCloseTo(litres, 9);
    const [item, ...others] = planned(room);
    expect(others).toEqual([]);
    expect(item).toMatchObject({ work: 'extra.butt', coats: ['butt.extra'], part: 1 });
    // 60 ft an hour, scraped before at 600, and the five minutes of walking in.
    expect(item?.hours).toBeCloseTo(BUTT.amount / 304.8 / 60 + BUTT.amount / 304.8 / 600 + 5 / 60, 9);
    expect(extra && coatHours(extra, room.method)).toBeCloseTo(BUTT.amount / 304.8 / 60, 9);
    const goods = goodsOfItems(room, waresOf(NO_CATALOGUE, 'in'), hoursIn(119)).get(item?.id ?? '');
    expect(new Map(goods).get('topping')).toBeCloseTo(litres, 9);
    // The board and My day: go, on that joint.
    const own = room.standing.classes.find((standing) => standing.class === 'butt');
    expect(own?.now).toMatchObject({ kind: 'go', coat: { key: 'extra' }, ready: [{ part: 1, pieces: [BUTT.id] }] });
    expect(nextSteps(room.standing, room.method).map(({ coat }) => coat.id)).toEqual(['butt.extra']);
    expect(room.standing.now.kind).toBe('go');
    // Everything else stands as it stood.
    const others2 = (of: RoomSnapshot) => of.standing.classes.filter((standing) => standing.class !== 'butt');
    expect(others2(room)).toEqual(others2(before));
  });

  it('is done when that coat is on, and the room goes on', () => {
    const sent = [
      ...ALL,
      knifed(3 / 16),
      [120, 'coat', { class: 'butt', key: 'extra', pieces: [{ id: BUTT.id }] }] as Sent,
    ];
    const room = roomOf(sent, 150);
    expect(room.state.items.map(({ closed }) => closed?.coated)).toEqual([true]);
    expect(room.applied.coats.get('butt.extra')?.share).toBe(1);
    expect(room.applied.more).toEqual([]);
    expect(room.standing.now.kind).toBe('sand');
    expect(gallons(room)).toBeCloseTo(gallons(roomOf([...ALL, knifed(3 / 16)], 119)), 9);
    // Taken back it is open again.
    const target = `00000000-0000-4000-8000-${String(sent.length).padStart(12, '0')}`;
    const back = roomOf([...sent, [130, 'void', { target }]], 150);
    expect(back.standing.now.kind).toBe('go');
    expect(back.state.items.map(({ closed }) => closed)).toEqual([undefined]);
  });

  it('asks for nothing once it was fixed without a coat', () => {
    const room = roomOf([...ALL, knifed(3 / 16), [119, 'itemClosed', { item: ITEM }]], 120);
    expect(room.more.size).toBe(0);
    expect(room.standing.now.kind).toBe('sand');
  });

  it('is taken along by the last coat where it is a small hollow, and a coat of its own where it is deep', () => {
    const hollow = (gap: number): Sent => [
      118,
      'item',
      {
        defect: 'hollow',
        piece: FLAT.id,
        knife: { length: 12 * INCH, width: 11 * INCH, seen: { kind: 'light', gap } },
      },
      ITEM,
    ];
    const before = roomOf(ALL, 119);
    const small = roomOf([...ALL, hollow(0.4)], 119);
    const litres = (((2 / 3) * 0.4 * 12 * INCH) / 0.73 / 1000) * (FLAT.amount / 1000);
    expect(small.coats.map(({ id }) => id)).toEqual(before.coats.map(({ id }) => id));
    expect(gallons(small) - gallons(before)).toBeCloseTo(litres, 9);
    const deep = roomOf([...ALL, hollow(1)], 119);
    expect(deep.coats.filter(({ key }) => key === 'extra')).toMatchObject([{ class: 'flat', amount: FLAT.amount }]);
  });

  it('is cut back where it stands too high to float: first of all, and by its length', () => {
    const room = roomOf([...ALL, knifed(3 / 8)], 119);
    expect(room.more.size).toBe(0);
    expect(room.coats.some(({ key }) => key === 'extra')).toBe(false);
    expect(room.standing.now.kind).toBe('fix');
    expect(findingOf(laid(3 / 8)).cutBack).toBe(true);
    const [mend] = openWork(room, hoursIn(119)).filter(({ work }) => work === 'mend');
    // 8 ft an hour.
    expect(mend?.hours).toBeCloseTo(BUTT.amount / 304.8 / 8, 9);
  });

  it('widens the extra coat that its class gets anyway, and adds none', () => {
    const head = { method: { level: 4, classes: { butt: { coats: 'three' } } } };
    const { room } = recordedRoom([...ALL, put(118, 'butt', 'extra'), knifed(3 / 16, BUTT, 150)], 151, {
      room: LONG,
      head,
    });
    const extras = room.coats.filter(({ key }) => key === 'extra');
    expect(extras).toHaveLength(1);
    expect(extras[0]?.amount).toBeCloseTo(EMPTY.tally.classes.butt.length, 6);
    expect(extras[0]?.more).toBeGreaterThan(0);
  });

  it.each([
    ['on a joint without mud', [knifed(1 / 8, BUTT, 1)], 'nothingOn'],
    ['on a joint that is gone', [...ALL, knifed(1 / 8, { id: 'w9#u1.1@w9' })], 'noSuchJoint'],
    ['across an inside angle', [...ALL, knifed(1 / 8, ANGLE)], 'noKnife'],
  ] as const)('is refused %s, and nothing changes', (_words, sent, why) => {
    const { room, refused } = recordedRoom(sent, 130, { room: LONG });
    expect(refused.flatMap((refusal) => refusal?.why ?? [])).toEqual([why]);
    expect(room.state.items).toEqual([]);
  });
});
