import { z } from 'zod';
import { inFirm } from '../db/firm';
import { findHouse, type StoredHouse } from '../db/houses';
import type { Member } from '../db/people';
import { isOpenTo } from '../db/viewers';
import { refuse } from './refuse';
import { signedIn } from './session';
import { afterFastLane } from './threads/fastLane';

/**
 * Answers a request about a house, for those whose house it is: who asks is settled before anything of it is told, and to others it
 * does not exist.
 */
export async function openHouse(
  asked: string,
  answer: (house: StoredHouse, person: Member) => Response | Promise<Response>,
): Promise<Response> {
  const person = await signedIn();
  if (!person) return refuse(401, 'You are signed out.');
  await afterFastLane();
  const id = asked.toLowerCase();
  return inFirm(person.firm, async () => {
    const isTheirs = z.uuid().safeParse(id).success && (await isOpenTo(person, id));
    const house = isTheirs ? await findHouse(id) : undefined;
    return house ? answer(house, person) : refuse(404, 'There is no such house.');
  });
}
