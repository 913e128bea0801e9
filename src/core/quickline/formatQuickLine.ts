import type { LengthUnit } from '../measure/unit';
import type { QuickRoom } from '../room/schema';
import { headText, itemsOf } from './itemsOf';
import { writeLine } from './lineItems';

/**
 * Writes a room as the line that `parseQuickLine` reads back into the same room.
 *
 * @example formatQuickLine(room, 'in')  // `Pantry: 7'6 x 5' x 8', door 28x80 wall 2`
 */
export const formatQuickLine = (room: QuickRoom, unit: LengthUnit): string =>
  writeLine(headText(room, unit), itemsOf(room, unit)).line;
