import type { RoomSite } from '@/core/readiness/siteOf';
import type { ReadyCoat } from '@/core/readiness/whatNow';
import type { Task } from '@/core/work/tasksOf';

/** Whether a pass can be worked on now: which of its coats, or until when or why not. */
export type PassStanding =
  | { readonly kind: 'go'; readonly coats: readonly ReadyCoat[] }
  | { readonly kind: 'wet'; readonly until: number }
  | { readonly kind: 'stuck'; readonly why: string };

/** How a pass of a room stands, from what can be done with its classes. */
export function passStanding({ standing }: RoomSite, task: Task): PassStanding {
  if (task.pass === 'sand') {
    if (standing.now.kind === 'sand') return { kind: 'go', coats: [] };
    if (standing.now.kind === 'wet') return { kind: 'wet', until: standing.now.until };
    return { kind: 'stuck', why: standing.now.kind === 'stuck' ? standing.now.why : 'coats are still to run' };
  }
  if (task.pass === 'check') {
    return standing.now.kind === 'check' ? { kind: 'go', coats: [] } : { kind: 'stuck', why: 'it is not sanded yet' };
  }
  if (task.pass === 'seal') {
    return standing.now.kind === 'handOver'
      ? { kind: 'go', coats: [] }
      : { kind: 'stuck', why: 'it is not checked yet' };
  }
  const wanted = new Set(task.coats.map(({ id }) => id));
  const coats = standing.classes.flatMap(({ now }) =>
    now.kind === 'go' ? now.ready.filter(({ coat }) => wanted.has(coat.id)) : [],
  );
  if (coats.length > 0) return { kind: 'go', coats };
  const classes = standing.classes.filter((kind) => task.coats.some((coat) => coat.class === kind.class));
  const until = classes.flatMap(({ now }) => (now.kind === 'wet' ? [now.until] : []));
  if (until.length > 0) return { kind: 'wet', until: Math.min(...until) };
  const stuck = classes.flatMap(({ now }) => (now.kind === 'stuck' ? [now.why] : []));
  return { kind: 'stuck', why: stuck[0] ?? 'an earlier pass is not done' };
}
