import { describe, expect, it } from 'vitest';
import { roomOf } from '../../../tests/houses/readRooms';
import { takeOff } from '../joints/takeOff';
import { resolveMethod } from '../method/resolveMethod';
import { roomCoats } from '../method/roomCoats';
import { coatPieces } from '../standing/coatPieces';
import { blockOf } from './block';
import { itemsIn, splitItems } from './splitItems';
import { workOf } from './workOf';
import { UNTOUCHED } from './workRoom';

const { house, room } = roomOf("A 20' x 14' x 8', door 32x80 wall 1 bead, ceiling along");
const { tally, pieces } = takeOff(room, house);
const method = resolveMethod({ unit: 'in', method: { level: 4 } });
const coats = roomCoats(tally, method);
/** Three quarters of every coat lie on the walls; of the finish coat on flats those are done. */
const items = workOf({
  ...UNTOUCHED,
  id: 'a',
  tally,
  method,
  coats,
  left: ({ id }) => ({
    ...UNTOUCHED.left(),
    part: id === 'flat.finish' ? 0.25 : 1,
    blocks: {
      walls: { share: 0.75, part: id === 'flat.finish' ? 0 : 1, from: undefined },
      ceiling: { share: 0.25, part: 1, from: 5 },
    },
  }),
});
const item = (id: string) => items.find((one) => one.id === `a/${id}`);
const split = (...ids: readonly string[]) => splitItems(items, new Set(ids.map((id) => `a/${id}`)));
const waits = (own: ReturnType<typeof split>, id: string) =>
  (own.find((one) => one.id === `a/${id}`)?.after ?? []).map(
    ({ item: before, until }) => `${until} ${before.slice(2)}`,
  );

describe('work in two', () => {
  it('shares what there is between the walls and the ceiling, each with its own waiting', () => {
    const [walls, ceiling] = split('fill.flat').filter(({ work }) => work.startsWith('fill.flat'));
    const whole = item('fill.flat');
    expect([walls?.id, ceiling?.id]).toEqual(['a/fill.flat@walls', 'a/fill.flat@ceiling']);
    expect(walls?.part).toBe(0.75);
    expect(walls?.hours).toBeCloseTo(3 * (ceiling?.hours ?? 0), 9);
    expect((walls?.hours ?? 0) + (ceiling?.hours ?? 0)).toBeCloseTo(whole?.hours ?? 0, 9);
    expect([walls?.from, ceiling?.from]).toEqual([undefined, 5]);
  });

  it('waits for what lies on the same faces only, and for both halves of what may lie in the corner', () => {
    const own = split('tape.flat', 'fill.flat', 'fill.butt', 'tape.butt');
    expect(waits(own, 'fill.flat@ceiling')).toEqual([
      'firm fill.butt@ceiling',
      'ended fill.fasteners',
      'recoat tape.flat@ceiling',
    ]);
    expect(waits(own, 'tape.flat@walls')).toContain('ended tape.butt@walls');
    expect(waits(own, 'tape.flat@walls')).not.toContain('ended tape.butt@ceiling');
    const angles = waits(own, 'tape.angle').filter((wait) => wait.includes('tape.flat'));
    expect(angles.map((wait) => wait.split(' ')[1])).toEqual(['tape.flat@walls', 'tape.flat@ceiling']);
    expect(waits(own, 'sand')).toEqual(expect.arrayContaining(['sand fill.flat@walls', 'sand fill.flat@ceiling']));
  });

  it('names only what there is: every wait is for an item, and nothing waits for less than before', () => {
    const own = splitItems(items, new Set(items.map(({ id }) => id)));
    const ids = new Set(own.map(({ id }) => id));
    for (const { after } of own) for (const { item: before } of after) expect(ids).toContain(before);
    for (const { id, after } of items) {
      const halves = own.filter((one) => one.id === id || one.id.startsWith(`${id}@`));
      const before = new Set(halves.flatMap((half) => half.after.map((one) => one.item.split('@')[0])));
      expect(before).toEqual(new Set(after.map((one) => one.item)));
    }
  });

  it('leaves whole what lies in one block or in none', () => {
    expect(item('finish.flat')).toMatchObject({ block: 'ceiling', blocks: undefined });
    expect(split('finish.flat', 'sand')).toEqual(items);
    expect(itemsIn(items, 'ceiling').map(({ work }) => work)).toContain('finish.flat');
    expect(itemsIn(items, 'walls').map(({ work }) => work)).not.toContain('sand');
  });
});

describe('the pieces of a coat', () => {
  const ceilings = new Set(['c0']);
  const of = coatPieces(pieces, method, undefined);

  it('add up to the coat, a joint with two sides counted once', () => {
    for (const coat of coats.filter(({ class: kind }) => kind === 'flat' || kind === 'fasteners')) {
      const sum = (of.get(coat.id) ?? []).reduce((all, { amount }) => all + amount, 0);
      expect(sum).toBeCloseTo(coat.amount, 3);
    }
    const angle = coats.find(({ class: kind, side }) => kind === 'angle' && side === undefined);
    const sides = (of.get(angle?.id ?? '') ?? []).reduce((all, { amount }) => all + amount, 0);
    expect(sides).toBeCloseTo(2 * (angle?.amount ?? 0), 3);
  });

  it('run the joints under the ceiling with it, on both of their sides', () => {
    const angles = pieces.filter((piece) => piece.class === 'angle' && blockOf(piece, ceilings) === 'ceiling');
    // Around a 20 × 14 ft room, once on the ceiling and once on the walls.
    expect(angles.reduce((sum, { amount }) => sum + amount, 0) / 304.8).toBeCloseTo(2 * 68, 6);
    expect(angles.some(({ face }) => face !== 'c0')).toBe(true);
  });
});
