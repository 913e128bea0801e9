import { sheetsFor } from '../inspect/sandable';
import { mudOf } from '../materials/loadList';
import type { Steps } from '../measure/steps';
import { MM_PER_FOOT, MM_PER_INCH } from '../measure/unit';
import { COAT_KEYS, COATED_CLASSES, type CoatedClass, type CoatKey } from '../method/coat';
import { sandedWith } from '../method/finalSanding';
import type { EdgeProfile } from '../room/kinds';
import type { RoomSnapshot } from '../snapshot/houseSnapshot';
import { leftToSand } from '../standing/leftToSand';

/** What is bought by the piece beside tape and mud. */
export interface SmallGoods {
  /** Sheets of paper for the pole, and sponges for what it does not reach into. */
  readonly sandpaper: number;
  readonly sponges: number;
  /** Nails or screws for metal bead, opposite each other on both flanges. */
  readonly fixings: number;
}

/** A sponge does the corners of so much joint. Common practice, no source. */
const MM_PER_SPONGE = 500 * MM_PER_FOOT;
/** Metal bead is fixed on both flanges at each end and at most so far apart. Common practice, no source. */
const FIXED_EVERY_MM = 16 * MM_PER_INCH;
const FIXED: ReadonlySet<EdgeProfile> = new Set<EdgeProfile>(['square', 'bullnose', 'arch', 'flexible']);

/** Computes what rooms need in all, whatever is done already, room by room. Pieces are rounded up once for all rooms. */
export function* smallGoods(rooms: readonly RoomSnapshot[]): Steps<SmallGoods> {
  let [sandpaper, sponged, fixings] = [0, 0, 0];
  for (const room of rooms) {
    yield;
    const { method, tally } = room;
    for (const [kind, { all, pieces }] of leftToSand(room.pieces, method, room.room.finish, room.done)) {
      if (sandedWith(kind) === 'pole') sandpaper += sheetsFor(kind, pieces, room.coats);
      else sponged += all;
    }
    for (const { profile, length } of tally.beadPieces)
      if (FIXED.has(profile)) fixings += 2 * (Math.ceil(length / FIXED_EVERY_MM - 1e-9) + 1);
  }
  return {
    sandpaper: whole(sandpaper),
    sponges: whole(sponged / MM_PER_SPONGE),
    fixings,
  };
}

const whole = (value: number): number => Math.max(0, Math.ceil(value - 1e-9));

/** Litres of mud that each coat of a class takes in some rooms. */
export interface MudOfClass {
  readonly class: CoatedClass;
  readonly coats: Readonly<Partial<Record<CoatKey, number>>>;
}

/** How many times what the sections say the crew puts on of a mud. */
type Use = (mud: RoomSnapshot['coats'][number]['mud']) => number;

/** Computes the mud of each class by its coats, room by room, without waste and without small work. */
export function* mudByClass(rooms: readonly RoomSnapshot[], use: Use): Steps<readonly MudOfClass[]> {
  const found = new Map<CoatedClass, Partial<Record<CoatKey, number>>>();
  for (const { coats, method } of rooms) {
    yield;
    for (const coat of coats) {
      const own = found.get(coat.class) ?? {};
      own[coat.key] = (own[coat.key] ?? 0) + mudOf(coat, method) * use(coat.mud);
      found.set(coat.class, own);
    }
  }
  return COATED_CLASSES.flatMap((kind) => {
    const own = found.get(kind);
    return own ? [{ class: kind, coats: Object.fromEntries(COAT_KEYS.map((key) => [key, own[key] ?? 0])) }] : [];
  });
}
