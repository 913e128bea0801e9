import { airWithVapour, vapourPressure } from '../src/core/air/air';
import type { NewReading } from '../src/core/air/reading';
import { chance, wander } from './noise';
import { weatherAt } from './weather';

/** A made-up room with a sensor in it. */
export interface StandInRoom {
  readonly seed: number;
  /** °C that the heating holds. */
  readonly heatedTo: number;
  /** When mud was put on, ms since 1970: it damps the air while it dries. */
  readonly wetAt: readonly number[];
  /** A fan that blows from an instant on, m/s. */
  readonly fan?: { readonly from: number; readonly speed: number };
}

const HOUR_MS = 3_600_000;
const DAY_MS = 24 * HOUR_MS;
/** How fast wet mud gives its water to the air, and how much damper it makes the room at first. */
const MUD_FADES_MS = 14 * HOUR_MS;
const MUD_KPA = 0.28;
const DROP_OUT_MS = 50 * 60_000;
const DROP_OUT_CHANCE = 0.02;

/**
 * What the sensor says at an instant, or nothing while it drops out.
 *
 * @param at ms since 1970
 */
export function readRoom({ seed, heatedTo, wetAt, fan }: StandInRoom, at: number): NewReading | undefined {
  if (chance(seed, Math.floor(at / DROP_OUT_MS)) < DROP_OUT_CHANCE) return undefined;
  const outside = weatherAt(1, at);
  const afternoon = Math.cos(((at - 21 * HOUR_MS) / DAY_MS) * 2 * Math.PI);
  const temperature =
    heatedTo + 0.9 * afternoon + 0.12 * (outside.temperature - 8) + 0.25 * wander(seed, at, 40 * 60_000);
  const mud = wetAt
    .filter((put) => put <= at)
    .reduce((sum, put) => sum + MUD_KPA * Math.exp((put - at) / MUD_FADES_MS), 0);
  const blows = fan !== undefined && at >= fan.from;
  // Moved air is changed faster: less of the mud's water stays in the room.
  const vapour = vapourPressure(outside) + 0.42 + (blows ? 0.6 : 1) * Math.min(0.5, mud);
  const { humidity } = airWithVapour(temperature, vapour);
  return {
    at: new Date(at).toISOString(),
    temperature: round(temperature),
    humidity: round(humidity + 0.6 * wander(seed + 1, at, 25 * 60_000)),
    ...(blows ? { airSpeed: fan.speed } : {}),
  };
}

/** The sensor's readings at whole steps of time. */
export function readings(room: StandInRoom, from: number, to: number, step: number): readonly NewReading[] {
  const out: NewReading[] = [];
  for (let at = Math.ceil(from / step) * step; at <= to; at += step) {
    const reading = readRoom(room, at);
    if (reading) out.push(reading);
  }
  return out;
}

const round = (value: number): number => Math.round(value * 10) / 10;
