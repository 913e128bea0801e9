import type { Wares } from '../materials/catalogue';
import { GOODS, type Good } from '../materials/goods';
import type { RoomCoat } from '../method/roomCoats';
import { coatDone, doneOfSmall, handedPasses, passDone } from '../schedule/assignedWork';
import type { RoomSnapshot } from '../snapshot/houseSnapshot';
import type { HandedPass } from '../work/dayListOf';
import { isBetween } from '../work/pass';
import { goodsOfCoat, sealerOf, WITH_ITS_COAT } from './goodsTaken';

/** What is handed out for one day and what it takes of each good; litres, of tape mm, without waste. */
export interface DayLoad {
  /** YYYY-MM-DD */
  readonly day: string;
  /** In the order of the house; the coats of each in the order in which they are run. */
  readonly jobs: readonly Pick<HandedPass<RoomSnapshot>, 'room' | 'task' | 'block'>[];
  readonly goods: readonly { readonly good: Good; readonly amount: number }[];
}

/**
 * What to bring for each day from one on, for what is handed out and not done: the part of each coat that is not on yet, with what
 * is done beside it.
 *
 * @param from YYYY-MM-DD
 * @param wares how everything is bought
 */
export function bringFrom(
  rooms: readonly RoomSnapshot[],
  from: string,
  wares: Pick<Wares, 'of' | 'coverage'>,
): readonly DayLoad[] {
  const days = new Map<string, OfDay>();
  for (const handed of handedPasses(rooms, from)) {
    const { room, task, day, block } = handed;
    const done = passDone(handed);
    if (day < from || done >= 1) continue;
    const own: OfDay = days.get(day) ?? { jobs: [], goods: new Map() };
    days.set(day, own);
    own.jobs.push({ room, task, block });
    const add = (good: Good, amount: number) =>
      own.goods.set(good, (own.goods.get(good) ?? 0) + amount * wares.of[good].use);
    // Whoever scrapes before a round brings no mud for it.
    for (const coat of isBetween(task.pass) ? [] : task.coats) {
      const left = 1 - coatDone(room, coat.id, block);
      if (left <= 0) continue;
      for (const [good, amount] of goodsOfCoat(wholeOf(coat, room), left * partIn(coat, room), room, WITH_ITS_COAT))
        add(good, amount);
    }
    for (const work of task.small)
      if (!WITH_ITS_COAT.includes(work.kind)) add(work.mud, work.litres * (1 - doneOfSmall(work, room)));
    if (task.pass === 'seal') add('sealer', sealerOf(room, wares));
  }
  return [...days]
    .sort(([a], [b]) => a.localeCompare(b))
    .map(([day, { jobs, goods }]) => ({
      day,
      jobs,
      goods: GOODS.flatMap((good) => {
        const amount = goods.get(good) ?? 0;
        return amount > 0 ? [{ good, amount }] : [];
      }),
    }));
}

interface OfDay {
  readonly jobs: DayLoad['jobs'][number][];
  readonly goods: Map<Good, number>;
}

/** A coat that was assigned in one block only has a part of its amount. */
const wholeOf = (coat: RoomCoat, { coats }: RoomSnapshot): RoomCoat => coats.find(({ id }) => id === coat.id) ?? coat;
const partIn = (coat: RoomCoat, room: RoomSnapshot): number => coat.amount / wholeOf(coat, room).amount;
