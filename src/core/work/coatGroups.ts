import { CLASS_TRAITS, type RunGroup } from '../joints/classTraits';
import { groupBy } from '../measure/groupBy';
import { MM_PER_INCH } from '../measure/unit';
import type { Coat } from '../method/coat';
import { choicesFor, type Method } from '../method/resolveMethod';
import type { RoomCoat } from '../method/roomCoats';
import { placeInRoom } from '../method/sequence';
import type { Skill } from './workItem';
import { workOfCoat } from './workName';

/** Coats of one room that are run in one go: those of one kind, for one purpose, on one side. */
export interface Group {
  readonly work: string;
  readonly kind: RunGroup;
  readonly key: Coat['key'];
  readonly pass: Coat['round'];
  readonly place: number;
  readonly coats: readonly [RoomCoat, ...RoomCoat[]];
}

/** The groups of a room, in the order in which they are run. */
export function groupsOf(coats: readonly RoomCoat[], method: Method): readonly Group[] {
  return [...groupBy(coats, workOfCoat)]
    .flatMap(([work, own]): readonly Group[] => {
      const [first, ...others] = own;
      if (!first) return [];
      const place = placeInRoom(first, method.all);
      return [
        {
          work,
          kind: CLASS_TRAITS[first.class].run,
          key: first.key,
          pass: first.round,
          place,
          coats: [first, ...others],
        },
      ];
    })
    .sort((a, b) => a.place - b.place);
}

/** The coats that have to be dry before one goes on: that below, and of an angle that of the other side before it. */
export function belowOf(coat: RoomCoat, coats: readonly RoomCoat[]): readonly RoomCoat[] {
  const own = coats.filter((other) => other.class === coat.class);
  const before = own.slice(
    0,
    own.findIndex(({ id }) => id === coat.id),
  );
  if (coat.side === undefined) return before.slice(-1);
  const same = before.findLast(({ side }) => side === coat.side || side === undefined);
  const other = before.findLast(({ side }) => side !== coat.side);
  return [...new Set([same, other])].filter((one) => one !== undefined);
}

/** The last coats of every class and side. */
export const lastCoats = (coats: readonly RoomCoat[]): readonly RoomCoat[] =>
  coats.filter((coat, index) =>
    coats
      .slice(index + 1)
      .every((later) => later.class !== coat.class || (later.side !== coat.side && later.side !== undefined)),
  );

/** What somebody has to be able to do for it. */
export function skillOf({ kind, key, coats }: Group): Skill {
  if (key === 'tape') return 'tape';
  if (coats.some(({ tool }) => tool.kind === 'box')) return 'box';
  return kind === 'angle' ? 'angles' : 'coat';
}

/** A tool of which a crew has few: a box by its width in inches, a mechanical taper, a dispenser, an applicator. */
export function toolOf(coats: readonly RoomCoat[], method: Method): string | undefined {
  const boxed = coats.find(({ tool }) => tool.kind === 'box');
  if (boxed) return `box-${Math.round(boxed.tool.width / MM_PER_INCH)}`;
  const taped = coats.find(({ tape }) => tape !== undefined);
  if (!taped) return undefined;
  const { laying } = choicesFor(method, taped.class);
  return laying === 'belt' ? undefined : laying;
}
