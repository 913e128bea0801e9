import { isAcross } from '@/core/joints/classTraits';
import { type Piece, pieceId } from '@/core/joints/pieces';
import type { TakeOff } from '@/core/joints/takeOff';
import type { Point } from '@/core/measure/vector';
import { SIDES, type Side } from '@/core/method/coat';
import { finishedWidth } from '@/core/section/finishedWidth';
import type { RoomSnapshot } from '@/core/snapshot/houseSnapshot';
import { isCeilingFirst, liesOn } from '@/core/standing/liesOn';
import { faceWords } from '@/words/faceWords';
import type { DrawnFace } from './LaidFaceDrawing';
import { type LaidFace, type PageBox, unrollRoom } from './unroll';

/** A piece of joint as it lies on the page; mm. */
export interface MappedPiece {
  readonly id: string;
  readonly joint: string;
  readonly class: Piece['class'];
  readonly face: string;
  /** Where it is, in words: wall 2. */
  readonly where: string;
  readonly amount: number;
  /** The sides that it is, by what schools call them; every one where it is none of an angle. */
  readonly sides: readonly Side[];
  /** How wide its joint is finished by the method, both sides together, mm; undefined for what no knife is laid across. */
  readonly width: number | undefined;
  /** The coats that are on it whole. */
  readonly has: readonly string[];
  readonly from: Point;
  readonly to: Point;
  /** Off its edge, onto its own face: two sides of an angle lie beside each other. */
  readonly shift: Point;
}

/** A face of the map, and where it lies on the page. */
export type MappedFace = DrawnFace & Pick<LaidFace, 'place'>;

/** A room laid flat with the pieces that can be tapped. */
export interface PieceMap {
  readonly box: PageBox;
  readonly text: number;
  readonly faces: readonly MappedFace[];
  readonly pieces: readonly MappedPiece[];
}

/** The pieces of a room on its faces laid flat, each with the coats that are on it. */
export function pieceMap({ room, method, applied: { stretches } }: RoomSnapshot, takenOff: TakeOff): PieceMap {
  const { faces, sides, text, box } = unrollRoom(takenOff);
  const pieces = new Map(takenOff.pieces.map((piece) => [piece.id, piece]));
  const has = new Map(
    stretches.flatMap((stretch) => {
      const whole = stretch.coats.flatMap(({ coat, share }) => (share === 1 ? [coat.id] : []));
      return stretch.pieces.map(({ id }) => [id, whole] as const);
    }),
  );
  const widths = new Map<Piece['class'], number | undefined>();
  const widthOf = (kind: Piece['class']) => {
    if (!widths.has(kind)) widths.set(kind, isAcross(kind) ? finishedWidth(kind, method) || undefined : undefined);
    return widths.get(kind);
  };
  const ceilings = faces.filter(({ face }) => face.kind === 'ceiling').length;
  const laid = new Map(faces.map((own) => [own.face.id, own]));
  return {
    box,
    text,
    faces: faces.map(({ face: { id, existing }, ...own }) => ({ ...own, face: { id, existing } })),
    pieces: sides.flatMap((side): readonly MappedPiece[] => {
      const piece = pieces.get(pieceId({ id: side.joint }, side.face));
      const own = laid.get(side.face);
      if (!piece || !own) return [];
      const ceilingFirst = isCeilingFirst(piece, method, room.finish);
      return [
        {
          id: piece.id,
          joint: side.joint,
          class: piece.class,
          face: side.face,
          where: faceWords(own.face.place, ceilings),
          amount: piece.amount,
          sides: SIDES.filter((name) => liesOn(piece, name, ceilingFirst)),
          width: widthOf(piece.class),
          has: has.get(piece.id) ?? [],
          from: side.from,
          to: side.to,
          shift: piece.lies ? onto(own.label, side.from, side.to, text * 0.45) : [0, 0],
        },
      ];
    }),
  };
}

/** Off a line by so much, toward a point. */
function onto([x, y]: Point, from: Point, to: Point, by: number): Point {
  const [across, down] = [to[1] - from[1], from[0] - to[0]];
  const length = Math.hypot(across, down) || 1;
  const toward = (x - from[0]) * across + (y - from[1]) * down >= 0 ? by : -by;
  return [(across / length) * toward, (down / length) * toward];
}
