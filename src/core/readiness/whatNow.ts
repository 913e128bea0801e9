import { type AirTrouble, airTroubles } from '../air/air';
import { type AirClock, stepAt } from '../air/airClock';
import type { CoatTrouble } from '../drying/milestones';
import { heldAt, type RoomState } from '../log/stateOf';
import type { Coat, CoatedClass } from '../method/coat';
import type { Method } from '../method/resolveMethod';
import type { AppliedCoats, Stretch } from '../standing/appliedCoats';
import type { Finished } from '../standing/finished';
import { progressClock } from './coatClock';

/** How one planned coat stands. */
export type CoatPhase = 'planned' | 'part' | 'wet' | 'dry' | 'sanded';
export interface CoatStanding {
  readonly coat: Coat;
  readonly phase: CoatPhase;
  /** The part of the class that is covered, 0–1. */
  readonly share: number;
  /** When it may be coated again (the last coat: sanded); ms since 1970. */
  readonly readyAt: number | undefined;
  /** When setting mud of it is set. */
  readonly setAt: number | undefined;
  readonly troubles: readonly CoatTrouble[];
}

/** A coat that can go on now, and on how much of its class. */
export interface ReadyCoat {
  readonly coat: Coat;
  /** Of all that is to get it, 0–1. */
  readonly part: number;
  /** On which pieces, where more of the class will get this coat and cannot yet. */
  readonly pieces: readonly string[] | undefined;
}

/** Why nothing can be done, by its own words where the lead holds it. */
export type Stuck =
  | { readonly kind: 'held'; readonly why: string }
  | { readonly kind: 'cold' | 'joints' | 'mend' | 'notAccepted' | 'tooLarge' };

/** What can be done with one class of a room now. */
export type ClassNow =
  | {
      readonly kind: 'go';
      /** The first of those that can go on. */
      readonly coat: Coat;
      /** How much of it is on already. */
      readonly share: number;
      readonly ready: readonly ReadyCoat[];
    }
  | {
      readonly kind: 'wet';
      readonly coat: Coat;
      readonly until: number;
      /** What can be put on then; nothing more when it is the last. */
      readonly next: Coat | undefined;
      /** Whether it is another class, which the next coat runs over. */
      readonly crossed: boolean;
      /** Whether it is what was filled before the tape. */
      readonly prefill?: true;
    }
  | { readonly kind: 'stuck'; readonly coat: Coat; readonly why: Stuck }
  | { readonly kind: 'dry' }
  | { readonly kind: 'sanded' };

export interface ClassStanding {
  readonly class: CoatedClass;
  readonly coats: readonly CoatStanding[];
  readonly now: ClassNow;
  /** When the first of its pieces that are not ready becomes so. */
  readonly changesAt: number | undefined;
}

/** What can be done with a room now: coat some class, wait, sand, check, hand over, or nothing more. */
export type RoomNow =
  | { readonly kind: 'go' | 'sand' | 'check' | 'handOver' | 'done' | 'nothing' }
  | { readonly kind: 'wet'; readonly until: number }
  | { readonly kind: 'stuck'; readonly why: Stuck };

export interface RoomStanding {
  readonly classes: readonly ClassStanding[];
  readonly now: RoomNow;
  /** What is wrong with the air now. */
  readonly air: readonly AirTrouble[];
}

/**
 * What can be done in a room, what is waiting and for what, piece by piece. A coat may go on where the one below is on and
 * dry, the other side of an angle when the first is, and over a butt or into a corner when what lies there is firm; a skim
 * when everything else is dry. A held or cold room is stuck, its clocks run on.
 *
 * @param coats all coats of the room in order, see `roomCoats`
 * @param method by which they are put on
 * @param applied what was put on, beside what is asked for, see `appliedCoats`
 * @param done what is sanded and signed off, see `finished`
 * @param clock the room's air, see `houseAir`
 * @param now ms since 1970
 */
export function whatNow(
  coats: readonly Coat[],
  method: Method,
  state: RoomState,
  applied: AppliedCoats,
  done: Finished,
  clock: AirClock,
  now: number,
): RoomStanding {
  const air = airTroubles(stepAt(clock, now).air);
  const blocked = whyBlocked(state, air, now);
  const room: Looked = { method, applied, done, clock, now };
  const kinds = [...new Set(coats.map((coat) => coat.class))];
  const firmAt = Math.max(0, ...state.prefills.map((prefill) => prefill.firmAt));
  const joints = kinds
    .filter((kind) => kind !== 'surface')
    .map((kind) => withPrefill(classStanding(kind, coats, room, blocked), firmAt, now));
  const jointsDry = joints.every((standing) => standing.now.kind === 'dry' || standing.now.kind === 'sanded');
  const surface = kinds.includes('surface')
    ? [classStanding('surface', coats, room, jointsDry ? blocked : JOINTS_FIRST)]
    : [];
  const classes = [...joints, ...surface];
  return { classes, now: roomNow(classes, state, done, blocked), air };
}

/** A class whose tape would go over what was filled and is not firm yet. */
function withPrefill(standing: ClassStanding, firmAt: number, now: number): ClassStanding {
  const { kind } = standing.now;
  if (firmAt <= now || kind !== 'go' || standing.now.coat.key !== 'tape') return standing;
  const { coat } = standing.now;
  return {
    ...standing,
    now: { kind: 'wet', coat, until: firmAt, next: coat, crossed: false, prefill: true },
    changesAt: Math.min(firmAt, standing.changesAt ?? firmAt),
  };
}

interface Looked {
  readonly method: Method;
  readonly applied: AppliedCoats;
  readonly done: Finished;
  readonly clock: AirClock;
  readonly now: number;
}

function whyBlocked(state: RoomState, air: readonly AirTrouble[], now: number): Stuck | undefined {
  const held = heldAt(state, now);
  if (held) return { kind: 'held', why: held.why };
  return air.includes('cold') ? { kind: 'cold' } : undefined;
}

function classStanding(
  kind: CoatedClass,
  coats: readonly Coat[],
  room: Looked,
  blocked: Stuck | undefined,
): ClassStanding {
  const own = coats.filter((coat) => coat.class === kind);
  const standings = own.map((coat, index) => coatStanding(coat, index === own.length - 1, room));
  const nows = room.applied.stretches.flatMap((stretch) =>
    stretch.class === kind ? [{ stretch, now: stretchNow(stretch, own, room) }] : [],
  );
  const waits = nows.flatMap(({ now }) => (now.kind === 'wet' && Number.isFinite(now.until) ? [now.until] : []));
  return {
    class: kind,
    coats: standings,
    now: classNow(own, standings, nows, blocked),
    changesAt: waits.length > 0 ? Math.min(...waits) : undefined,
  };
}

function coatStanding(coat: Coat, last: boolean, { method, applied, done, clock, now }: Looked): CoatStanding {
  const progress = applied.coats.get(coat.id);
  if (!progress) return { coat, phase: 'planned', share: 0, readyAt: undefined, setAt: undefined, troubles: [] };
  const times = progressClock(progress, coat, method, clock);
  const readyAt = times[last ? 'sandAt' : 'recoatAt'];
  const { share } = progress;
  const phase = share < 1 ? 'part' : readyAt > now ? 'wet' : isSanded(coat, applied, done) ? 'sanded' : 'dry';
  return { coat, phase, share: phase === 'part' ? share : 1, readyAt, setAt: times.setAt, troubles: times.troubles };
}

/** Whether every piece of a coat's class was sanded since mud went on it last. */
const isSanded = (coat: Coat, { stretches }: AppliedCoats, done: Finished): boolean =>
  done.sanded !== undefined ||
  (done.sandedPieces.size > 0 &&
    stretches
      .filter((stretch) => stretch.class === coat.class)
      .every((stretch) => stretch.pieces.every(({ id }) => done.sandedPieces.has(id))));

/**
 * What can be done with pieces that are alike; `after` waits for another side that is not on yet, `held` for its face, `mend` for what
 * must not be covered.
 */
export type StretchNow =
  | { readonly kind: 'go'; readonly coat: Coat }
  | { readonly kind: 'after'; readonly coat: Coat }
  | { readonly kind: 'held'; readonly coat: Coat }
  | { readonly kind: 'mend'; readonly coat: Coat }
  | {
      readonly kind: 'wet';
      readonly coat: Coat;
      readonly until: number;
      readonly next: Coat | undefined;
      readonly crossed: boolean;
    }
  | { readonly kind: 'done' };

/**
 * What can be done with pieces that are alike.
 *
 * @param own the coats of their class in the room, in order
 */
export function stretchNow(
  stretch: Stretch,
  own: readonly Coat[],
  { method, applied, clock, now }: Omit<Looked, 'done'>,
): StretchNow {
  const { coats } = stretch;
  const next = coats.find(({ share }) => share < 1)?.coat;
  // Mud on a later coat counts even when an earlier one was never logged.
  for (const [index, on] of [...coats.entries()].reverse()) {
    if (on.share < 1 || on.applications.length === 0) continue;
    const until = progressClock(on, on.coat, method, clock)[index === coats.length - 1 ? 'sandAt' : 'recoatAt'];
    if (until > now) return { kind: 'wet', coat: on.coat, until, next, crossed: false };
  }
  if (!next) return { kind: 'done' };
  if (stretch.held) return { kind: 'held', coat: next };
  if (stretch.toMend) return { kind: 'mend', coat: next };
  const place = own.findIndex(({ id }) => id === next.id);
  const others =
    next.side === undefined ? [] : stretch.beside.flatMap((other) => applied.stretches[other]?.coats ?? []);
  for (const other of others) {
    if (own.findIndex(({ id }) => id === other.coat.id) >= place) continue;
    if (other.share < 1) return { kind: 'after', coat: next };
    const until = other.applications.length > 0 ? progressClock(other, other.coat, method, clock).recoatAt : now;
    if (until > now) return { kind: 'wet', coat: other.coat, until, next, crossed: false };
  }
  if (method.all.order === 'noWait') return { kind: 'go', coat: next };
  let crossed: { readonly coat: Coat; readonly until: number } | undefined;
  for (const under of stretch.across.flatMap((other) => applied.stretches[other]?.coats ?? [])) {
    if (under.applications.length === 0) continue;
    const until = progressClock(under, under.coat, method, clock).firmAt;
    if (until > now && until > (crossed?.until ?? now)) crossed = { coat: under.coat, until };
  }
  return crossed ? { kind: 'wet', ...crossed, next, crossed: true } : { kind: 'go', coat: next };
}

interface StretchStanding {
  readonly stretch: Stretch;
  readonly now: StretchNow;
}

function classNow(
  own: readonly Coat[],
  standings: readonly CoatStanding[],
  nows: readonly StretchStanding[],
  blocked: Stuck | undefined,
): ClassNow {
  const ready = readyCoats(own, nows);
  const [first] = ready;
  if (first) {
    if (blocked !== undefined) return { kind: 'stuck', coat: first.coat, why: blocked };
    const share = standings.find(({ coat }) => coat.id === first.coat.id)?.share ?? 0;
    return { kind: 'go', coat: first.coat, share, ready };
  }
  const wet = nows.flatMap(({ now }) => (now.kind === 'wet' ? [now] : [])).toSorted((a, b) => a.until - b.until)[0];
  if (wet) return wet;
  const [held] = nows.flatMap(({ now }) => (now.kind === 'held' ? [now] : []));
  if (held) return { kind: 'stuck', coat: held.coat, why: blocked ?? NOT_ACCEPTED };
  const [wrong] = nows.flatMap(({ now }) => (now.kind === 'mend' ? [now] : []));
  if (wrong) return { kind: 'stuck', coat: wrong.coat, why: blocked ?? MEND_FIRST };
  return { kind: standings.at(-1)?.phase === 'sanded' ? 'sanded' : 'dry' };
}

/** Why a held face waits. */
const NOT_ACCEPTED: Stuck = { kind: 'notAccepted' };
const JOINTS_FIRST: Stuck = { kind: 'joints' };
const MEND_FIRST: Stuck = { kind: 'mend' };

function readyCoats(own: readonly Coat[], nows: readonly StretchStanding[]): readonly ReadyCoat[] {
  // Nothing is on yet.
  if (nows.length === 0) return own.slice(0, 1).map((coat) => ({ coat, part: 1, pieces: undefined }));
  const sum = (some: typeof nows) => some.reduce((all, { stretch }) => all + stretch.amount, 0);
  return own.flatMap((coat): readonly ReadyCoat[] => {
    const get = nows.filter(({ stretch }) => stretch.coats.some((one) => one.coat.id === coat.id));
    const lacks = get.filter(({ stretch }) => stretch.coats.some((one) => one.coat.id === coat.id && one.share < 1));
    const go = lacks.filter(({ now }) => now.kind === 'go' && now.coat.id === coat.id);
    if (go.length === 0) return [];
    const pieces =
      go.length < lacks.length ? go.flatMap(({ stretch }) => stretch.pieces.map(({ id }) => id)) : undefined;
    return [{ coat, part: sum(go) / sum(get), pieces }];
  });
}

function roomNow(
  classes: readonly ClassStanding[],
  state: RoomState,
  done: Finished,
  blocked: Stuck | undefined,
): RoomNow {
  if (classes.length === 0) return { kind: 'nothing' };
  if (state.handedOver) return { kind: 'done' };
  const isOpen = state.items.some(({ closed }) => !closed);
  if (done.checked && !isOpen) return { kind: 'handOver' };
  if (done.sanded) return { kind: 'check' };
  if (classes.some(({ now }) => now.kind === 'go')) return { kind: 'go' };
  if (blocked !== undefined) return { kind: 'stuck', why: blocked };
  const wet = classes.flatMap(({ now }) => (now.kind === 'wet' ? [now.until] : []));
  if (wet.length > 0) return { kind: 'wet', until: Math.min(...wet) };
  const stuck = classes.flatMap(({ now }) => (now.kind === 'stuck' ? [now.why] : []));
  return stuck[0] === undefined ? { kind: 'sand' } : { kind: 'stuck', why: stuck[0] };
}
