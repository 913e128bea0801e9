import { describe, expect, it } from 'vitest';
import { roomOf } from '../../../tests/houses/readRooms';
import { takeOff } from '../joints/takeOff';
import { resolveMethod } from '../method/resolveMethod';
import { roomCoats } from '../method/roomCoats';
import type { MethodChoices } from '../room/methodSchema';
import { coatHours } from './tasksOf';
import { workOf } from './workOf';
import { UNTOUCHED, type WorkRoom } from './workRoom';

const { house, room } = roomOf("A 20' x 14' x 8', door 32x80 wall 1 bead, ceiling along");
const { tally } = takeOff(room, house);

function workRoom(choices: MethodChoices = {}, more: Partial<WorkRoom> = {}): WorkRoom {
  const method = resolveMethod({ unit: 'in', method: { level: 4, ...choices } });
  return { ...UNTOUCHED, id: 'a', tally, method, coats: roomCoats(tally, method), ...more };
}
const named = (own: WorkRoom) => new Map(workOf(own).map((item) => [item.work, item]));
const waits = (own: WorkRoom, work: string) =>
  (named(own).get(work)?.after ?? []).map(({ item, until }) => `${until} ${item.replace('a/', '')}`);

describe('the work of a room', () => {
  it('is what can be handed out in one go, in the order of its rounds, seal last', () => {
    const works = workOf(workRoom()).map(({ work }) => work);
    expect(works.slice(0, 6)).toEqual([
      'prefill',
      'tape.bead',
      'tape.butt',
      'tape.flat',
      'tape.angle',
      'tape.fasteners',
    ]);
    expect(works.slice(-3)).toEqual(['sand', 'check', 'seal']);
    expect(new Set(works).size).toBe(works.length);
  });

  it('tapes kind after kind, and nobody waits for what is soft', () => {
    for (const order of ['butts', 'noWait', 'boxes', 'ceilingSides'] as const)
      expect(waits(workRoom({ order }), 'tape.flat')).toEqual(['firm prefill', 'ended tape.bead', 'ended tape.butt']);
  });

  it('waits for the coat below, and of an angle for the other side before it', () => {
    const below = (work: string) => waits(workRoom(), work).filter((wait) => wait.startsWith('recoat'));
    expect(below('fill.flat')).toEqual(['recoat tape.flat']);
    expect(below('fill.angle.first')).toEqual(['recoat tape.angle']);
    expect(below('fill.angle.second')).toEqual(['recoat tape.angle', 'recoat fill.angle.first']);
  });

  it('skims after every last coat, and sands when all of it is dry', () => {
    const skimmed = workRoom({ last: 'skim' });
    const skim = waits(skimmed, 'skim.surface');
    expect(skim).toContain('sand finish.flat');
    expect(skim).not.toContain('sand tape.flat');
    expect(waits(skimmed, 'sand')).toContain('sand skim.surface');
    expect(waits(skimmed, 'check')).toEqual(['ended sand']);
  });

  it('is run by two with a box, and the butts that it leaves are centred once the room is boxed', () => {
    const boxes = workRoom({ tools: 'boxes', order: 'boxes' });
    const flat = named(boxes).get('fill.flat');
    expect(flat).toMatchObject({ people: 2, skill: 'box', tool: 'box-10' });
    expect(waits(boxes, 'centring.fill')).toEqual([
      'stiff fill.butt',
      'ended fill.flat',
      'ended fill.bead',
      'ended fill.angle.first',
      'ended fill.fasteners',
    ]);
    const dry = workRoom({ tools: 'boxes', order: 'boxes', centring: 'nextDay' });
    expect(waits(dry, 'centring.fill')).toContain('recoat fill.butt');
    expect(named(workRoom()).get('fill.flat')).toMatchObject({ people: 1, skill: 'coat', tool: undefined });
  });

  it('shrinks by what is on, and is gone when it is done', () => {
    const own = workRoom();
    const fill = own.coats.find(({ id }) => id === 'flat.fill');
    const whole = named(own).get('fill.flat')?.hours ?? 0;
    const half = workRoom({}, { left: ({ id }) => ({ ...UNTOUCHED.left(), part: id === 'flat.fill' ? 0.5 : 1 }) });
    const left = named(half).get('fill.flat');
    expect(left?.part).toBe(0.5);
    expect(left?.hours).toBeCloseTo(whole / 2, 9);
    if (!fill) throw new Error('flats get a fill coat');
    expect(whole).toBeGreaterThan(coatHours(fill, own.method));
    const done = workRoom(
      {},
      { left: () => ({ part: 0, from: undefined, sandAt: 5 }), prefilled: 1, sandLeft: 0, checked: true },
    );
    expect(workOf(done).map(({ work }) => work)).toEqual(['seal']);
    expect(named(workRoom({}, { left: done.left })).get('sand')).toMatchObject({ from: 5, after: [] });
  });

  it('opens again what was sanded when a coat is missing', () => {
    const own = workRoom();
    const again = workRoom(
      {},
      {
        left: ({ id }) => ({ part: id === 'flat.finish' ? 1 : 0, from: undefined, sandAt: undefined }),
        prefilled: 1,
        sandLeft: 0.2,
        checked: true,
        sealed: true,
      },
    );
    expect(workOf(again).map(({ work }) => work)).toEqual(['finish.flat', 'sand', 'check', 'seal']);
    expect(workOf({ ...own, coats: [] })).toEqual([]);
  });

  it('a bathroom of six boards is three or four short visits on different days', () => {
    // Common practice, no source: one person, each under three hours, no two of them on one day.
    const bath = roomOf("Bath 8' x 5' x 8', door 28x80 wall 1, tile 60x72 wall 2, tile 96x72 wall 3");
    const taken = takeOff(bath.room, bath.house).tally;
    const method = resolveMethod({ unit: 'in', method: { level: 4, last: 'none' } });
    const coats = roomCoats(taken, method);
    const rounds = new Map<string, number>();
    for (const item of workOf({ ...UNTOUCHED, id: 'bath', tally: taken, method, coats }))
      if (item.muds.length > 0 || item.kind === 'sand')
        rounds.set(item.pass, (rounds.get(item.pass) ?? 0) + item.hours);
    expect(rounds.size).toBeGreaterThanOrEqual(3);
    expect(rounds.size).toBeLessThanOrEqual(4);
    expect(Math.max(...rounds.values())).toBeLessThan(3);
  });
});
