import type { Wares } from '../materials/catalogue';
import type { Good } from '../materials/goods';
import { uncenteredIn } from '../readiness/uncentered';
import { openWork } from '../schedule/planInputOf';
import type { RoomSnapshot } from '../snapshot/houseSnapshot';
import type { WorkItem } from '../work/workItem';
import { type GoodsTaken, goodsOfCoat, sealerOf, WITH_ITS_COAT } from './goodsTaken';

/**
 * What each item of work that is still to do in a room takes, by the item. Together it is what the room still needs.
 *
 * @param now ms since 1970
 */
export function goodsOfItems(
  snapshot: RoomSnapshot,
  wares: Pick<Wares, 'of' | 'coverage'>,
  now: number,
): ReadonlyMap<string, GoodsTaken> {
  return new Map(openWork(snapshot, now).map((item) => [item.id, goodsOf(item, snapshot, wares)]));
}

function goodsOf(item: WorkItem, snapshot: RoomSnapshot, wares: Pick<Wares, 'of' | 'coverage'>): GoodsTaken {
  const { coats, applied, tasks } = snapshot;
  const taken = new Map<Good, number>();
  const add = (good: Good, amount: number) => {
    if (amount > 0) taken.set(good, (taken.get(good) ?? 0) + amount * wares.of[good].use);
  };
  for (const coat of coats.filter(({ id }) => item.coats.includes(id))) {
    const left = 1 - (applied.coats.get(coat.id)?.share ?? 0);
    for (const [good, amount] of goodsOfCoat(coat, left, snapshot, WITH_ITS_COAT)) add(good, amount);
  }
  if (item.kind === 'seal') add('sealer', sealerOf(snapshot, wares));
  for (const { kind, round, mud, litres } of tasks.flatMap(({ small }) => small)) {
    const isOwn = kind === item.kind && (kind === 'prefill' || round === item.pass);
    // Butts that are on are centered with what is left in the pan.
    const onAlready = kind === 'centring' ? (uncenteredIn(snapshot, round)?.part ?? 0) : 0;
    if (isOwn) add(mud, litres * (item.part - onAlready));
  }
  return [...taken];
}
