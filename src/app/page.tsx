import { cookies } from 'next/headers';
import { redirect } from 'next/navigation';
import { LAST_PLACE, placeOf } from '@/contract/lastPlace';
import { visitHouses, visitOwnDay } from '@/server/visit';

/**
 * Opens what somebody looked at last on this device, else the first house, or the list of houses when there is none; a finisher starts
 * with their own day, in the house in which they have work.
 */
export default async function Home() {
  const { person, houses } = await visitHouses();
  const last = placeOf((await cookies()).get(LAST_PLACE)?.value, person.id);
  const lastHouse = houses.find(({ id }) => id === last?.house);
  if (person.role !== 'finisher' && last && lastHouse) redirect(last.path);
  const [first] = houses;
  if (!first) redirect('/houses');
  if (person.role !== 'finisher') redirect(`/h/${first.id}`);
  const today = await visitOwnDay();
  const own = today.find(({ id }) => id === lastHouse?.id) ?? today[0] ?? lastHouse ?? first;
  redirect(`/h/${own.id}/my-day`);
}
