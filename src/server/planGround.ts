import type { FinishAnswer, GoodsAnswer, OwnHours, PlanGroundAnswer } from '../contract/plan';
import { type Wares, waresOf } from '../core/materials/catalogue';
import { dayOf } from '../core/measure/dayOf';
import { jsonSteps } from '../core/measure/jsonSteps';
import type { Steps } from '../core/measure/steps';
import { houseFinish } from '../core/plan/houseFinish';
import { emptyPlan } from '../core/plan/planHouse';
import type { PlanInput } from '../core/plan/planInput';
import { plannedHours } from '../core/plan/plannedHours';
import type { RoomSnapshot } from '../core/snapshot/houseSnapshot';
import { enoughUntil, roundStarts } from '../core/stock/enoughUntil';
import { movesIn, STOCK, stockOf } from '../core/stock/stock';
import { goodsOfItems } from '../core/supply/goodsOfItems';
import type { GoodsTaken } from '../core/supply/goodsTaken';
import { now } from '../db/clock';
import type { Member } from '../db/people';
import type { LoadedSnapshot } from './loadSnapshot';
import { mayAct } from './mayAct';
import { openHouse } from './openHouse';
import { AS_IT_STANDS, type Ground, type PlanAsked, planOfHouse } from './plans/planOfHouse';
import { refuse } from './refuse';
import { inSlices } from './threads/inSlices';

const CREW_ONLY = 'Only the crew can see this plan.';

/** Answers the crew with the plan of a house and its input: `PlanGroundAnswer`. */
export const planGround = (house: string, asked: PlanAsked): Promise<Response> =>
  openHouse(house, async ({ id }, person) => {
    if (!mayAct(person, 'finisher')) return refuse(403, CREW_ONLY);
    const ground = await planOfHouse(id, person, asked);
    return typeof ground === 'object' ? answer(forRole(ground, person)) : refusalOf(ground);
  });

/** Answers every role with the planned finish of a house and its rooms: `FinishAnswer`. */
export const finishOfHouse = (house: string): Promise<Response> =>
  openHouse(house, async ({ id }, person) => {
    const ground = await planOfHouse(id, person, AS_IT_STANDS);
    if (typeof ground !== 'object') return refusalOf(ground);
    const { input, plan = emptyPlan(input), unplanned, own, shown } = ground;
    const seen = seenIn(mayAct(person, 'finisher') ? shown : [own]);
    return answer<FinishAnswer>({ finish: houseFinish({ input, plan }), unplanned, dates: own.dates, seen });
  });

/** Answers with the planned hours of one's own jobs in a house today: `OwnHours`. */
export const ownHours = (house: string): Promise<Response> =>
  openHouse(house, async ({ id, timeZone }, person) => {
    if (!mayAct(person, 'finisher')) return refuse(403, CREW_ONLY);
    const ground = await planOfHouse(id, person, AS_IT_STANDS);
    const { plan, input } = typeof ground === 'object' ? ground : {};
    const key = `${person.id} ${dayOf(now(), timeZone)}`;
    return answer<OwnHours>({
      hours: plan && input ? (plannedHours({ plan, input }, 'assigned').get(key) ?? 0) : null,
    });
  });

/** Answers the crew with how long each good lasts and when each round starts: `GoodsAnswer`. */
export const goodsOfPlan = (house: string): Promise<Response> =>
  openHouse(house, async ({ id }, person) => {
    if (!mayAct(person, 'finisher')) return refuse(403, CREW_ONLY);
    const ground = await planOfHouse(id, person, AS_IT_STANDS);
    if (typeof ground !== 'object') return refusalOf(ground);
    const { input, plan = emptyPlan(input), unplanned, own, shown } = ground;
    const { snapshot, log, now: at } = own;
    const wares = waresOf(snapshot.catalogue, snapshot.house.unit);
    const planned = new Set(input.items.map(({ room }) => room));
    const rooms = snapshot.rooms.filter(({ room }) => planned.has(room.id));
    const goods = await inSlices(goodsSteps(rooms, wares, at));
    const moves = movesIn(log.last(STOCK, Number.POSITIVE_INFINITY), snapshot.rooms, wares);
    const onHand = Object.fromEntries(stockOf(moves, at).map((stock) => [stock.good, stock.onHand]));
    return answer<GoodsAnswer>({
      from: input.from,
      timeZone: input.timeZone,
      open: input.items.length > 0,
      planned: plan.assignments.length > 0,
      unplanned,
      enough: enoughUntil({ plan, input }, goods, onHand, wares.of),
      starts: roundStarts({ plan, input }),
      seen: seenIn(shown),
    });
  });

function* goodsSteps(
  rooms: readonly RoomSnapshot[],
  wares: Pick<Wares, 'of' | 'coverage'>,
  at: number,
): Steps<ReadonlyMap<string, GoodsTaken>> {
  const goods = new Map<string, GoodsTaken>();
  for (const room of rooms) {
    for (const [item, taken] of goodsOfItems(room, wares, at)) goods.set(item, taken);
    yield;
  }
  return goods;
}

/** Answers with JSON, written in slices because plans can be long. */
const answer = async <Content>(content: Content): Promise<Response> =>
  new Response(await inSlices(jsonSteps(content)), {
    headers: { 'content-type': 'application/json', 'cache-control': 'no-store' },
  });

const refusalOf = (why: 'behind' | undefined): Response =>
  why === 'behind'
    ? refuse(409, 'This house is not in the plan yet. Houses with earlier painters’ dates come first.')
    : refuse(503, 'The plan takes too long right now. Try again in a minute.');

const seenIn = (houses: readonly LoadedSnapshot[]): Readonly<Record<string, number>> =>
  Object.fromEntries(houses.map(({ id, mark }) => [id, mark.seq]));

/** Returns the plan as a role may read it: only leads see hourly costs and the paces of others. */
function forRole(ground: Ground, person: Member): PlanGroundAnswer {
  const { input, plan, unplanned, shown, houses, allHouses, crew, crewVersion, paces } = ground;
  const shared = { plan, unplanned, seen: seenIn(shown), houses, allHouses };
  return mayAct(person, 'lead')
    ? { ...shared, input, lead: { crew, crewVersion, paces } }
    : { ...shared, input: withOwnPace(input, person.id) };
}

/** Returns an input without hourly costs and the paces of others. */
const withOwnPace = (input: PlanInput, id: string): PlanInput => ({
  ...input,
  people: input.people.map(({ hourCost, ...person }) => (person.id === id ? person : { ...person, pace: {} })),
});
