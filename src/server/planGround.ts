import { z } from 'zod';
import type { PlanGroundAnswer } from '../contract/plan';
import { dayOf } from '../core/measure/dayOf';
import type { PlanInput, PlanPerson } from '../core/plan/planInput';
import { learn, type Paces } from '../core/rates/learn';
import { evidenceIn } from '../core/readiness/evidenceIn';
import { memberOf } from '../core/readiness/memberOf';
import { planInputOf } from '../core/readiness/planInputOf';
import { readCrew } from '../db/crews';
import { inFirm } from '../db/firm';
import { daysElsewhere } from '../db/handedOut';
import { findHouse } from '../db/houses';
import { isOpenTo } from '../db/viewers';
import { loadSite } from './loadSite';
import { mayAct } from './mayAct';
import { refuse } from './refuse';
import { signedIn } from './session';

/** What the plan of a house is made from, for those whose house it is; a viewer is told of nobody. */
export async function planGround(house: string): Promise<Response> {
  const person = await signedIn();
  if (!person) return refuse(401, 'You are signed out.');
  const id = house.toLowerCase();
  if (!z.uuid().safeParse(id).success) return refuse(404, 'There is no such house.');
  return inFirm(person.firm, async () => {
    if (!(await isOpenTo(person, id)) || !(await findHouse(id))) return refuse(404, 'There is no such house.');
    const { site, people, now, timeZone, mark, dates } = await loadSite(id);
    const [{ crew, version }, elsewhere] = await Promise.all([readCrew(), daysElsewhere(id, dayOf(now, timeZone))]);
    const paces = learn(evidenceIn(site.rooms));
    const members = people
      .filter(({ role, left }) => role !== 'viewer' && !left)
      .map((one) => ({
        ...memberOf(crew, one),
        id: one.id,
        name: one.name,
        pace: pacesOf(paces[one.id]),
        elsewhere: elsewhere.get(one.id) ?? [],
      }));
    const ofCrew = mayAct(person, 'finisher');
    const input = planInputOf(site, { crew, people: members, timeZone, dates }, now);
    const answer: PlanGroundAnswer = {
      input: mayAct(person, 'lead') ? input : ofCrew ? withOwnPace(input, person.id) : withoutNames(input),
      paces: mayAct(person, 'lead') ? paces : {},
      seq: mark.seq,
      crew: ofCrew ? crew : { ...crew, people: {} },
      crewVersion: version,
      dates,
    };
    return Response.json(answer, { headers: { 'cache-control': 'no-store' } });
  });
}

const pacesOf = (own: Paces[string] = {}): PlanPerson['pace'] =>
  Object.fromEntries(Object.entries(own).map(([rate, { pace }]) => [rate, pace]));

/** How fast others are is for the lead and for themselves. */
const withOwnPace = (input: PlanInput, id: string): PlanInput => ({
  ...input,
  people: input.people.map((person) => (person.id === id ? person : { ...person, pace: {} })),
});

/** The same plan by people whom nobody knows. */
function withoutNames(input: PlanInput): PlanInput {
  const ids = new Map(input.people.map(({ id }, index) => [id, `p${index}`]));
  const handed = Object.entries(input.handed).map(([item, { people, day }]) => [
    item,
    { people: people.flatMap((id) => ids.get(id) ?? []), day },
  ]);
  return {
    ...input,
    people: input.people.map((person) => ({ ...person, id: ids.get(person.id) ?? '', name: '', pace: {} })),
    handed: Object.fromEntries(handed),
  };
}
