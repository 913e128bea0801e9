/** A coat that somebody else logged in the meantime. */
export interface Clash {
  /** The entry that was sent, and theirs, by id. */
  readonly entry: string;
  readonly theirs: string;
  /** The pieces that both name, by id; undefined where all that was sent clashes. */
  readonly pieces?: readonly string[];
}
