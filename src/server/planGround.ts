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

const CREW_ONLY = 'Only the crew sees its plan.';

/** Answers the crew of a house with what of their plan is in it, and what it is made from. */
export const planGround = (house: string, asked: PlanAsked): Promise<Response> =>
  openHouse(house, async ({ id }, person) => {
    if (!mayAct(person, 'finisher')) return refuse(403, CREW_ONLY);
    const ground = await planOfHouse(id, person, asked);
    return typeof ground === 'object' ? answer(forRole(ground, person)) : refusalOf(ground);
  });

/** Answers everybody whose house it is with when it and its rooms are finished by the plan: `FinishAnswer`. */
export const finishOfHouse = (house: string): Promise<Response> =>
  openHouse(house, async ({ id }, person) => {
    const ground = await planOfHouse(id, person, AS_IT_STANDS);
    if (typeof ground !== 'object') return refusalOf(ground);
    const { input, plan = emptyPlan(input), unplanned, own, shown } = ground;
    const seen = seenIn(mayAct(person, 'finisher') ? shown : [own]);
    return answer<FinishAnswer>({ finish: houseFinish({ input, plan }), unplanned, dates: own.dates, seen });
  });

/** Answers somebody of the crew with how many hours of today's assigned work in a house the plan has for them. */
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

/** Answers the crew of a house with until when each good lasts by the plan, and when each round begins: `GoodsAnswer`. */
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

/** Answers in JSON that is written in slices: the plan of many rooms is long. */
const answer = async <Told>(told: Told): Promise<Response> =>
  new Response(await inSlices(jsonSteps(told)), {
    headers: { 'content-type': 'application/json', 'cache-control': 'no-store' },
  });

const refusalOf = (why: 'behind' | undefined): Response =>
  why === 'behind'
    ? refuse(409, 'This house is not in the plan yet. Houses with earlier painters’ dates come first.')
    : refuse(503, 'The plan takes too long right now. Try again in a minute.');

const seenIn = (houses: readonly LoadedSnapshot[]): Readonly<Record<string, number>> =>
  Object.fromEntries(houses.map(({ id, mark }) => [id, mark.seq]));

/** Returns what of a plan somebody of the crew may read: what people cost and how fast others are is for leads. */
function forRole(ground: Ground, person: Member): PlanGroundAnswer {
  const { input, plan, unplanned, shown, houses, allHouses, crew, crewVersion, paces } = ground;
  const told = { plan, unplanned, seen: seenIn(shown), houses, allHouses };
  return mayAct(person, 'lead')
    ? { ...told, input, lead: { crew, crewVersion, paces } }
    : { ...told, input: withOwnPace(input, person.id) };
}

/** Returns an input without the paces of others and without what people cost. */
const withOwnPace = (input: PlanInput, id: string): PlanInput => ({
  ...input,
  people: input.people.map(({ hourCost, ...person }) => (person.id === id ? person : { ...person, pace: {} })),
});
