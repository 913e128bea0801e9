import type { NewEntry } from '../core/log/entry';
import { placesIn } from '../core/room/ids';
import type { Room } from '../core/room/schema';
import { coatName } from './coatWords';
import { faceWords } from './faceWords';
import { plural } from './plural';
import { CLASS_NAMES } from './stateWords';
import { instantWords } from './when';

type CoatSaid = Extract<NewEntry, { kind: 'coat' }>['payload'];

/** Returns where an entry was: one face by its name, more by their number. */
export function facesWords(faces: readonly string[], room: Room | undefined): string {
  const [face, ...more] = faces;
  if (face === undefined || more.length > 0) return `${faces.length} faces`;
  return faceWords(room ? placesIn(room)(face) : face);
}

/**
 * Returns a coat as it was logged.
 *
 * @example loggedCoatWords({ class: 'flat', key: 'fill', part: 0.5, … }, room)  // 'fill coat on flats, half'
 */
export function loggedCoatWords(
  { class: kind, key, side, part, faces, pieces }: CoatSaid,
  room: Room | undefined,
): string {
  const name = coatName({ class: kind, key, sides: undefined, trimmed: false }).toLowerCase();
  return [
    `${name} on ${CLASS_NAMES[kind].toLowerCase()}`,
    ...(side ? [`${side} sides`] : []),
    ...(faces ? [facesWords(faces, room)] : []),
    ...(pieces ? [plural(pieces.length, 'piece')] : []),
    ...(part === 1 ? [] : [part === 0.5 ? 'half' : `${Math.round(part * 100)} %`]),
  ].join(', ');
}

/** A coat that two people logged: theirs, and one's own; or one person twice. */
export interface LoggedTwice {
  /** Who logged the other one; undefined where it is the same person. */
  readonly who: string | undefined;
  readonly theirs: { readonly at: number; readonly payload: CoatSaid };
  readonly mine: { readonly at: number; readonly payload: CoatSaid };
}

/** Returns the question about coats that were logged in the meantime, with both versions. */
export function clashWords(clashes: readonly LoggedTwice[], room: Room | undefined, timeZone: string): string {
  const lines = clashes.map(({ who, theirs, mine }) => {
    const [one, other] = [theirs, mine].map(({ payload }) => loggedCoatWords(payload, room));
    const own = one === other ? 'it' : other;
    const now = `You logged ${own}, ${instantWords(mine.at, timeZone)}.`;
    return who === undefined
      ? `You already logged ${one} on another page or phone, ${instantWords(theirs.at, timeZone)}. ${now}`
      : `${who} logged ${one}, ${instantWords(theirs.at, timeZone)}. ${now}`;
  });
  return [`${room ? `${room.name}: ` : ''}${lines.join(' ')}`, 'Which counts?'].join(' ');
}
