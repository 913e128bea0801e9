import type { LoadList } from '../materials/loadList';
import { gallonsFromLitres, MM_PER_FOOT } from '../measure/unit';

/** What a whole house takes for each 1,000 ft² of its board. */
export interface Coverage {
  /** Feet of tape. */
  readonly tape: number;
  /** US gallons of mud. */
  readonly mud: number;
}

/**
 * What a whole house with all its coats takes for 1,000 ft² of board: 300 to 450 ft of tape and 7 to 12 gal of mud; what is far
 * from that was counted or chosen wrongly, or is no usual house.
 *
 * source: gypsum construction handbooks: about 370 ft of tape and 9 to 10 gal of ready-mixed mud (from memory)
 */
export const USUAL_COVERAGE = { tape: [300, 450], mud: [7, 12] } as const;

/** undefined where nothing is boarded. */
export function coverageOf(load: LoadList, boardArea: number): Coverage | undefined {
  if (boardArea <= 0) return undefined;
  const thousands = boardArea / MM_PER_FOOT ** 2 / 1000;
  const litres = load.mud.reduce((sum, { net }) => sum + net, 0);
  return {
    tape: (load.tape.net + load.mesh.net) / MM_PER_FOOT / thousands,
    mud: gallonsFromLitres(litres) / thousands,
  };
}

/** Whether a figure lies outside of what is usual. */
export const isUnusual = (value: number, [least, most]: readonly [number, number]): boolean =>
  value < least || value > most;
