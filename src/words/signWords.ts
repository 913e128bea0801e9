import type { NotSigned } from '../core/inspect/signOff';
import { CLASS_NAMES } from './stateWords';

/** Why something is not signed off, in a sentence. */
export function notSignedWords(not: NotSigned): string {
  switch (not.why) {
    case 'tooHigh':
      return `The room is finished to level ${not.level}.`;
    case 'missing':
      return `${CLASS_NAMES[not.class]}: coats are missing.`;
    case 'wet':
      return `${CLASS_NAMES[not.class]}: the mud is still wet.`;
    case 'unsanded':
      return `${CLASS_NAMES[not.class]}: not sanded yet.`;
    case 'open':
      return 'Something that is wrong here is not mended.';
    case 'nothing':
      return 'Nothing is on it yet.';
  }
}
