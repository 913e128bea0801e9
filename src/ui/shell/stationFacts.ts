import { jointLength } from '@/core/joints/tally';
import { dayOf } from '@/core/measure/dayOf';
import { USUAL_CHOICES } from '@/core/room/methodAnswers';
import { handedPasses } from '@/core/schedule/assignedWork';
import type { HouseSnapshot } from '@/core/snapshot/houseSnapshot';
import { roughLength } from '@/words/lengthWords';
import { percent } from '@/words/percent';
import { plural } from '@/words/plural';
import type { StationFact, StationPath } from './stations';

/** The one live fact of each station, by its path. */
export function stationFacts(
  snapshot: HouseSnapshot,
  now: number,
  timeZone: string,
): Readonly<Record<StationPath, StationFact>> {
  const { rooms, house, load } = snapshot;
  const count = (pick: (room: (typeof rooms)[number]) => boolean) => rooms.filter(pick).length;
  const floors = new Set(rooms.map(({ room }) => room.floor)).size;
  const today = dayOf(now, timeZone);
  const passes = handedPasses(rooms, today).filter(({ day }) => day === today).length;
  const wet = count(({ standing }) => standing.wetUntil !== undefined);
  const stuck = count(({ standing }) => standing.now.kind === 'stuck');
  const toSand = count(({ standing }) => standing.now.kind === 'sand');
  const toCheck = count(({ standing }) => standing.now.kind === 'check');
  const toFix = count(({ standing }) => standing.now.kind === 'fix');
  const done = count(({ standing }) => standing.now.kind === 'done');
  return {
    '': {
      text:
        stuck > 0
          ? `${plural(rooms.length, 'room')}, ${stuck} stuck`
          : `${plural(floors, 'floor')}, ${plural(rooms.length, 'room')}`,
    },
    tally: { text: `${roughLength(jointLength(snapshot.tally), house.unit)} of joint` },
    coats: { text: `level ${house.method.level}, ${TOOL_WORDS[house.method.tools ?? USUAL_CHOICES.tools]}` },
    load: {
      text: `${plural(load.tape.packs, 'roll')}, ${plural(
        load.mud.reduce((sum, { packs }) => sum + packs, 0),
        'pail',
      )}`,
    },
    run: { text: `${plural(passes, 'pass', 'passes')} today` },
    board: { text: `${percent(snapshot.progress)} % coated` },
    dry: { text: wet === 0 ? 'nothing wet' : `${plural(wet, 'room')} wet` },
    sand: {
      text:
        toSand + toCheck + toFix === 0
          ? 'nothing yet'
          : `${toSand} to sand, ${toCheck} to check${toFix > 0 ? `, ${toFix} to fix` : ''}`,
    },
    'hand-over': { text: `${done} of ${plural(rooms.length, 'room')}` },
  };
}

const TOOL_WORDS = { knives: 'by hand', trowel: 'by trowel', boxes: 'by box' } as const;
