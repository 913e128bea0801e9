import { type AirTrouble, airTroubles } from '../drying/air';
import { type AirClock, stepAt } from '../drying/airClock';
import type { CoatTrouble } from '../drying/milestones';
import type { RoomState } from '../log/stateOf';
import type { Coat, CoatedClass } from '../method/coat';
import type { Method } from '../method/resolveMethod';
import type { AppliedCoats } from '../standing/appliedCoats';
import { coatClock } from './coatClock';

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

/** What can be done with one class of a room now. */
export type ClassNow =
  | { readonly kind: 'go'; readonly coat: Coat; readonly share: number }
  | {
      readonly kind: 'wet';
      readonly coat: Coat;
      readonly until: number;
      /** What can be put on then; nothing more when it is the last. */
      readonly next: Coat | undefined;
    }
  | { readonly kind: 'stuck'; readonly coat: Coat; readonly why: string }
  | { readonly kind: 'dry' }
  | { readonly kind: 'sanded' };

export interface ClassStanding {
  readonly class: CoatedClass;
  readonly coats: readonly CoatStanding[];
  readonly now: ClassNow;
}

/** What can be done with a room now: coat some class, wait, sand, check, hand over, or nothing more. */
export type RoomNow =
  | { readonly kind: 'go' | 'sand' | 'check' | 'handOver' | 'done' | 'nothing' }
  | { readonly kind: 'wet'; readonly until: number }
  | { readonly kind: 'stuck'; readonly why: string };

export interface RoomStanding {
  readonly classes: readonly ClassStanding[];
  readonly now: RoomNow;
  /** What is wrong with the air now. */
  readonly air: readonly AirTrouble[];
}

/**
 * What can be done in a room, what is waiting and for what. A coat may go on when the one below covers the whole class
 * and is dry; a skim when everything else is. A held or cold room is stuck, its clocks run on.
 *
 * @param coats all coats of the room in order, see `roomCoats`
 * @param method by which they are put on
 * @param applied what was put on, beside what is asked for, see `appliedCoats`
 * @param clock the room's air, see `houseAir`
 * @param now ms since 1970
 */
export function whatNow(
  coats: readonly Coat[],
  method: Method,
  state: RoomState,
  applied: AppliedCoats,
  clock: AirClock,
  now: number,
): RoomStanding {
  const air = airTroubles(stepAt(clock, now).air);
  const blocked = whyBlocked(state, air);
  const room: Looked = { method, state, applied, clock, now };
  const kinds = [...new Set(coats.map((coat) => coat.class))];
  const joints = kinds.filter((kind) => kind !== 'surface').map((kind) => classStanding(kind, coats, room, blocked));
  const jointsDry = joints.every((standing) => standing.now.kind === 'dry' || standing.now.kind === 'sanded');
  const surface = kinds.includes('surface')
    ? [classStanding('surface', coats, room, jointsDry ? blocked : 'the joints come first')]
    : [];
  const classes = [...joints, ...surface];
  return { classes, now: roomNow(classes, state, blocked), air };
}

interface Looked {
  readonly method: Method;
  readonly state: RoomState;
  readonly applied: AppliedCoats;
  readonly clock: AirClock;
  readonly now: number;
}

function whyBlocked(state: RoomState, air: readonly AirTrouble[]): string | undefined {
  if (state.held) return state.held.why;
  return air.includes('cold') ? 'too cold for finishing' : undefined;
}

function classStanding(
  kind: CoatedClass,
  coats: readonly Coat[],
  room: Looked,
  blocked: string | undefined,
): ClassStanding {
  const own = coats.filter((coat) => coat.class === kind);
  const standings = own.map((coat, index) => coatStanding(coat, index === own.length - 1, room));
  return { class: kind, coats: standings, now: classNow(standings, blocked) };
}

function coatStanding(coat: Coat, last: boolean, { method, state, applied, clock, now }: Looked): CoatStanding {
  const progress = applied.coats.get(coat.id);
  if (!progress) return { coat, phase: 'planned', share: 0, readyAt: undefined, setAt: undefined, troubles: [] };
  const clocks = progress.applications.map((entry) => coatClock(entry, coat, method, clock));
  const readyAt = Math.max(...clocks.map((one) => one[last ? 'sandAt' : 'recoatAt']));
  const { share } = progress;
  const phase = share < 1 ? 'part' : readyAt > now ? 'wet' : state.sanded ? 'sanded' : 'dry';
  return {
    coat,
    phase,
    share: phase === 'part' ? share : 1,
    readyAt,
    setAt: clocks.at(-1)?.setAt,
    troubles: [...new Set(clocks.flatMap(({ troubles }) => troubles))],
  };
}

function classNow(standings: readonly CoatStanding[], blocked: string | undefined): ClassNow {
  const wet = standings.findLast(({ phase }) => phase === 'wet');
  const next = standings.find(({ phase }) => phase === 'planned' || phase === 'part');
  // Mud on a later coat counts even when an earlier one was never logged.
  if (wet?.readyAt !== undefined) return { kind: 'wet', coat: wet.coat, until: wet.readyAt, next: next?.coat };
  if (!next) return { kind: standings.at(-1)?.phase === 'sanded' ? 'sanded' : 'dry' };
  return blocked === undefined
    ? { kind: 'go', coat: next.coat, share: next.share }
    : { kind: 'stuck', coat: next.coat, why: blocked };
}

function roomNow(classes: readonly ClassStanding[], state: RoomState, blocked: string | undefined): RoomNow {
  if (classes.length === 0) return { kind: 'nothing' };
  if (state.handedOver) return { kind: 'done' };
  if (state.checked) return { kind: 'handOver' };
  if (state.sanded) return { kind: 'check' };
  if (classes.some(({ now }) => now.kind === 'go')) return { kind: 'go' };
  if (blocked !== undefined) return { kind: 'stuck', why: blocked };
  const wet = classes.flatMap(({ now }) => (now.kind === 'wet' ? [now.until] : []));
  return wet.length > 0 ? { kind: 'wet', until: Math.min(...wet) } : { kind: 'sand' };
}
