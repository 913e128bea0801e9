import type { FinishAnswer, OwnHours, PlanGroundAnswer } from '../contract/plan';
import type { OtherStock } from '../core/estimate/betterStock';
import { isOfCrew } from '../core/log/person';
import { dayOf } from '../core/measure/dayOf';
import { houseFinish } from '../core/plan/houseFinish';
import { housePart } from '../core/plan/housePart';
import { emptyPlan, type HousePlan } from '../core/plan/planHouse';
import type { PlanInput, PlanPerson } from '../core/plan/planInput';
import { plannedHours } from '../core/plan/plannedHours';
import { asAlone, type HouseOfPlan, planTogether } from '../core/plan/planTogether';
import { learn, type Paces } from '../core/rates/learn';
import { memberOf } from '../core/schedule/memberOf';
import { evidenceIn } from '../core/schedule/paceEvidence';
import { planInputOf } from '../core/schedule/planInputOf';
import { type Tools, withTools } from '../core/snapshot/withTools';
import type { Crew, Member as CrewMember } from '../core/work/crew';
import { now } from '../db/clock';
import { readCrew } from '../db/crews';
import { allHouses } from '../db/houses';
import type { Member } from '../db/people';
import { type LoadedSnapshot, loadSnapshot } from './loadSnapshot';
import { mayAct } from './mayAct';
import { openHouse } from './openHouse';
import { currentPlan } from './plans/currentPlan';
import { refuse } from './refuse';
import { inOwnTurn } from './threads/inOwnTurn';
import { withBoards } from './withBoards';

/** So many houses are planned together. */
const MOST_HOUSES = 40;

/** Every page and device of a person asks at once when something changes. */
const inTurn = inOwnTurn(8);

/** What is asked of a plan. */
export interface PlanAsked {
  /** Whether all houses of the crew are shown, or only one. */
  readonly together: boolean;
  /** As if the house were finished with other tools. */
  readonly tools: Tools | undefined;
  /** As if what is not begun were hung with other boards. */
  readonly stock: OtherStock | undefined;
}

const AS_IT_STANDS: PlanAsked = { together: false, tools: undefined, stock: undefined };

const CREW_ONLY = 'Only the crew sees its plan.';

/** Answers the crew of a house with what of their plan is in it, and what it is made from. */
export const planGround = (house: string, asked: PlanAsked): Promise<Response> =>
  openHouse(house, async ({ id }, person) => {
    if (!mayAct(person, 'finisher')) return refuse(403, CREW_ONLY);
    const ground = await inTurn(person.id, () => groundOf(id, asked));
    return typeof ground === 'object' ? answer(forRole(ground, person)) : refusalOf(ground);
  });

/** Answers everybody whose house it is with when it and its rooms are finished by the plan: `FinishAnswer`. */
export const finishOfHouse = (house: string): Promise<Response> =>
  openHouse(house, async ({ id }, person) => {
    const ground = await inTurn(person.id, () => groundOf(id, AS_IT_STANDS));
    if (typeof ground !== 'object') return refusalOf(ground);
    const { input, plan = emptyPlan(input), own, shown } = ground;
    const seen = seenIn(mayAct(person, 'finisher') ? shown : [own]);
    return answer<FinishAnswer>({ finish: houseFinish({ input, plan }), dates: own.dates, seen });
  });

/** Answers somebody of the crew with how many hours of today's assigned work in a house the plan has for them. */
export const ownHours = (house: string): Promise<Response> =>
  openHouse(house, async ({ id, timeZone }, person) => {
    if (!mayAct(person, 'finisher')) return refuse(403, CREW_ONLY);
    const ground = await inTurn(person.id, () => groundOf(id, AS_IT_STANDS));
    const { plan, input } = typeof ground === 'object' ? ground : {};
    const key = `${person.id} ${dayOf(now(), timeZone)}`;
    return answer<OwnHours>({
      hours: plan && input ? (plannedHours({ plan, input }, 'assigned').get(key) ?? 0) : null,
    });
  });

const answer = <Told>(told: Told): Response => Response.json(told, { headers: { 'cache-control': 'no-store' } });

const refusalOf = (why: 'behind' | undefined): Response =>
  why === 'behind'
    ? refuse(
        409,
        `This house is not in the plan: only the ${MOST_HOUSES} houses with the earliest painters’ dates are.`,
      )
    : refuse(503, 'The plan takes too long right now. Try again in a minute.');

/** A plan with all that it is made from. */
interface Ground {
  readonly own: LoadedSnapshot;
  /** What of the plan is shown, and what that is made from; without a plan where it is only what if. */
  readonly input: PlanInput;
  readonly plan: HousePlan | undefined;
  /** The houses on which it depends. */
  readonly shown: readonly LoadedSnapshot[];
  readonly houses: number;
  readonly allHouses: number;
  readonly crew: Crew;
  readonly crewVersion: number;
  readonly paces: Paces;
}

/** Returns the plan of a house: 'behind' where it is in none, undefined where it cannot be made in time. */
async function groundOf(id: string, { together, tools, stock }: PlanAsked): Promise<Ground | 'behind' | undefined> {
  const all = await Promise.all((await allHouses()).map((house) => loadSnapshot(house)));
  const own = all.find((one) => one.id === id);
  if (!own) throw new Error('the house of the page is loaded');
  const open = inOrder(
    all.filter(({ snapshot }) => snapshot.rooms.some(({ standing }) => standing.now.kind !== 'done')),
  );
  const planned = open.slice(0, MOST_HOUSES);
  if (open.includes(own) && !planned.includes(own)) return 'behind';
  const { crew, version: crewVersion } = await readCrew();
  const { people: _, hourCost, ...ways } = crew;
  const paces = learn(all.flatMap(({ snapshot }) => evidenceIn(snapshot.rooms)));
  const people = own.people.filter(isOfCrew).map((one) => ({
    ...memberIn(all, memberOf(crew, one)),
    id: one.id,
    name: one.name,
    pace: pacesOf(paces[one.id]),
  }));
  const otherwise = stock && (await withBoards(own.snapshot, stock));
  const houseOf = ({ id: house, snapshot: stands, now: at, timeZone, dates }: LoadedSnapshot): HouseOfPlan => {
    const snapshot = (house === id && otherwise) || stands;
    const ground = { house, crew: ways, people, timeZone, dates };
    return {
      id: house,
      input: planInputOf(house === id && tools ? withTools(snapshot, tools) : snapshot, ground, at),
    };
  };
  const inputOf = (houses: readonly LoadedSnapshot[]) => {
    const [first, ...others] = houses.map(houseOf);
    return first ? planTogether([first, ...others]) : { ...houseOf(own).input, rooms: [], items: [] };
  };
  const input = inputOf(planned);
  const isTrial = tools !== undefined || stock !== undefined;
  const plan = isTrial ? undefined : await currentPlan(input);
  if (!isTrial && !plan) return undefined;
  // A house that is done is in no plan, and shown all the same.
  const shown = planned.includes(own) ? planned : [...planned, own];
  const whole = { plan, input: shown === planned ? input : inputOf(shown) };
  return {
    ...(together ? whole : partOf(whole, id)),
    own,
    shown,
    houses: planned.length,
    allHouses: open.length,
    crew,
    crewVersion,
    paces,
  };
}

const seenIn = (houses: readonly LoadedSnapshot[]): Readonly<Record<string, number>> =>
  Object.fromEntries(houses.map(({ id, mark }) => [id, mark.seq]));

/** Returns what of a plan somebody of the crew may read: what people cost and how fast others are is for leads. */
function forRole(ground: Ground, person: Member): PlanGroundAnswer {
  const { input, plan, shown, houses, allHouses, crew, crewVersion, paces } = ground;
  const told = { plan, seen: seenIn(shown), houses, allHouses };
  return mayAct(person, 'lead')
    ? { ...told, input, lead: { crew, crewVersion, paces } }
    : { ...told, input: withOwnPace(input, person.id) };
}

/** Those of which the painters come first, first. */
const inOrder = (houses: readonly LoadedSnapshot[]): readonly LoadedSnapshot[] =>
  houses.toSorted((a, b) => (a.dates.house ?? '9').localeCompare(b.dates.house ?? '9') || a.id.localeCompare(b.id));

/** What of it is one house's, with the ids of the house. */
function partOf({ input, plan }: Pick<Ground, 'input' | 'plan'>, house: string): Pick<Ground, 'input' | 'plan'> {
  const part = asAlone(housePart({ input, plan: plan ?? emptyPlan(input) }, house), house);
  return { input: part.input, plan: plan && part.plan };
}

/** Somebody who is kept to a house that is gone works in any. */
const memberIn = (houses: readonly LoadedSnapshot[], { house, ...member }: CrewMember): CrewMember =>
  house && houses.some(({ id }) => id === house) ? { ...member, house } : member;

const pacesOf = (own: Paces[string] = {}): PlanPerson['pace'] =>
  Object.fromEntries(Object.entries(own).map(([rate, { pace }]) => [rate, pace]));

/** Returns an input without the paces of others and without what people cost. */
const withOwnPace = (input: PlanInput, id: string): PlanInput => ({
  ...input,
  people: input.people.map(({ hourCost, ...person }) => (person.id === id ? person : { ...person, pace: {} })),
});
