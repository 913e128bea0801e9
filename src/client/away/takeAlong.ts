import type { AwayHouse } from '@/contract/away';
import { forgetSeen, keepSeen, signOutsHere } from '../outbox/deviceStore';

/**
 * Keeps a house on this device as it is now, and has the device answer where no server does. Where a browser keeps nothing, pages
 * work as before, with a server.
 */
export async function takeAlong(house: string, signal: AbortSignal): Promise<void> {
  try {
    const registration = await navigator.serviceWorker.register('/service-worker', { scope: '/' });
    // A browser may say yes and do nothing.
    if (!registration) return;
    const signOuts = await signOutsHere();
    const answer = await fetch(`/h/${house}/seen`, { signal });
    // It is not theirs any more.
    if (answer.status === 403 || answer.status === 404) await forgetSeen(house);
    if (!answer.ok) return;
    const seen: AwayHouse = await answer.json();
    await keepSeen({ house: seen, seenAt: Date.now() }, signOuts);
  } catch {
    // Forbidden, full, or left meanwhile: the next page tries again.
  }
}
