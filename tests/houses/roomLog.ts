import type { Entry } from '@/core/log/entry';
import type { RoomState } from '@/core/log/roomState';
import { stateOf } from '@/core/log/stateOf';
import { logEntry } from './logEntry';

export const HOUR = 3_600_000;
export const iso = (hours: number) => new Date(hours * HOUR).toISOString();

/** An entry about a room, by the hour at which it was written. */
export type Said = readonly [hours: number, kind: Entry['kind'], payload?: object, more?: object];

export const entry = ([hours, kind, payload = {}, more = {}]: Said): Entry =>
  logEntry({ at: hours * HOUR, kind, payload: payload as Entry['payload'], ...more } as Parameters<typeof logEntry>[0]);

/** Returns the state of a room after some entries. */
export const told = (...said: readonly Said[]): RoomState => {
  const state = stateOf(said.map(entry)).get('room');
  if (!state) throw new Error('something was said of the room');
  return state;
};
