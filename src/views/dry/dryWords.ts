import type { AirSource } from '@/core/air/roomAir';
import { spanWords } from '@/words/when';

const HOUR_MS = 3_600_000;
const OLD_MS = 2 * HOUR_MS;

/** Where the air of a room comes from, and how old it is: of the hall, read 9 h ago. */
export function sourceWords(
  { source, readAt }: { readonly source: AirSource; readonly readAt: number },
  now: number,
  roomName: (id: string) => string,
): string {
  const age = now - readAt > OLD_MS ? `, read ${spanWords((now - readAt) / HOUR_MS)} ago` : '';
  switch (source.kind) {
    case 'room':
      return `measured here${age}`;
    case 'neighbour':
      return `borrowed from ${roomName(source.room)}${age}`;
    case 'house':
      return `the house’s air${age}`;
    case 'forecast':
      return `forecast; last reading ${spanWords((now - readAt) / HOUR_MS)} ago`;
    case 'assumed':
      return 'assumed, never measured';
  }
}
