import type { Sandable, Sanding } from '@/core/inspect/sandable';
import { agreedLevel, whyNotSigned } from '@/core/inspect/signOff';
import { CLASS_TRAITS, isAngle } from '@/core/joints/classTraits';
import type { OpenItem } from '@/core/log/roomState';
import type { LengthUnit } from '@/core/measure/unit';
import type { CoatedClass } from '@/core/method/coat';
import type { Level } from '@/core/room/level';
import type { RoomSnapshot } from '@/core/snapshot/houseSnapshot';
import { facesToSign } from '@/core/standing/finished';
import { faceWords } from '@/words/faceWords';
import { areaWords, roughLength } from '@/words/lengthWords';
import { sandWords } from '@/words/sandWords';
import { notSignedWords } from '@/words/signWords';
import { CLASS_NAMES, isJoint, type StateWords } from '@/words/stateWords';
import { instantWords, spanWords, untilWords } from '@/words/when';

/** One class of a room as it is sanded. */
export interface SandRow {
  readonly class: CoatedClass;
  readonly name: string;
  readonly amount: string;
  readonly words: StateWords;
  readonly can: boolean;
  readonly isSanded: boolean;
  /** Hours and sheets of paper for what is left. */
  readonly takes: string;
  /** With what, and how. */
  readonly how: string;
}

/** One face of a room on the walk with the lamp. */
export interface LightRow {
  readonly id: string;
  readonly name: string;
  /** The level that is agreed for it. */
  readonly level: Level;
  /** To which level it was signed off, when and by whom. */
  readonly signed: string | undefined;
  /** Why it cannot be yet. */
  readonly why: string | undefined;
  readonly open: readonly OpenItem[];
}

/** Returns the classes of a room in the order in which they are sanded, in words. */
export function sandRows({ classes }: Sanding, unit: LengthUnit, now: number, timeZone: string): readonly SandRow[] {
  return classes.map((own) => ({
    class: own.class,
    name: CLASS_NAMES[own.class],
    amount: amountWords(own, unit),
    words: stateWords(own, now, timeZone),
    can: own.now.kind === 'go',
    isSanded: own.now.kind === 'sanded',
    takes: own.now.kind === 'sanded' ? '' : `${spanWords(own.hours)}, ${Math.max(0.1, own.paper).toFixed(1)} sheets`,
    how: sandWords(own.class, unit),
  }));
}

function amountWords({ class: kind, amount }: Sandable, unit: LengthUnit): string {
  if (kind === 'fasteners') return String(Math.round(amount));
  if (!isJoint(kind)) return areaWords(amount, unit);
  // A joint between two faces is sanded on each.
  const sides = isAngle(kind) ? ', both sides' : CLASS_TRAITS[kind].run === 'bead' ? ', both flanges' : '';
  return `${roughLength(amount, unit)}${sides}`;
}

function stateWords({ now: own, sanded }: Sandable, now: number, timeZone: string): StateWords {
  const part = sanded > 0 && sanded < 1 ? `${Math.round(sanded * 100)} % sanded` : undefined;
  switch (own.kind) {
    case 'sanded':
      return { mark: 'quiet', title: 'Sanded' };
    case 'go':
      return { mark: 'go', title: 'Sand', ...(part ? { detail: part } : {}) };
    case 'coats':
      return { mark: 'quiet', title: 'Coats to run' };
    case 'held':
      return { mark: 'stuck', title: 'On hold' };
    case 'wet':
      return {
        mark: 'wet',
        title: 'Wet',
        detail: `until ${untilWords(own.until, now, timeZone)}${part ? `, ${part}` : ''}`,
      };
    case 'beside':
      return {
        mark: 'wet',
        title: 'Wet mud beside it',
        detail: `no dust until ${untilWords(own.until, now, timeZone)}`,
      };
  }
}

/** The faces of a room in the order in which the lamp goes along them: walls as they are numbered, what stands out, then ceilings. */
export function lightRows(
  room: RoomSnapshot,
  now: number,
  timeZone: string,
  namesOf: (who: readonly string[]) => string,
): readonly LightRow[] {
  const toSign = new Set(facesToSign(room.applied));
  const ceilings = room.faces.filter(({ kind }) => kind === 'ceiling').length;
  return room.faces
    .filter(({ id }) => toSign.has(id))
    .toSorted((a, b) => Number(a.kind === 'ceiling') - Number(b.kind === 'ceiling'))
    .map(({ id, place }) => {
      const level = agreedLevel(id, room);
      const check = room.done.checkedFaces.get(id);
      const not = check ? undefined : whyNotSigned(room, [id], level, now);
      return {
        id,
        name: faceWords(place, ceilings),
        level,
        signed:
          check &&
          `level ${check.level}, ${namesOf(check.who)}, ${instantWords(Date.parse(check.at), timeZone)}${check.light ? `, ${check.light}` : ''}`,
        why: not && notSignedWords(not),
        open: room.state.items.filter(({ closed, face }) => !closed && face === id),
      };
    });
}
