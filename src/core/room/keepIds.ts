import { type LengthUnit, TOLERANCE_MM } from '../measure/unit';
import { cross, dot } from '../measure/vector';
import { freshId, idsIn, namesIn, numberOf, type Parted, withIds, withNames } from './ids';
import { PARTS, type PartKind, type PartOf, partsOf } from './parts';
import { type Wall, wallsOf } from './walls';

/**
 * A room as it is said anew, with the ids that its walls and parts had before: what stayed where it was keeps its id, and
 * what was moved or changed keeps it by best match. What is new gets an id that nothing had.
 *
 * @param after the room as it was said, its faces by number, its edges by number or by the ids of before; one that has ids
 *   keeps them
 * @example one of three windows taken away: the other two keep their ids, and the trim that is said of them stays theirs
 */
export function keepIds<Some extends Parted>(before: Parted, after: Some, houseUnit: LengthUnit): Some {
  const known = withIds(before, houseUnit);
  const given = Math.max(known.given ?? 0, after.given ?? 0);
  if (after.walls) return withIds({ ...after, given }, houseUnit);
  const { beads, finish, hung, ...bare } = after;
  const old = matchWalls(wallsOf(known.outline, houseUnit), wallsOf(after.outline, houseUnit));
  const taken = new Set(idsIn(known));
  let next = given;
  const walls = old.map((wall) => {
    const id = (wall === undefined ? undefined : known.walls?.[wall]) ?? freshId('w', next, taken);
    next = Math.max(next, numberOf(id));
    taken.add(id);
    return id;
  });
  let matched: Parted = { ...bare, walls, given: next };
  for (const kind of PARTS) {
    const parts = partsOf(matched, kind);
    const twins = matchParts(partsOf(known, kind), parts, (wall) => old[wall]);
    if (parts.length > 0)
      matched = {
        ...matched,
        [kind]: parts.map((part, index) => ({ ...part, ...(twins[index] && { id: twins[index] }) })),
      };
  }
  const whole = withIds(matched, houseUnit);
  const nameOf = namesIn(whole);
  const ids = new Set(idsIn(whole));
  const edgeName = (name: string) => name.replace(/\w+/g, (part) => (ids.has(part) ? part : nameOf(part)));
  const edges = beads?.edges && withNames({ ...whole, beads }, edgeName).beads;
  return {
    ...after,
    ...withNames({ ...whole, ...(finish && { finish }), ...(hung && { hung }) }, nameOf),
    ...(beads && { beads: edges ?? beads }),
  };
}

/** A wall that came or went costs more than one that got another length, and less than two that did. */
const GAP = 1.2;
/** Walls keep their order; where two ways round fit as well, the one that begins where the room began. */
const TURNED = 0.01;

/**
 * Which of the old walls each new one is, or undefined: the cheapest way to lay the two rounds beside each other, wherever
 * the new one begins.
 */
function matchWalls(before: readonly Wall[], after: readonly Wall[]): readonly (number | undefined)[] {
  let best: { readonly cost: number; readonly pairs: readonly (number | undefined)[] } | undefined;
  for (let start = 0; start < before.length; start += 1) {
    const turned = [...before.slice(start), ...before.slice(0, start)];
    const found = align(turned, after);
    const cost = found.cost + (start === 0 ? 0 : TURNED);
    if (!best || cost < best.cost) best = { cost, pairs: found.pairs };
  }
  return best?.pairs ?? after.map(() => undefined);
}

/** Lays two rows of walls beside each other, in their order. */
function align(before: readonly Wall[], after: readonly Wall[]) {
  const costs = before.map(() => new Array<number>(after.length));
  const costAt = (one: number, other: number): number =>
    one < 0 || other < 0 ? GAP * (one + 1 + other + 1) : (costs[one]?.[other] ?? 0);
  const pair = (one: number, other: number) => costAt(one - 1, other - 1) + unlike(before, one, after, other);
  for (let one = 0; one < before.length; one += 1)
    for (let other = 0; other < after.length; other += 1) {
      const row = costs[one];
      if (row) row[other] = Math.min(pair(one, other), costAt(one - 1, other) + GAP, costAt(one, other - 1) + GAP);
    }
  const pairs = new Array<number | undefined>(after.length).fill(undefined);
  let [one, other] = [before.length - 1, after.length - 1];
  while (one >= 0 && other >= 0) {
    if (costAt(one, other) === pair(one, other)) {
      pairs[other] = before[one]?.index;
      one -= 1;
      other -= 1;
    } else if (costAt(one, other) === costAt(one - 1, other) + GAP) one -= 1;
    else other -= 1;
  }
  return { cost: costAt(before.length - 1, after.length - 1), pairs };
}

/** How unlike two walls are, 0–2: by their length, and by the way the room turns at their end. */
function unlike(before: readonly Wall[], one: number, after: readonly Wall[], other: number): number {
  const [a, b] = [before[one], after[other]];
  if (!a || !b) return 2;
  const longer = Math.max(a.length, b.length);
  const apart = Math.abs(a.length - b.length);
  return (
    (apart <= TOLERANCE_MM ? 0 : 0.3 + (0.7 * apart) / longer) +
    Math.abs(turnAfter(before, one) - turnAfter(after, other)) / Math.PI
  );
}

/** The turn from a wall to the next; radians, to the right above 0. */
function turnAfter(walls: readonly Wall[], index: number): number {
  const [wall, next] = [walls[index], walls[(index + 1) % walls.length]];
  return wall && next ? Math.atan2(cross(wall.along, next.along)[2], dot(wall.along, next.along)) : 0;
}

/** Less alike than this, a part is another one. */
const ALIKE = 0.5;

/** For each new part the id of the old one that it is, or undefined; the most alike find each other first. */
function matchParts<Kind extends PartKind>(
  before: readonly PartOf<Kind>[],
  after: readonly PartOf<Kind>[],
  oldWall: (wall: number) => number | undefined,
): readonly (string | undefined)[] {
  const pairs = after.flatMap((part, index) =>
    before.map((old, place) => ({
      index,
      place,
      // What stands in the same order is preferred among equals.
      alike: likeness(old, part, oldWall) - Math.abs(place - index) * 1e-6,
    })),
  );
  const ids = new Array<string | undefined>(after.length).fill(undefined);
  const used = new Set<number>();
  for (const { index, place, alike } of pairs.sort((a, b) => b.alike - a.alike)) {
    if (alike < ALIKE || ids[index] !== undefined || used.has(place)) continue;
    used.add(place);
    ids[index] = before[place]?.id;
  }
  return ids;
}

/** How alike two parts are, 0–1: by the wall that they are on, their place, and everything else that is said of them. */
function likeness(old: object, part: object, oldWall: (wall: number) => number | undefined): number {
  const keys = new Set([...Object.keys(old), ...Object.keys(part)].filter((key) => key !== 'id'));
  let [sum, most] = [0, 0];
  for (const key of keys) {
    const [a, b] = [(old as Record<string, unknown>)[key], (part as Record<string, unknown>)[key]];
    const weight = WEIGHTS[key] ?? 1;
    most += weight;
    const said = key === 'wall' ? oldWall(b as number) : b;
    if (JSON.stringify(a) === JSON.stringify(said)) sum += weight;
    else if (key !== 'wall' && typeof a === 'number' && typeof b === 'number')
      sum += weight * 0.8 * (1 - Math.min(1, Math.abs(a - b) / Math.max(a, b, 1)));
    else if (key === 'outline') sum += weight * outlineLikeness(a as Outline, b as Outline);
  }
  return most === 0 ? 1 : sum / most;
}

/** A door is no window; and the wall says more than any one size. */
const WEIGHTS: Readonly<Record<string, number>> = { wall: 3, kind: 3, at: 2, from: 2, outline: 4 };

type Outline = readonly (readonly [number, number])[];

/** Columns that overlap, or that are of one size, are alike. */
function outlineLikeness(a: Outline, b: Outline): number {
  const [one, other] = [boxOf(a), boxOf(b)];
  const overlap =
    Math.max(0, Math.min(one.x1, other.x1) - Math.max(one.x0, other.x0)) *
    Math.max(0, Math.min(one.y1, other.y1) - Math.max(one.y0, other.y0));
  if (overlap > 0) return 0.9;
  const same = Math.abs(one.x1 - one.x0 - (other.x1 - other.x0)) + Math.abs(one.y1 - one.y0 - (other.y1 - other.y0));
  return same < 1e-6 ? 0.6 : 0;
}

function boxOf(points: Outline) {
  const [xs, ys] = [points.map(([x]) => x), points.map(([, y]) => y)];
  return { x0: Math.min(...xs), x1: Math.max(...xs), y0: Math.min(...ys), y1: Math.max(...ys) };
}
