import type { LengthUnit } from '../core/measure/unit';
import type { EntryRefusal } from '../core/rules/entryRules';
import type { RoomSnapshot } from '../core/snapshot/houseSnapshot';
import { fixFirstWords } from './defectWords';
import { notSignedWords } from './signWords';
import { CLASS_NAMES, PASS_NAMES, roomWords } from './stateWords';
import { instantWords, untilWords } from './when';

/** What a sentence about a refusal needs beside its code. */
interface Ground {
  /** The room that the entry is about, as it stands. */
  readonly room: RoomSnapshot | undefined;
  readonly unit: LengthUnit;
  readonly people: readonly { readonly id: string; readonly name: string }[];
  readonly now: number;
  readonly timeZone: string;
}

/** Why an entry is not recorded, in a sentence or two. */
export function refusalWords(refusal: EntryRefusal, { room, unit, people, now, timeZone }: Ground): string {
  const name = room?.room.name ?? '';
  switch (refusal.why) {
    case 'overCounted':
      return 'You counted more than was delivered. Log the delivery first.';
    case 'alreadyFixed': {
      const names = people.filter(({ id }) => refusal.who.includes(id)).map(({ name }) => name);
      return `${names.join(' and ') || 'Somebody'} has fixed it already.`;
    }
    case 'wet':
      return `${name} can't be sanded: ${CLASS_NAMES[refusal.class].toLowerCase()} are still wet by the clock. If they are dry, press white on the morning walk first.`;
    case 'notSigned':
      return `${name} can't be signed off. ${notSignedWords(refusal.not)}`;
    case 'notFinished': {
      const { title, detail } = roomWords(refusal.now, now, timeZone);
      return `${name} can't be handed over yet. ${[title, detail].filter(Boolean).join(', ')}.`;
    }
    case 'nothingToSeal':
      return 'Nothing on this face is painted, so there is nothing to seal: it is under tile or behind cabinets.';
    case 'noKnife':
      return `Do not judge ${CLASS_NAMES[refusal.class].toLowerCase()} with a knife across them. Check that they are straight, their edges vanish and the corner is clean.`;
    case 'noSuchJoint':
      return `This joint is no longer in ${name}. Reload the page and touch the one that is there.`;
    case 'nothingOn':
      return `No mud was on this in ${name} at ${instantWords(refusal.at, timeZone)}. Log the coat first, or check the clock of this device.`;
    case 'nothingToCenter':
      return `No boxed butts wait to be centered in ${name}.`;
    case 'fixFirst':
      return room ? fixFirstWords(refusal.items, room.state.items, room.room, unit) : '';
    case 'sameCoat':
      return `The ${PASS_NAMES[refusal.key].toLowerCase()} coat on ${CLASS_NAMES[refusal.class].toLowerCase()} is on already and wet until ${untilWords(refusal.until, now, timeZone)}. Same coat again, or the next one?`;
  }
}
