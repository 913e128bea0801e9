import { type AirTrouble, airTroubles } from '@/core/air/air';
import { stepAt } from '@/core/air/airClock';
import type { AirSource } from '@/core/air/roomAir';
import { type CatchUp, catchUps } from '@/core/drywatch/catchUp';
import { type WetCoat, wetCoats } from '@/core/drywatch/wetCoats';
import { memoizeLast } from '@/core/measure/memoizeLast';
import type { CoatedClass, CoatKey, Side } from '@/core/method/coat';
import type { ClassNow } from '@/core/readiness/whatNow';
import { minuteOf, type RoomSnapshot } from '@/core/snapshot/houseSnapshot';
import { coatName } from '@/words/coatWords';
import { stuckWords } from '@/words/stateWords';
import { HORIZON_MS } from './horizon';

/** When a class of a room can be worked on, and with what; at 0 when it can now. */
export interface ClassReady {
  readonly class: CoatedClass;
  readonly at: number;
  /** The round that comes then; undefined when only sanding is left. */
  readonly round: CoatKey | undefined;
}

/** A room on the house's strip. */
export interface StripRoom {
  readonly id: string;
  readonly name: string;
  /** Why it is stuck, or that it is done. */
  readonly stuck: string | undefined;
  readonly done: boolean;
  readonly classes: readonly ClassReady[];
  /** When the first of its wet coats is ready, and when all are; undefined when nothing is wet. */
  readonly first: number | undefined;
  readonly all: number | undefined;
  /** Classes that hold it up, which setting mud or a fan would catch up. */
  readonly catchUps: readonly CatchUpLine[];
}

/** A wet coat as the panel of its room shows it. */
export interface WetLine extends Omit<WetCoat, 'coat' | 'curve'> {
  readonly id: string;
  readonly class: CoatedClass;
  readonly side: Side | undefined;
  readonly name: string;
  readonly curve: readonly (readonly [at: number, left: number])[];
}

/** A class that holds up its room, and what would catch it up. */
export interface CatchUpLine extends Pick<CatchUp, 'class' | 'setting' | 'fanHours'> {
  readonly coat: string;
}

/** One room in full. */
export interface DryRoom extends StripRoom {
  readonly wet: readonly WetLine[];
  readonly air: {
    readonly temperature: number;
    readonly humidity: number;
    readonly speed: number;
    readonly source: AirSource;
    readonly readAt: number;
    readonly troubles: readonly AirTrouble[];
  };
  /** The air it has had and will have, for the chart. */
  readonly history: readonly {
    readonly at: number;
    readonly temperature: number;
    readonly humidity: number;
    readonly forecast: boolean;
  }[];
}

const BEFORE_MS = 24 * 3_600_000;

/** A room as it stands at an instant, with when its classes become ready. */
export const stripRoom = (snapshot: RoomSnapshot, instant: number): StripRoom =>
  stripRow(snapshot, minuteOf(snapshot, instant));

const stripRow = memoizeLast((snapshot: RoomSnapshot, instant: number): StripRoom => {
  const { room, standing } = snapshot;
  const wet = standing.classes.flatMap(({ now }) => (now.kind === 'wet' ? [now.until] : []));
  const { now: can } = standing;
  return {
    id: room.id,
    name: room.name,
    stuck: can.kind === 'stuck' ? stuckWords(can.why) : undefined,
    done: ['done', 'check', 'seal', 'handOver', 'nothing'].includes(can.kind),
    classes: standing.classes.flatMap(({ class: kind, now: own }) => readyOf(kind, own)),
    first: standing.wetUntil === undefined ? undefined : Math.min(standing.wetUntil, ...wet),
    all: standing.wetUntil,
    catchUps: catchUps(snapshot, instant).map(({ class: kind, coat, setting, fanHours }) => ({
      class: kind,
      coat: coatName(coat),
      setting,
      fanHours,
    })),
  };
});

function readyOf(kind: CoatedClass, now: ClassNow): readonly ClassReady[] {
  switch (now.kind) {
    case 'go':
      return [{ class: kind, at: 0, round: now.coat.round }];
    case 'wet':
      return Number.isFinite(now.until) ? [{ class: kind, at: now.until, round: now.next?.round }] : [];
    case 'dry':
      return [{ class: kind, at: 0, round: undefined }];
    default:
      return [];
  }
}

/** All that the panel of a room shows. */
export function dryRoom(snapshot: RoomSnapshot, now: number): DryRoom {
  const { air, source, readAt } = stepAt(snapshot.air, now);
  const wet = wetCoats(snapshot, now);
  const from = Math.min(now - BEFORE_MS, ...wet.map(({ since }) => since));
  return {
    ...stripRoom(snapshot, now),
    wet: wet.map(({ coat, curve, ...own }) => ({
      ...own,
      id: `${coat.class} ${coat.key} ${coat.side ?? ''}`,
      class: coat.class,
      side: coat.side,
      name: coatName(coat),
      curve: curve.map(({ at, left }) => [at, left] as const),
    })),
    air: {
      temperature: air.temperature,
      humidity: air.humidity,
      speed: air.speed ?? 0,
      source,
      readAt,
      troubles: airTroubles(air),
    },
    history: historyOf(snapshot, from, now + HORIZON_MS),
  };
}

const HISTORY_POINTS = 160;

/** The steps of the air within a stretch, at most so many. */
function historyOf({ air }: RoomSnapshot, from: number, to: number): DryRoom['history'] {
  const step = (to - from) / HISTORY_POINTS;
  return Array.from({ length: HISTORY_POINTS + 1 }, (_, index) => {
    const at = from + index * step;
    const { air: own, source } = stepAt(air, at);
    return {
      at,
      temperature: own.temperature,
      humidity: own.humidity,
      forecast: source.kind === 'forecast',
    };
  });
}

/** The room that was asked for, else the one that is wet for longest. */
export function chosenRoom(rooms: readonly RoomSnapshot[], id: string | undefined): RoomSnapshot | undefined {
  const until = ({ standing }: RoomSnapshot) => standing.wetUntil ?? 0;
  return rooms.find(({ room }) => room.id === id) ?? rooms.toSorted((a, b) => until(b) - until(a))[0];
}
