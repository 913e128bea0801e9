import { mudOf } from '../materials/loadList';
import { MM_PER_FOOT } from '../measure/unit';
import { coatsFor } from '../method/coatsFor';
import type { Method } from '../method/resolveMethod';
import type { RoomCoat } from '../method/roomCoats';
import type { KnifeFinding } from '../section/knifeCheck';
import { bevelledMethod } from '../section/sectionFor';
import { coatHours } from '../work/tasksOf';
import { cutBackHours } from '../work/usualRates';

/** A way to deal with a joint that is too high to float. */
export interface WayOut {
  readonly kind: 'float' | 'cutBack' | 'backer' | 'newBoard';
  /** Person-hours and wet litres for the joint. */
  readonly hours: number;
  readonly litres: number;
}

/** Putting a backer behind a joint, and changing a board: feet of joint in an hour. Common practice, no source. */
const BACKER_FT_PER_HOUR = 6;
const NEW_BOARD_FT_PER_HOUR = 4;

/**
 * Prices the ways to deal with a butt that is too high to float: float it anyway, cut it back and tape it again, put a backer behind it,
 * or change the board; each with the coats that follow.
 *
 * @param length of the joint, mm
 * @param now how wide it is finished, mm
 * @example waysOut(finding, 1219, 610, method)[1].hours  // 0.5 of cutting back, and its coats
 */
export function waysOut(
  { width, extraMud }: Pick<KnifeFinding, 'width' | 'extraMud'>,
  length: number,
  now: number,
  method: Method,
): readonly WayOut[] {
  const coated = (kind: 'butt' | 'backedButt', own: Method) => {
    const coats = coatsFor(kind, own).map((coat): RoomCoat => ({ ...coat, amount: length }));
    return {
      hours: coats.reduce((sum, coat) => sum + coatHours(coat, own), 0),
      litres: coats.reduce((sum, coat) => sum + mudOf(coat, own), 0),
    };
  };
  const before = (feetPerHour: number) => length / MM_PER_FOOT / feetPerHour;
  const [butt, bevelled, backed] = [
    coated('butt', method),
    coated('butt', bevelledMethod(method)),
    coated('backedButt', method),
  ];
  // One wide pass more for every width of what is finished now.
  const last = coatsFor('butt', method).at(-1);
  const pass = last ? coatHours({ ...last, amount: length }, method) : 0;
  return [
    { kind: 'float', hours: pass * Math.max(1, width / now), litres: (extraMud * length) / 1000 },
    { kind: 'cutBack', hours: cutBackHours(length) + bevelled.hours, litres: bevelled.litres },
    { kind: 'backer', hours: before(BACKER_FT_PER_HOUR) + backed.hours, litres: backed.litres },
    { kind: 'newBoard', hours: before(NEW_BOARD_FT_PER_HOUR) + butt.hours, litres: butt.litres },
  ];
}
