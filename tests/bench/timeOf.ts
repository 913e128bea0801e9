import { median } from './rooms';

const RUNS = 15;

/** ms of a call, the median of several after as many unmeasured ones. */
export function timeOf(run: (turn: number) => unknown): number {
  const once = (turn: number) => {
    const start = performance.now();
    run(turn);
    return performance.now() - start;
  };
  for (let turn = 0; turn < RUNS; turn += 1) once(turn);
  return median(Array.from({ length: RUNS }, (_, turn) => once(RUNS + turn)));
}
