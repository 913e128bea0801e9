import type { PlanGroundAnswer } from '../contract/plan';
import type { OtherStock } from '../core/estimate/betterStock';
import { isOfCrew } from '../core/log/person';
import { dayOf } from '../core/measure/dayOf';
import type { HousePlan } from '../core/plan/planHouse';
import type { PlanInput, PlanPerson } from '../core/plan/planInput';
import { type HouseOfPlan, planTogether } from '../core/plan/planTogether';
import { learn, type Paces } from '../core/rates/learn';
import { memberOf } from '../core/schedule/memberOf';
import { evidenceIn } from '../core/schedule/paceEvidence';
import { planInputOf } from '../core/schedule/planInputOf';
import { type Tools, withTools } from '../core/snapshot/withTools';
import { readCrew } from '../db/crews';
import { daysElsewhere } from '../db/handedOut';
import { listHouses } from '../db/houses';
import type { Member } from '../db/people';
import { type LoadedSnapshot, loadSnapshot } from './loadSnapshot';
import { mayAct } from './mayAct';
import { openHouse } from './openHouse';
import { currentPlan } from './plans/currentPlan';
import { refuse } from './refuse';
import { withBoards } from './withBoards';

/** So many houses are planned together. */
const MOST_HOUSES = 40;

/** What is asked of a plan. */
export interface PlanAsked {
  /** Whether all houses of the crew are planned at once. */
  readonly together: boolean;
  /** As if the house were finished with other tools. */
  readonly tools: Tools | undefined;
  /** As if what is not begun were hung with other boards. */
  readonly stock: OtherStock | undefined;
}

/**
 * What the plan of a house is made from, for those whose house it is; a viewer is told of nobody.
 */
export const planGround = (house: string, asked: PlanAsked): Promise<Response> =>
  openHouse(house, async ({ id }, person) => {
    if (asked.together && !mayAct(person, 'finisher')) return refuse(403, 'Only the crew sees its houses together.');
    const ground = await groundOf(id, person, asked);
    if (!ground) return refuse(503, 'The plan takes too long right now. Try again in a minute.');
    return Response.json(ground, { headers: { 'cache-control': 'no-store' } });
  });

async function groundOf(
  id: string,
  person: Member,
  { together, tools, stock }: PlanAsked,
): Promise<PlanGroundAnswer | undefined> {
  const others = together ? (await listHouses(person)).map((other) => other.id).filter((other) => other !== id) : [];
  // In one order whoever asks from which house: the same houses have the same plan.
  const ids = [id, ...others.slice(0, MOST_HOUSES - 1)].sort();
  const all = await Promise.all(ids.map((one) => loadSnapshot(one)));
  const own = all.find((one) => one.id === id);
  if (!own) throw new Error('the house of the page is loaded');
  const [{ crew, version }, elsewhere] = await Promise.all([
    readCrew(),
    daysElsewhere(id, dayOf(own.now, own.timeZone)),
  ]);
  const paces = learn(all.flatMap(({ snapshot }) => evidenceIn(snapshot.rooms)));
  const people = own.people.filter(isOfCrew).map((one) => ({
    ...memberOf(crew, one),
    id: one.id,
    name: one.name,
    pace: pacesOf(paces[one.id]),
    elsewhere: elsewhere.get(one.id) ?? [],
  }));
  const otherwise = stock && (await withBoards(own.snapshot, stock));
  const houseOf = ({ id: house, snapshot: stands, now, timeZone, dates }: LoadedSnapshot): HouseOfPlan => {
    const snapshot = house === id && otherwise ? otherwise : stands;
    const ground = { house, crew, people, timeZone, dates };
    return {
      id: house,
      name: snapshot.house.name,
      input: planInputOf(tools ? withTools(snapshot, tools) : snapshot, ground, now),
    };
  };
  const [first, ...rest] = all.map(houseOf) as [HouseOfPlan, ...HouseOfPlan[]];
  const input = together ? planTogether([first, ...rest]) : first.input;
  const isTrial = tools !== undefined || stock !== undefined;
  const plan = isTrial ? undefined : await currentPlan(first.id, together ? 'all' : 'house', input);
  if (!isTrial && !plan) return undefined;
  const [isLead, isCrew] = [mayAct(person, 'lead'), mayAct(person, 'finisher')];
  const shown = isCrew ? { input, plan } : withoutNames(input, plan);
  return {
    input: isLead || !isCrew ? shown.input : withOwnPace(input, person.id),
    plan: shown.plan,
    paces: isLead ? paces : {},
    seen: Object.fromEntries(all.map(({ id: house, mark }) => [house, mark.seq])),
    houses: together ? all.length : 1,
    allHouses: 1 + others.length,
    crew: isLead ? crew : { ...crew, hourCost: undefined, people: isCrew ? crew.people : {} },
    crewVersion: version,
    dates: own.dates,
  };
}

const pacesOf = (own: Paces[string] = {}): PlanPerson['pace'] =>
  Object.fromEntries(Object.entries(own).map(([rate, { pace }]) => [rate, pace]));

/** How fast others are is for the lead and for themselves. */
const withOwnPace = (input: PlanInput, id: string): PlanInput => ({
  ...input,
  people: input.people.map((person) => (person.id === id ? person : { ...person, pace: {} })),
});

/** The same by people whom nobody knows. */
function withoutNames(input: PlanInput, plan: HousePlan | undefined) {
  const ids = new Map(input.people.map(({ id }, index) => [id, `p${index}`]));
  const unnamed = (people: readonly string[]) => people.flatMap((id) => ids.get(id) ?? []);
  const handed = Object.entries(input.handed).map(([item, given]) => [
    item,
    { ...given, people: unnamed(given.people) },
  ]);
  return {
    input: {
      ...input,
      people: input.people.map((person) => ({ ...person, id: ids.get(person.id) ?? '', name: '', pace: {} })),
      handed: Object.fromEntries(handed),
    },
    plan: plan && {
      ...plan,
      why: plan.why.kind === 'work' ? { ...plan.why, people: unnamed(plan.why.people) } : plan.why,
      assignments: plan.assignments.map((one) => ({ ...one, people: unnamed(one.people) })),
    },
  };
}
