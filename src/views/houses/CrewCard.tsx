'use client';

import { useRouter } from 'next/navigation';
import type { Person } from '@/core/log/person';
import { AddPerson } from '@/ui/AddPerson';
import { CrewMember, type SeenHouse } from './CrewMember';
import type { CrewSecret, CrewSession } from './SignIns';

interface CrewCardProps {
  readonly houses: readonly SeenHouse[];
  readonly people: readonly Person[];
  readonly me: string;
  readonly sessions: readonly CrewSession[];
  readonly secrets: readonly CrewSecret[];
  readonly locked: readonly string[];
  readonly now: number;
  readonly mayEdit: boolean;
}

/** The crew: who is on it; a lead adds people, gives new passwords, ends sign-ins and takes people off. */
export function CrewCard({ houses, people, me, sessions, secrets, locked, now, mayEdit }: CrewCardProps) {
  const router = useRouter();
  return (
    <section className="sheet space-y-4 p-5 lg:col-span-2" aria-label="Crew">
      <h2>Crew</h2>
      <ul className="divide-y divide-base-300">
        {people.map((person) => (
          <li key={person.id} className="py-1">
            {mayEdit && person.id !== me ? (
              <CrewMember
                person={person}
                houses={houses}
                sessions={sessions.filter((session) => session.person === person.id)}
                secrets={secrets.filter((secret) => secret.person === person.id)}
                locked={locked.includes(person.name)}
                now={now}
              />
            ) : (
              <span className={`flex min-h-11 items-center gap-2 ${mayEdit ? 'pl-6' : ''}`}>
                <span className="font-semibold">{person.name}</span>
                <span className="text-muted">
                  {person.role}
                  {person.id === me && ', you'}
                </span>
              </span>
            )}
          </li>
        ))}
      </ul>
      {mayEdit && <AddPerson added={() => router.refresh()} />}
    </section>
  );
}
