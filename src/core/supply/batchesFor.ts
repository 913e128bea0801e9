import { mudWithin } from '../materials/batch';
import type { Wares } from '../materials/catalogue';
import { mudOf } from '../materials/loadList';
import type { Steps } from '../measure/steps';
import { COAT_KEYS, type CoatKey } from '../method/coat';
import type { RoomSnapshot } from '../snapshot/houseSnapshot';
import { coatHours } from '../work/tasksOf';

/** Setting mud for one round through a room: how much of it, in how many batches of at most how much; litres. */
export interface RoundBatches {
  /** The room, by id. */
  readonly room: string;
  readonly round: CoatKey;
  /** Minutes on the label. */
  readonly label: number;
  readonly litres: number;
  /** Person-hours of putting it on. */
  readonly hours: number;
  /** The most that one uses up within the label. */
  readonly most: number;
  readonly count: number;
}

/**
 * Computes the batches of setting mud for the coats that are left, room by room. A batch is what one person uses within the working time on the
 * label at the default rate.
 */
export function* batchesFor(rooms: readonly RoomSnapshot[], { of }: Pick<Wares, 'of'>): Steps<readonly RoundBatches[]> {
  const batches: RoundBatches[] = [];
  for (const room of rooms) {
    yield;
    batches.push(...batchesIn(room, of.setting.use));
  }
  return batches;
}

function batchesIn({ room, coats, method, applied, standing }: RoomSnapshot, use: number): readonly RoundBatches[] {
  if (standing.now.kind === 'done') return [];
  return COAT_KEYS.flatMap((round) => {
    const labels = new Map<number, { litres: number; hours: number }>();
    for (const coat of coats) {
      const left = 1 - (applied.coats.get(coat.id)?.share ?? 0);
      if (coat.round !== round || coat.settingMinutes === undefined || left <= 0) continue;
      const sum = labels.get(coat.settingMinutes) ?? { litres: 0, hours: 0 };
      labels.set(coat.settingMinutes, {
        litres: sum.litres + mudOf(coat, method) * left * use,
        hours: sum.hours + coatHours(coat, method) * left,
      });
    }
    return [...labels].map(([label, { litres, hours }]) => {
      const most = mudWithin({ litres, hours }, label);
      return { room: room.id, round, label, litres, hours, most, count: Math.max(1, Math.ceil(litres / most - 1e-9)) };
    });
  });
}
