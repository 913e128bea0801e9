/** What a board's edge is made of: the factory's taper on long edges, square everywhere else. */
export type EdgeKind = 'tapered' | 'square';

/** One piece of board on a face, a rectangle in the face's coordinates (mm); openings are cut out of it later. */
export interface Board {
  readonly course: number;
  readonly u0: number;
  readonly u1: number;
  readonly v0: number;
  readonly v1: number;
  /** The way its long edges run on the face. */
  readonly long: 'u' | 'v';
  /** Its two long edges: at the smaller and at the larger coordinate. */
  readonly lowEdge: EdgeKind;
  readonly highEdge: EdgeKind;
  /** The butt at its far end was hung over a recessing backer. */
  readonly backed: boolean;
  /** The paper edges there were cut back to a channel. */
  readonly bevelled?: boolean;
  /** What it is cut from: sheets of one width in the lengths that they come in; mm. */
  readonly stock: { readonly width: number; readonly lengths: readonly number[] };
}

/** What a mm of each joint costs to finish, in the same measure; see `usualJointPrices`. */
export interface JointPrices {
  readonly flat: number;
  readonly mixed: number;
  readonly butt: number;
}

/**
 * A butt is priced far above its hours, since it is where a wall shows afterwards; a mixed joint is floated wider than
 * a flat. Common practice, no source.
 */
export const usualJointPrices: JointPrices = { flat: 1, mixed: 1.5, butt: 10 };
