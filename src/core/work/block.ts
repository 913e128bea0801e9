import type { Piece } from '../joints/pieces';

/** The parts of a room that can be handed out by themselves. */
export const BLOCKS = ['walls', 'ceiling'] as const;
export type Block = (typeof BLOCKS)[number];

/** Some work, where it is meant for one block only: `fill.flat@ceiling`. */
export const workOn = (work: string, block: Block | undefined): string =>
  block === undefined ? work : `${work}@${block}`;

/** The same work wherever it is. */
export const workAnywhere = (work: string): string => work.split('@')[0] ?? work;

/** Whether some work, or an item, is meant for one block only. */
export const isHalf = (work: string): boolean => work !== workAnywhere(work);

/**
 * In which block a piece is run: a joint that ends on a ceiling goes with it, on both of its sides, for one tape lies on both.
 *
 * @param ceilings the ids of the ceiling's faces
 */
export const blockOf = ({ faces }: Pick<Piece, 'faces'>, ceilings: ReadonlySet<string>): Block =>
  faces.some((face) => ceilings.has(face)) ? 'ceiling' : 'walls';
