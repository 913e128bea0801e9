import { sheetsFor } from '../inspect/sandable';
import { mudOf } from '../materials/loadList';
import { MM_PER_FOOT, MM_PER_INCH } from '../measure/unit';
import { COAT_KEYS, COATED_CLASSES, type CoatedClass, type CoatKey } from '../method/coat';
import { sandedWith } from '../method/finalSanding';
import { choicesFor } from '../method/resolveMethod';
import type { EdgeProfile } from '../room/kinds';
import type { RoomSnapshot } from '../snapshot/houseSnapshot';
import { leftToSand } from '../standing/leftToSand';

/** What is bought by the piece beside tape and mud. */
export interface SmallGoods {
  /** Sheets of paper for the pole, and sponges for what it does not reach into. */
  readonly sandpaper: number;
  readonly sponges: number;
  /** Paper over the flanges of beads, mm. */
  readonly strip: number;
  /** Trim over joints that are not finished, mm, and tubes of caulk for its edges. */
  readonly trim: number;
  readonly caulk: number;
  /** Nails or screws for metal bead, opposite each other on both flanges. */
  readonly fixings: number;
}

/** A sponge does the corners of so much joint; a tube of caulk so much edge. Common practice, no source. */
const MM_PER_SPONGE = 500 * MM_PER_FOOT;
const MM_PER_TUBE = 30 * MM_PER_FOOT;
/** Metal bead is fixed on both flanges at each end and at most so far apart. Common practice, no source. */
const FIXED_EVERY_MM = 16 * MM_PER_INCH;
const FIXED: ReadonlySet<EdgeProfile> = new Set<EdgeProfile>(['square', 'bullnose', 'arch', 'flexible']);
/** Trim is cut piece by piece. Common practice, no source. */
const TRIM_WASTE = 0.1;

/** Returns what some rooms take of it in all, whatever is done already: pieces are rounded up once for all of them. */
export function smallGoods(rooms: readonly RoomSnapshot[]): SmallGoods {
  let [sandpaper, sponged, strip, trim, fixings] = [0, 0, 0, 0, 0];
  for (const room of rooms) {
    const { method, tally } = room;
    for (const [kind, { all, pieces }] of leftToSand(room.pieces, method, room.room.finish, room.done)) {
      if (sandedWith(kind) === 'pole') sandpaper += sheetsFor(kind, pieces, room.coats);
      else sponged += all;
    }
    if (choicesFor(method, 'bead').beadStrip === 'strip') strip += 2 * tally.classes.bead.length;
    for (const { profile, length } of tally.beadPieces)
      if (FIXED.has(profile)) fixings += 2 * (Math.ceil(length / FIXED_EVERY_MM - 1e-9) + 1);
    for (const kind of ['existing', 'offAngle'] as const)
      if (choicesFor(method, kind).hard === 'trim') trim += tally.classes[kind].length;
  }
  return {
    sandpaper: whole(sandpaper),
    sponges: whole(sponged / MM_PER_SPONGE),
    strip,
    trim: trim * (1 + TRIM_WASTE),
    fixings,
    caulk: whole((2 * trim) / MM_PER_TUBE),
  };
}

const whole = (value: number): number => Math.max(0, Math.ceil(value - 1e-9));

/** Litres of mud that each coat of a class takes in some rooms. */
export interface MudOfClass {
  readonly class: CoatedClass;
  readonly coats: Readonly<Partial<Record<CoatKey, number>>>;
}

/**
 * The mud of each class by its coats, without waste; what is done beside the coats is told by itself.
 *
 * @param use how many times what the sections say the crew puts on of a mud
 */
export function mudByClass(
  rooms: readonly RoomSnapshot[],
  use: (mud: RoomSnapshot['coats'][number]['mud']) => number,
): readonly MudOfClass[] {
  const found = new Map<CoatedClass, Partial<Record<CoatKey, number>>>();
  for (const { coats, method } of rooms)
    for (const coat of coats) {
      const own = found.get(coat.class) ?? {};
      own[coat.key] = (own[coat.key] ?? 0) + mudOf(coat, method) * use(coat.mud);
      found.set(coat.class, own);
    }
  return COATED_CLASSES.flatMap((kind) => {
    const own = found.get(kind);
    return own ? [{ class: kind, coats: Object.fromEntries(COAT_KEYS.map((key) => [key, own[key] ?? 0])) }] : [];
  });
}
