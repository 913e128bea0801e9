import { type AirTrouble, airTroubles } from '../air/air';
import { stepAt } from '../air/airClock';
import type { CoatTrouble } from '../drying/milestones';
import { sealerDryAt } from '../drying/sealer';
import { heldAt, type RoomState } from '../log/roomState';
import { sealedArea } from '../materials/loadList';
import type { Coat, CoatedClass } from '../method/coat';
import type { Stretch } from '../standing/appliedCoats';
import type { Finished } from '../standing/finished';
import type { DryingClock } from './coatClock';
import { dueItems } from './mending';
import type { RoomCoating, RoomRecord, RoomTakeOff } from './roomParts';
import { stretchClock } from './stretchClock';
import { type LookedAt, latestOf, readyAtOf, type StretchNow, stretchNow, wetUntilOf } from './stretchNow';

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
      /** When the first of it can be worked on, and when all of it can. */
      readonly until: number;
      readonly allBy: number;
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
  /** When the last of its mud that is wet is ready; undefined where none is. */
  readonly wetUntil: number | undefined;
}

/**
 * What can be done with a room now: put on a coat, wait, fix what is wrong, sand, check, seal, hand over, or nothing more. It is
 * stuck while somebody else has it, or the air is too cold.
 */
export type RoomNow =
  | { readonly kind: 'go' | 'fix' | 'sand' | 'check' | 'seal' | 'handOver' | 'done' | 'nothing' }
  /** Until the first of it can be worked on, and until all of it can. */
  | { readonly kind: 'wet'; readonly until: number; readonly allBy: number; readonly sealer?: true }
  | { readonly kind: 'stuck'; readonly why: Stuck };

export interface RoomStanding {
  readonly classes: readonly ClassStanding[];
  readonly now: RoomNow;
  /** When the last mud in the room that is wet is ready, ms since 1970; undefined where none is. */
  readonly wetUntil: number | undefined;
  /** What is wrong with the air now. */
  readonly air: readonly AirTrouble[];
}

/** A room as far as it matters to what can be done in it. */
export type RoomToDo = Pick<
  RoomTakeOff & RoomCoating & RoomRecord,
  'tally' | 'pieces' | 'coats' | 'method' | 'state' | 'applied' | 'held' | 'prefill' | 'done' | 'sealed'
>;

/**
 * Returns what can be done in a room, what is waiting and for what, piece by piece. A coat may go on where the one below is on and
 * dry, the other side of an angle when the first is, and over a butt or into a corner when what lies there is firm; a skim
 * when everything else is dry. A held or cold room is stuck, its clocks run on.
 *
 * @param clock of the room's coats in its air
 * @param now ms since 1970
 */
export function whatNow(room: RoomToDo, clock: DryingClock, now: number): RoomStanding {
  const { coats, state } = room;
  const air = airTroubles(stepAt(clock.air, now).air);
  const blocked = whyBlocked(state, air, now);
  const looked: Looked = { method: room.method, applied: room.applied, done: room.done, clock, now };
  const kinds = [...new Set(coats.map((coat) => coat.class))];
  const firmAt = Math.max(0, ...state.prefills.map((prefill) => prefill.firmAt));
  const joints = kinds
    .filter((kind) => kind !== 'surface')
    .map((kind) => withPrefill(classStanding(kind, coats, looked, blocked), firmAt, now));
  const jointsDry = joints.every((standing) => standing.now.kind === 'dry' || standing.now.kind === 'sanded');
  const surface = kinds.includes('surface')
    ? [classStanding('surface', coats, looked, jointsDry ? blocked : JOINTS_FIRST)]
    : [];
  const classes = [...joints, ...surface];
  const sealer = wetSealer(room, clock, now);
  return {
    classes,
    now: roomNow(classes, room, blocked, sealer),
    wetUntil: latestOf([...classes.map(({ wetUntil }) => wetUntil), sealer?.allBy]),
    air,
  };
}

/** A class whose tape would go over what was filled and is not firm yet. */
function withPrefill(standing: ClassStanding, firmAt: number, now: number): ClassStanding {
  const { kind } = standing.now;
  if (firmAt <= now || kind !== 'go' || standing.now.coat.key !== 'tape') return standing;
  const { coat } = standing.now;
  return {
    ...standing,
    now: { kind: 'wet', coat, until: firmAt, allBy: firmAt, next: coat, crossed: false, prefill: true },
    changesAt: Math.min(firmAt, standing.changesAt ?? firmAt),
    wetUntil: Math.max(firmAt, standing.wetUntil ?? firmAt),
  };
}

interface Looked extends LookedAt {
  readonly done: Finished;
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
  const stretches = room.applied.stretches.filter((stretch) => stretch.class === kind);
  const standings = own.map((coat) => coatStanding(coat, stretches, room));
  const nows = stretches.map((stretch) => ({ stretch, now: stretchNow(stretch, own, room) }));
  const waits = nows.flatMap(({ now }) => (now.kind === 'wet' && Number.isFinite(now.until) ? [now.until] : []));
  return {
    class: kind,
    coats: standings,
    now: classNow(own, standings, nows, blocked, room.done.sandedPieces),
    changesAt: waits.length > 0 ? Math.min(...waits) : undefined,
    wetUntil: latestOf(stretches.map((stretch) => wetUntilOf(stretch, room))),
  };
}

function coatStanding(coat: Coat, stretches: readonly Stretch[], room: Looked): CoatStanding {
  const progress = room.applied.coats.get(coat.id);
  if (!progress) return { coat, phase: 'planned', share: 0, readyAt: undefined, setAt: undefined, troubles: [] };
  const own = stretches.flatMap((stretch) => {
    const place = stretch.coats.findIndex((one) => one.coat.id === coat.id);
    const times = place < 0 ? undefined : stretchClock(stretch, place, room);
    return times ? [{ times, readyAt: readyAtOf(stretch, place, room) }] : [];
  });
  const readyAt = latestOf(own.map((one) => one.readyAt));
  const { share } = progress;
  const phase =
    share < 1 ? 'part' : (readyAt ?? 0) > room.now ? 'wet' : isSanded(stretches, room.done) ? 'sanded' : 'dry';
  return {
    coat,
    phase,
    share: phase === 'part' ? share : 1,
    readyAt,
    setAt: latestOf(own.map(({ times }) => times.setAt)),
    troubles: [...new Set(own.flatMap(({ times }) => times.troubles))],
  };
}

/** Whether every piece of a class that gets a coat was sanded since mud went on it last. */
const isSanded = (stretches: readonly Stretch[], done: Finished): boolean =>
  stretches
    .filter(({ coats }) => coats.length > 0)
    .every((stretch) => stretch.pieces.every(({ id }) => done.sandedPieces.has(id)));

interface StretchStanding {
  readonly stretch: Stretch;
  readonly now: StretchNow;
}

function classNow(
  own: readonly Coat[],
  standings: readonly CoatStanding[],
  nows: readonly StretchStanding[],
  blocked: Stuck | undefined,
  sanded: ReadonlySet<string>,
): ClassNow {
  const ready = readyCoats(own, nows, sanded);
  const [first] = ready;
  if (first) {
    if (blocked !== undefined) return { kind: 'stuck', coat: first.coat, why: blocked };
    const share = standings.find(({ coat }) => coat.id === first.coat.id)?.share ?? 0;
    return { kind: 'go', coat: first.coat, share, ready };
  }
  const wet = nows.flatMap(({ now }) => (now.kind === 'wet' ? [now] : [])).toSorted((a, b) => a.until - b.until);
  if (wet[0]) return { ...wet[0], allBy: wet.at(-1)?.until ?? wet[0].until };
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

function readyCoats(
  own: readonly Coat[],
  nows: readonly StretchStanding[],
  sanded: ReadonlySet<string>,
): readonly ReadyCoat[] {
  // Nothing is on yet.
  if (nows.length === 0) return own.slice(0, 1).map((coat) => ({ coat, part: 1, pieces: undefined }));
  const sum = (some: typeof nows) => some.reduce((all, { stretch }) => all + stretch.amount, 0);
  return own.flatMap((coat): readonly ReadyCoat[] => {
    const get = nows.filter(({ stretch }) => stretch.coats.some((one) => one.coat.id === coat.id));
    const lacks = get.filter(({ stretch }) => stretch.coats.some((one) => one.coat.id === coat.id && one.share < 1));
    const go = lacks.filter(({ now }) => now.kind === 'go' && now.coat.id === coat.id);
    if (go.length === 0) return [];
    // An extra coat may be meant for single joints; what is sanded beside them stays so.
    const isSandedBeside = get.some(({ stretch }) => stretch.pieces.some(({ id }) => sanded.has(id)));
    const isForAll =
      go.length === lacks.length && !isSandedBeside && (coat.key !== 'extra' || get.length === nows.length);
    const pieces = isForAll ? undefined : go.flatMap(({ stretch }) => stretch.pieces.map(({ id }) => id));
    return [{ coat, part: sum(go) / sum(get), pieces }];
  });
}

type WetSealer = Extract<RoomNow, { kind: 'wet' }>;

/** Sealer that is not dry; undefined where none is. */
function wetSealer({ sealed }: RoomToDo, { air }: DryingClock, now: number): WetSealer | undefined {
  const wet = [...sealed.faces.values()].map((sealing) => sealerDryAt(sealing, air)).filter((at) => at > now);
  return wet.length > 0 ? { kind: 'wet', until: Math.min(...wet), allBy: Math.max(...wet), sealer: true } : undefined;
}

function roomNow(
  classes: readonly ClassStanding[],
  room: RoomToDo,
  blocked: Stuck | undefined,
  sealer: WetSealer | undefined,
): RoomNow {
  const { state, done } = room;
  const nows = classes.map(({ now }) => now);
  if (classes.length === 0) return { kind: 'nothing' };
  const stuck = nows.flatMap((now) => (now.kind === 'stuck' ? [now.why] : []));
  const isOn = nows.every(({ kind }) => kind === 'dry' || kind === 'sanded');
  const isOpen = state.items.some(({ closed }) => !closed);
  if (state.handedOver && isOn && done.checked && !isOpen) return { kind: 'done' };
  if (blocked?.kind === 'held') return { kind: 'stuck', why: blocked };
  if (nows.some(({ kind }) => kind === 'go')) return { kind: 'go' };
  if (dueItems(room).length > 0) return { kind: 'fix' };
  if (blocked && !isOn) return { kind: 'stuck', why: blocked };
  const wet = nows.flatMap((now) => (now.kind === 'wet' ? [now] : []));
  const [until, allBy] = [Math.min(...wet.map((one) => one.until)), Math.max(...wet.map((one) => one.allBy))];
  if (wet.length > 0) return { kind: 'wet', until, allBy };
  if (!isOn) return { kind: 'stuck', why: stuck[0] ?? JOINTS_FIRST };
  return finishing(room, isOpen, sealer);
}

/** What comes next in a room whose coats are all on and dry. */
function finishing(
  { tally, coats, method, sealed, done }: RoomToDo,
  isOpen: boolean,
  sealer: WetSealer | undefined,
): RoomNow {
  // No dust beside fresh sealer.
  if (!done.isSanded) return sealer ?? { kind: 'sand' };
  if (!done.checked) return { kind: 'check' };
  const isSealed = sealed.whole !== undefined || sealedArea(tally, coats, method) === 0;
  // What is still open is closed by the sealer.
  if (!isSealed || isOpen) return { kind: 'seal' };
  return sealer ?? { kind: 'handOver' };
}
