import { amountOf } from '@/core/joints/pieces';
import type { Coat } from '@/core/method/coat';
import { inSequence } from '@/core/readiness/nextSteps';
import { scrapedFor } from '@/core/readiness/scrapedFor';
import { uncenteredIn } from '@/core/readiness/uncentered';
import type { ReadyCoat } from '@/core/readiness/whatNow';
import { blocksIn, type RoomBlocks } from '@/core/schedule/roomBlocks';
import type { RoomSnapshot } from '@/core/snapshot/houseSnapshot';
import type { Block } from '@/core/work/block';
import type { HandedPass } from '@/core/work/dayListOf';
import { CENTRING, isBetween } from '@/core/work/pass';
import { stuckWords } from '@/words/stateWords';

/** Whether a pass can be worked on now: which of its coats, or until when or why not. Where there is only something to mend, none. */
export type PassStanding =
  | { readonly kind: 'go'; readonly coats: readonly ReadyCoat[] }
  /** `soft` is the joint that has to firm up before this pass crosses it. */
  | { readonly kind: 'wet'; readonly until: number; readonly soft?: Coat }
  | { readonly kind: 'stuck'; readonly why: string };

/** How a handed pass of a room stands, from what can be done with its classes. */
export function passStanding({ room, task, block }: HandedPass<RoomSnapshot>): PassStanding {
  const { standing } = room;
  // Whether it is dry enough to mend is seen on the place.
  if (task.pass === 'mend') return { kind: 'go', coats: [] };
  if (task.pass === 'prefill')
    return standing.now.kind === 'stuck'
      ? { kind: 'stuck', why: stuckWords(standing.now.why) }
      : { kind: 'go', coats: [] };
  if (task.pass === CENTRING) {
    const boxed = uncenteredIn(room, task.small[0]?.round);
    return boxed && boxed.from > room.at ? { kind: 'wet', until: boxed.from } : { kind: 'go', coats: [] };
  }
  if (task.pass === 'sand') {
    // Who is sent to sand fixes what is wrong before.
    if (standing.now.kind === 'sand' || standing.now.kind === 'fix') return { kind: 'go', coats: [] };
    if (standing.now.kind === 'wet') return { kind: 'wet', until: standing.now.until };
    return {
      kind: 'stuck',
      why: standing.now.kind === 'stuck' ? stuckWords(standing.now.why) : 'coats are still to run',
    };
  }
  if (task.pass === 'check') {
    return standing.now.kind === 'check' ? { kind: 'go', coats: [] } : { kind: 'stuck', why: 'it is not sanded yet' };
  }
  if (task.pass === 'seal') {
    return standing.now.kind === 'seal' || standing.now.kind === 'handOver'
      ? { kind: 'go', coats: [] }
      : { kind: 'stuck', why: 'it is not checked yet' };
  }
  // Somebody who only scrapes is done with what is scraped, before the rest is ready.
  const open = isBetween(task.pass)
    ? task.coats.filter((coat) => scrapedFor(room.state, coat) === undefined)
    : task.coats;
  const wanted = new Set(open.map(({ id }) => id));
  const ready = standing.classes.flatMap(({ now }) =>
    now.kind === 'go' ? now.ready.filter(({ coat }) => wanted.has(coat.id)) : [],
  );
  const blocks = block && blocksIn(room);
  const coats = blocks ? ready.flatMap((coat) => readyIn(coat, block, blocks)) : ready;
  if (coats.length > 0) return { kind: 'go', coats: inSequence(coats, ({ coat }) => coat, room.method) };
  const classes = standing.classes.filter((kind) => open.some((coat) => coat.class === kind.class));
  if (classes.some(({ now }) => now.kind === 'stuck' && now.why.kind === 'mend')) return { kind: 'go', coats: [] };
  const [wet] = classes.flatMap(({ now }) => (now.kind === 'wet' ? [now] : [])).toSorted((a, b) => a.until - b.until);
  if (wet) return { kind: 'wet', until: wet.until, ...(wet.crossed ? { soft: wet.coat } : {}) };
  const stuck = classes.flatMap(({ now }) => (now.kind === 'stuck' ? [stuckWords(now.why)] : []));
  return { kind: 'stuck', why: stuck[0] ?? 'an earlier pass is not done' };
}

/** What of a coat that can go on lies in one block. */
function readyIn({ coat, pieces }: ReadyCoat, block: Block, blocks: RoomBlocks): readonly ReadyCoat[] {
  const own = blocks.coat(coat.id, block);
  if (!own || own.done === 1) return [];
  const can = pieces && new Set(pieces);
  const ready = own.pieces.filter(({ id }) => can?.has(id) ?? true);
  const part = can ? (own.share * amountOf(ready)) / amountOf(own.pieces) : own.share * (1 - own.done);
  return ready.length > 0 ? [{ coat, part, pieces: ready.map(({ id }) => id) }] : [];
}
