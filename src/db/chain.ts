/** A change with its own id, and those of the changes before it that its maker knows no answer to. */
export interface Change {
  readonly id: string;
  readonly after: readonly string[];
}

/** The newest change of one thing that was kept, before it those it was made after: newest first. */
export type Chain = readonly string[];

/**
 * Whether a change is in already: the same one sent twice, or one that a later change of the same hand has overtaken on the
 * way. It changes nothing any more.
 */
export const isIn = (chain: Chain, { id }: Change): boolean => chain.includes(id);

/** Whether what is kept now is what this hand sent before, so that the change is over what its maker saw. */
export const isOver = (chain: Chain, { after }: Change): boolean => chain[0] !== undefined && after.includes(chain[0]);

/** The chain once the change is kept. */
export const withChange = ({ id, after }: Change): Chain => [id, ...after];
