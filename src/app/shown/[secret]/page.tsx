import type { Metadata } from 'next';
import { shownHouse, shownHung } from '@/server/shownHouse';
import { ShownHandOver } from '@/views/handover/ShownHandOver';
import { HangersList } from '@/views/hanger/HangersList';

/** What it is about is nobody's business who only sees its address. */
export const metadata: Metadata = { title: 'Shown to you', robots: { index: false, follow: false } };

/**
 * What is shown to somebody who is not signed in, and nothing else: a hand-over with its cover and a sheet of each room, or the
 * list of the hanger.
 */
export default async function ShownPage({ params }: { readonly params: Promise<{ secret: string }> }) {
  const { secret } = await params;
  const shown = await shownHouse(secret);
  const { snapshot, what, now, timeZone } = shown;
  if (what === 'hanger')
    return (
      <main className="mx-auto w-full max-w-4xl flex-1 p-4">
        <HangersList
          snapshot={snapshot}
          otherwise={await shownHung(shown)}
          photos={`/api/shown/${secret}`}
          now={now}
          timeZone={timeZone}
        />
      </main>
    );
  return <ShownHandOver {...shown} secret={secret} />;
}
