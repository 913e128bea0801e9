import type { KeptReading } from '../reading';
import type { AirFile } from './readAirFile';

/** What is shown of a file before it is taken. */
export interface AirFileLook extends Pick<AirFile, 'repeated' | 'doubts'> {
  readonly readings: number;
  readonly first: readonly KeptReading[];
  /** ms since 1970 */
  readonly from: number | undefined;
  readonly to: number | undefined;
  readonly refused: number;
  readonly firstRefused: AirFile['refused'];
}

const SHOWN = 5;

/** The counts of a file, its stretch of time, and the first of what is taken and left out. */
export function lookAtFile({ readings, refused, repeated, doubts }: AirFile): AirFileLook {
  let [from, to] = [Number.POSITIVE_INFINITY, Number.NEGATIVE_INFINITY];
  for (const { at } of readings) {
    from = Math.min(from, at);
    to = Math.max(to, at);
  }
  return {
    readings: readings.length,
    first: readings.slice(0, SHOWN),
    from: readings.length > 0 ? from : undefined,
    to: readings.length > 0 ? to : undefined,
    refused: refused.length,
    firstRefused: refused.slice(0, SHOWN),
    repeated,
    doubts,
  };
}
