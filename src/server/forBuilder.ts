import { logForBuilder, roomForBuilder } from '../core/snapshot/forBuilder';
import type { LoadedSnapshot } from './loadSnapshot';

/** Returns a house without the words that are only for the crew. */
export const forBuilder = (loaded: LoadedSnapshot): LoadedSnapshot => ({
  ...loaded,
  snapshot: { ...loaded.snapshot, rooms: loaded.snapshot.rooms.map(roomForBuilder) },
  log: logForBuilder(loaded.log),
});
