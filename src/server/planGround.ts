import type { OwnHours, PlanGroundAnswer } from '../contract/plan';
import type { OtherStock } from '../core/estimate/betterStock';
import { isOfCrew } from '../core/log/person';
import { dayOf } from '../core/measure/dayOf';
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
  /** Whether all houses of the crew are told, or only one. */
  readonly together: boolean;
  /** As if the house were finished with other tools. */
  readonly tools: Tools | undefined;
  /** As if what is not begun were hung with other boards. */
  readonly stock: OtherStock | undefined;
}

/**
 * Tells those whose house it is what of the crew's plan is in it, and what it is made from; a viewer is told of nobody.
 */
export const planGround = (house: string, asked: PlanAsked): Promise<Response> =>
  openHouse(house, async ({ id }, person) => {
    if (asked.together && !mayAct(person, 'finisher')) return refuse(403, 'Only the crew sees its houses together.');
    const ground = await inTurn(person.id, () => groundOf(id, person, asked));
    if (ground === 'behind')
      return refuse(
        409,
        `This house is not in the plan: only the ${MOST_HOUSES} houses with the earliest painters’ dates are.`,
      );
    if (!ground) return refuse(503, 'The plan takes too long right now. Try again in a minute.');
    return Response.json(ground, { headers: { 'cache-control': 'no-store' } });
  });

/** Houses as they are planned, and the plan; none where it is only what if. */
interface Shown {
  readonly input: PlanInput;
  readonly plan: HousePlan | undefined;
}

/** Tells somebody of the crew how many hours of today's assigned work in a house the plan has for them: `{ hours }`. */
export const ownHours = (house: string): Promise<Response> =>
  openHouse(house, async ({ id, timeZone }, person) => {
    if (!mayAct(person, 'finisher')) return refuse(403, 'Only the crew has work.');
    const asked = { together: false, tools: undefined, stock: undefined };
    const ground = await inTurn(person.id, () => groundOf(id, person, asked));
    const { plan, input } = typeof ground === 'object' ? ground : {};
    const key = `${person.id} ${dayOf(now(), timeZone)}`;
    const told: OwnHours = { hours: plan && input ? (plannedHours({ plan, input }, 'assigned').get(key) ?? 0) : null };
    return Response.json(told, { headers: { 'cache-control': 'no-store' } });
  });

async function groundOf(
  id: string,
  person: Member,
  { together, tools, stock }: PlanAsked,
): Promise<PlanGroundAnswer | 'behind' | undefined> {
  const all = await Promise.all((await allHouses()).map((house) => loadSnapshot(house)));
  const own = all.find((one) => one.id === id);
  if (!own) throw new Error('the house of the page is loaded');
  const open = inOrder(
    all.filter(({ snapshot }) => snapshot.rooms.some(({ standing }) => standing.now.kind !== 'done')),
  );
  const planned = open.slice(0, MOST_HOUSES);
  if (open.includes(own) && !planned.includes(own)) return 'behind';
  const { crew, version } = await readCrew();
  // The input is told to everybody: neither people nor what they cost are in it.
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
  const asked = together ? whole : partOf(whole, id);
  const [isLead, isCrew] = [mayAct(person, 'lead'), mayAct(person, 'finisher')];
  const told = isCrew ? asked : withoutNames(asked);
  return {
    input: isLead || !isCrew ? told.input : withOwnPace(told.input, person.id),
    plan: told.plan,
    paces: isLead ? paces : {},
    seen: Object.fromEntries((isCrew ? shown : [own]).map(({ id: house, mark }) => [house, mark.seq])),
    houses: isCrew ? planned.length : 1,
    allHouses: isCrew ? open.length : 1,
    crew: isLead ? crew : withoutCost(crew, isCrew),
    crewVersion: version,
    dates: own.dates,
  };
}

/** Those of which the painters come first, first. */
const inOrder = (houses: readonly LoadedSnapshot[]): readonly LoadedSnapshot[] =>
  houses.toSorted((a, b) => (a.dates.house ?? '9').localeCompare(b.dates.house ?? '9') || a.id.localeCompare(b.id));

/** What of it is one house's, with the ids of the house. */
function partOf({ input, plan }: Shown, house: string): Shown {
  const part = asAlone(housePart({ input, plan: plan ?? emptyPlan(input) }, house), house);
  return { input: part.input, plan: plan && part.plan };
}

/** Somebody who is kept to a house that is gone works in any. */
const memberIn = (houses: readonly LoadedSnapshot[], { house, ...member }: CrewMember): CrewMember =>
  house && houses.some(({ id }) => id === house) ? { ...member, house } : member;

/** What people cost is for leads only. */
const withoutCost = (crew: Crew, isCrew: boolean): Crew => ({
  ...crew,
  hourCost: undefined,
  people: isCrew
    ? Object.fromEntries(Object.entries(crew.people).map(([id, own]) => [id, { ...own, hourCost: undefined }]))
    : {},
});

const pacesOf = (own: Paces[string] = {}): PlanPerson['pace'] =>
  Object.fromEntries(Object.entries(own).map(([rate, { pace }]) => [rate, pace]));

/** How fast others are is for the lead and for themselves; what an hour costs is for the lead. */
const withOwnPace = (input: PlanInput, id: string): PlanInput => ({
  ...input,
  people: input.people.map(({ hourCost, ...person }) => (person.id === id ? person : { ...person, pace: {} })),
});

/** The same by people whom nobody knows. */
function withoutNames({ input, plan }: Shown): Shown {
  const ids = new Map(input.people.map(({ id }, index) => [id, `p${index}`]));
  const unnamed = (people: readonly string[]) => people.flatMap((id) => ids.get(id) ?? []);
  const handed = Object.entries(input.handed).map(([item, given]) => [
    item,
    { ...given, people: unnamed(given.people) },
  ]);
  return {
    input: {
      ...input,
      people: input.people.map(({ hourCost, house, ...person }) => ({
        ...person,
        id: ids.get(person.id) ?? '',
        name: '',
        pace: {},
      })),
      handed: Object.fromEntries(handed),
    },
    plan: plan && {
      ...plan,
      why: plan.why.kind === 'work' ? { ...plan.why, people: unnamed(plan.why.people) } : plan.why,
      assignments: plan.assignments.map((one) => ({ ...one, people: unnamed(one.people) })),
    },
  };
}
