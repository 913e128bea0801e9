'use client';

import { useRouter } from 'next/navigation';
import { startTransition } from 'react';
import { Sign } from '@/ui/Sign';

export default function ErrorPage({ reset }: { readonly error: Error; readonly reset: () => void }) {
  const router = useRouter();
  // The page is made on the server, so it has to be asked for anew before it is shown again.
  const again = () =>
    startTransition(() => {
      router.refresh();
      reset();
    });
  return (
    <main className="grid min-h-dvh place-items-center p-6 text-center">
      <div className="max-w-md space-y-4">
        <Sign className="mx-auto size-14" />
        <h1>This page could not be made</h1>
        <p className="text-muted">The server or its database did not answer as it should. What was recorded is kept.</p>
        <button type="button" className="btn btn-primary btn-lg" onClick={again}>
          Try again
        </button>
      </div>
    </main>
  );
}
