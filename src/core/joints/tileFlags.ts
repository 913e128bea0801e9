import type { HungFace } from '../hang/hangRoom';
import { overlapOf } from '../measure/span';
import { MM_PER_INCH } from '../measure/unit';
import type { Joint } from './joint';

/** How wide a board's taper is. source: ASTM C1396 (from memory): about 2–2.5 in. */
export const TAPER_WIDTH_MM = 2.5 * MM_PER_INCH;

/** A flat so close to a tile line that its taper shows beside the tile. */
export interface TileFlag {
  /** What its face is called by number. */
  readonly place: string;
  readonly face: string;
  readonly joint: string;
  /** From the flat to the line of the tile; mm. */
  readonly distance: number;
}

/** The flats within a taper's width of a line of tile, outside the tile. */
export function tileFlags(hungFaces: readonly HungFace[], joints: readonly Joint[]): readonly TileFlag[] {
  return hungFaces.flatMap(({ face }) =>
    face.covers
      .filter(({ cover }) => cover === 'tile')
      .flatMap(({ u0, u1, v0, v1 }) =>
        joints.flatMap((joint): readonly TileFlag[] => {
          const [line] = joint.lines;
          if (joint.class !== 'flat' || line?.face !== face.id) return [];
          const level = Math.abs(line.from[1] - line.to[1]) < Math.abs(line.from[0] - line.to[0]);
          const [at, from, to] = level
            ? [line.from[1], line.from[0], line.to[0]]
            : [line.from[0], line.from[1], line.to[1]];
          const [low, high, start, end] = level ? [v0, v1, u0, u1] : [u0, u1, v0, v1];
          const beside = overlapOf({ from: Math.min(from, to), to: Math.max(from, to) }, { from: start, to: end });
          const distance = Math.min(at <= low ? low - at : Infinity, at >= high ? at - high : Infinity);
          return beside && distance < TAPER_WIDTH_MM
            ? [{ face: face.id, place: face.place, joint: joint.id, distance }]
            : [];
        }),
      ),
  );
}
