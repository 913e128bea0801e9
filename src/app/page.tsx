import { redirect } from 'next/navigation';
import { visitHouses } from '@/server/visit';

/** Opens the first house, or the list of houses when there is none; a finisher starts with their own day. */
export default async function Home() {
  const {
    person,
    houses: [first],
  } = await visitHouses();
  if (!first) redirect('/houses');
  redirect(person.role === 'finisher' ? `/h/${first.id}/my-day` : `/h/${first.id}`);
}
