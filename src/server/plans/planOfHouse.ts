import type { OtherStock } from '../../core/estimate/betterStock';
import { isOfCrew } from '../../core/log/person';
import { housePart } from '../../core/plan/housePart';
import { emptyPlan, type HousePlan } from '../../core/plan/planHouse';
import type { PlanInput, PlanPerson } from '../../core/plan/planInput';
import { asAlone, type HouseOfPlan, planTogether } from '../../core/plan/planTogether';
import { learn, type Paces } from '../../core/rates/learn';
import { memberOf } from '../../core/schedule/memberOf';
import { evidenceIn } from '../../core/schedule/paceEvidence';
import { planInputSteps, startOf } from '../../core/schedule/planInputOf';
import { isOpen, roomsToPlan } from '../../core/schedule/roomsToPlan';
import type { RoomSnapshot } from '../../core/snapshot/houseSnapshot';
import { type Tools, withTools } from '../../core/snapshot/withTools';
import type { Crew, Member as CrewMember } from '../../core/work/crew';
import { readCrew } from '../../db/crews';
import { allHouses } from '../../db/houses';
import type { Member } from '../../db/people';
import { type LoadedSnapshot, loadSnapshot } from '../loadSnapshot';
import { inOwnTurn } from '../threads/inOwnTurn';
import { inSlices } from '../threads/inSlices';
import { withBoards } from '../withBoards';
import { currentPlan } from './currentPlan';

/** So many houses are planned together, and so many jobs in them: about 300 rooms in which nothing is begun. */
const MOST_HOUSES = 40;
const MOST_JOBS = 5000;

/** Every page and device of a person asks at once when something changes. */
const inTurn = inOwnTurn(8);

/** Options of a plan. */
export interface PlanAsked {
  /** Whether all houses of the crew are shown, or only one. */
  readonly together: boolean;
  /** As if the house were finished with other tools. */
  readonly tools: Tools | undefined;
  /** As if what is not begun were hung with other boards. */
  readonly stock: OtherStock | undefined;
}

export const AS_IT_STANDS: PlanAsked = { together: false, tools: undefined, stock: undefined };

/**
 * Returns the plan of a house, one at a time for each person: 'behind' if houses with earlier dates fill the plan, `undefined` if it can't be
 * made in time.
 */
export const planOfHouse = (id: string, person: Member, asked: PlanAsked): Promise<Ground | 'behind' | undefined> =>
  inTurn(person.id, () => groundOf(id, asked));

/** A plan with all that it is made from. */
export interface Ground {
  readonly own: LoadedSnapshot;
  /** The part of the plan that is shown, with its input. A what-if has an input only. */
  readonly input: PlanInput;
  readonly plan: HousePlan | undefined;
  /** Number of rooms of the houses shown that are left out because the plan is full. */
  readonly unplanned: number;
  /** The houses on which it depends. */
  readonly shown: readonly LoadedSnapshot[];
  readonly houses: number;
  readonly allHouses: number;
  readonly crew: Crew;
  readonly crewVersion: number;
  readonly paces: Paces;
}

async function groundOf(id: string, { together, tools, stock }: PlanAsked): Promise<Ground | 'behind' | undefined> {
  const all = await Promise.all((await allHouses()).map((house) => loadSnapshot(house)));
  const own = all.find((one) => one.id === id);
  if (!own) throw new Error('the house of the page is loaded');
  const open = inOrder(all.filter(({ snapshot }) => snapshot.rooms.some(isOpen)));
  const roomsOf = roomsToPlan(open.slice(0, MOST_HOUSES), MOST_JOBS);
  const planned = [...roomsOf.keys()];
  if (open.includes(own) && !roomsOf.has(own)) return 'behind';
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
  const houseOf = async (loaded: LoadedSnapshot): Promise<HouseOfPlan> => {
    const { id: house, snapshot: stands, now: at, timeZone, dates } = loaded;
    const snapshot = (house === id && otherwise) || stands;
    const { rooms, house: head } = house === id && tools ? withTools(snapshot, tools) : snapshot;
    const kept = roomsOf.get(loaded);
    const only = kept && kept.length < rooms.length ? new Set(kept.map(({ room }) => room.id)) : undefined;
    const toPlan = { house: head, rooms: only ? rooms.filter(({ room }) => only.has(room.id)) : rooms };
    const ground = { house, crew: ways, people, timeZone, dates };
    return {
      id: house,
      input: await inputOnce(rooms, JSON.stringify([ground, only && [...only], startOf(at)]), () =>
        inSlices(planInputSteps(toPlan, ground, at)),
      ),
    };
  };
  const inputOf = async (houses: readonly LoadedSnapshot[]) => {
    const inputs: HouseOfPlan[] = [];
    for (const house of houses) inputs.push(await houseOf(house));
    const [first, ...others] = inputs;
    return first ? planTogether([first, ...others]) : { ...(await houseOf(own)).input, rooms: [], items: [] };
  };
  const input = await inputOf(planned);
  const isTrial = tools !== undefined || stock !== undefined;
  const plan = isTrial ? undefined : await currentPlan(input);
  if (!isTrial && !plan) return undefined;
  // A house that is done is in no plan, and shown all the same.
  const shown = planned.includes(own) ? planned : [...planned, own];
  const whole = { plan, input: shown === planned ? input : await inputOf(shown) };
  return {
    ...(together ? whole : partOf(whole, id)),
    unplanned: (together ? planned : [own]).reduce((sum, house) => {
      const { rooms } = house.snapshot;
      return sum + rooms.filter(isOpen).length - (roomsOf.get(house) ?? rooms).filter(isOpen).length;
    }, 0),
    own,
    shown,
    houses: planned.length,
    allHouses: open.length,
    crew,
    crewVersion,
    paces,
  };
}

/** Inputs that were computed last, by the rooms of a house as they stand, with what else they depend on. */
const inputs = new WeakMap<readonly RoomSnapshot[], { readonly key: string; readonly input: Promise<PlanInput> }>();

/** Returns the input of a house. Several pages ask for the same plan at once, so it is computed once while nothing changes. */
function inputOnce(rooms: readonly RoomSnapshot[], key: string, make: () => Promise<PlanInput>): Promise<PlanInput> {
  const known = inputs.get(rooms);
  if (known?.key === key) return known.input;
  const input = make();
  inputs.set(rooms, { key, input });
  input.catch(() => inputs.delete(rooms));
  return input;
}

/** Returns the houses in the order in which the painters come. */
const inOrder = (houses: readonly LoadedSnapshot[]): readonly LoadedSnapshot[] =>
  houses.toSorted((a, b) => (a.dates.house ?? '9').localeCompare(b.dates.house ?? '9') || a.id.localeCompare(b.id));

/** Returns the part of a plan that is in one house, with the ids of that house. */
function partOf({ input, plan }: Pick<Ground, 'input' | 'plan'>, house: string): Pick<Ground, 'input' | 'plan'> {
  const part = asAlone(housePart({ input, plan: plan ?? emptyPlan(input) }, house), house);
  return { input: part.input, plan: plan && part.plan };
}

/** Returns a member of the crew; if their only house is gone, they work in any house. */
const memberIn = (houses: readonly LoadedSnapshot[], { house, ...member }: CrewMember): CrewMember =>
  house && houses.some(({ id }) => id === house) ? { ...member, house } : member;

const pacesOf = (own: Paces[string] = {}): PlanPerson['pace'] =>
  Object.fromEntries(Object.entries(own).map(([rate, { pace }]) => [rate, pace]));
