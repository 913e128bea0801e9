import { z } from 'zod';
import type { PlanGroundAnswer } from '../contract/plan';
import { dayOf } from '../core/measure/dayOf';
import type { PlanInput } from '../core/plan/planInput';
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
    const members = people
      .filter(({ role, left }) => role !== 'viewer' && !left)
      .map((one) => ({
        ...memberOf(crew, one),
        id: one.id,
        name: one.name,
        pace: {},
        elsewhere: elsewhere.get(one.id) ?? [],
      }));
    const ofCrew = mayAct(person, 'finisher');
    const input = planInputOf(site, { crew, people: members, timeZone, dates }, now);
    const answer: PlanGroundAnswer = {
      input: ofCrew ? input : withoutNames(input),
      seq: mark.seq,
      crew: ofCrew ? crew : { ...crew, people: {} },
      crewVersion: version,
      dates,
    };
    return Response.json(answer, { headers: { 'cache-control': 'no-store' } });
  });
}

/** The same plan by people whom nobody knows. */
function withoutNames(input: PlanInput): PlanInput {
  const ids = new Map(input.people.map(({ id }, index) => [id, `p${index}`]));
  const handed = Object.entries(input.handed).map(([item, { people, day }]) => [
    item,
    { people: people.flatMap((id) => ids.get(id) ?? []), day },
  ]);
  return {
    ...input,
    people: input.people.map((person) => ({ ...person, id: ids.get(person.id) ?? '', name: '' })),
    handed: Object.fromEntries(handed),
  };
}
