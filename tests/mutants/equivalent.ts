/** Changes that no test can notice, since the program does the same with them, and why. */
export const EQUIVALENT: readonly {
  readonly file: string;
  readonly from: string;
  readonly to: string;
  readonly why: string;
}[] = [];
