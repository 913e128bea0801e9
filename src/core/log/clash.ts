/** A coat that was logged in the meantime, by somebody else or by the same person on another page or phone. */
export interface Clash {
  /** The entry that was sent, and theirs, by id. */
  readonly entry: string;
  readonly theirs: string;
  /** Whether the same person logged both. */
  readonly own?: true;
  /** The pieces that both name, by id; undefined where all that was sent clashes. */
  readonly pieces?: readonly string[];
}
