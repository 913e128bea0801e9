import type { HouseHead } from '@/core/house/schema';
import { JOINT_CLASSES } from '@/core/joints/joint';
import { jointLength, type Tally, tapedLength } from '@/core/joints/tally';
import type { QuickRoom } from '@/core/room/schema';
import type { SheetWords } from '@/ui/room/sheetSvg';
import { areaWords, roughLength } from '@/words/lengthWords';
import { CLASS_NAMES } from '@/words/stateWords';

/** What the sheet of a room says beside its picture. */
export const sheetWords = (
  tally: Tally,
  room: Pick<QuickRoom, 'name' | 'floor' | 'note'> | undefined,
  { name, unit }: HouseHead,
): SheetWords => ({
  title: room?.name ?? '',
  below: [name, room?.floor, `${areaWords(tally.boardArea, unit)} of board`].filter(Boolean).join(', '),
  rows: [
    ...JOINT_CLASSES.flatMap((kind): SheetWords['rows'] => {
      const { count, length } = tally.classes[kind];
      return count > 0 ? [[CLASS_NAMES[kind], String(count), roughLength(length, unit)]] : [];
    }),
    ['Three-ways', String(tally.threeWays), ''],
    ['Fasteners to spot', tally.fasteners.toLocaleString('en-US'), ''],
    ['All joints', '', roughLength(jointLength(tally), unit)],
    ['Tape', '', roughLength(tapedLength(tally), unit)],
  ],
  note: room?.note,
});
