import type { NotSigned } from '../core/inspect/signOff';
import type { CoatedClass } from '../core/method/coat';

/**
 * Why something is not signed off, in a sentence.
 *
 * @param nameOf what a class is called
 */
export function notSignedWords(not: NotSigned, nameOf: (kind: CoatedClass) => string = (kind) => kind): string {
  switch (not.why) {
    case 'tooHigh':
      return `The room is finished to level ${not.level}.`;
    case 'missing':
      return `${nameOf(not.class)}: coats are missing.`;
    case 'wet':
      return `${nameOf(not.class)}: the mud is still wet.`;
    case 'unsanded':
      return `${nameOf(not.class)}: not sanded yet.`;
    case 'open':
      return 'Something that is wrong here is not mended.';
    case 'nothing':
      return 'Nothing is on it yet.';
  }
}

/** Why something is not sanded, in a sentence. */
export const wetWords = (kind: CoatedClass, nameOf: (kind: CoatedClass) => string = (own) => own): string =>
  `${nameOf(kind)}: still wet by the clock. Whoever finds it dry says white on the morning walk first.`;
