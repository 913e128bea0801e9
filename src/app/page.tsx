import { redirect } from 'next/navigation';
import { listHouses } from '@/db/houses';
import { requirePerson } from '@/server/session';

/** Opens the first house, or the list of houses when there is none; a finisher starts with their own day. */
export default async function Home() {
  const person = await requirePerson();
  const [first] = await listHouses();
  if (!first) redirect('/houses');
  redirect(person.role === 'finisher' ? `/h/${first.id}/my-day` : `/h/${first.id}`);
}
