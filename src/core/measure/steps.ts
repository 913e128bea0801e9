/** Work in steps, after each of which something else may be done; it returns its result with the last one. */
export type Steps<Result> = Generator<undefined, Result>;

/** Does all steps at once. */
export function allSteps<Result>(steps: Steps<Result>): Result {
  for (;;) {
    const { done, value } = steps.next();
    if (done) return value;
  }
}
