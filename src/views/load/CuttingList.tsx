import type { ReactNode } from 'react';
import type { BeadCuts, RoomBead } from '@/core/materials/cut/cutBead';
import type { CutStick } from '@/core/materials/cut/cutStock';
import type { LengthUnit } from '@/core/measure/unit';
import { faceWords } from '@/words/faceWords';
import { lengthWords, roughLength } from '@/words/lengthWords';
import { plural } from '@/words/plural';
import { PROFILE_NAMES } from '@/words/stateWords';

/** The sticks of a list that do not lie there already. */
export const boughtOf = ({ sticks }: Pick<BeadCuts['list'], 'sticks'>): readonly CutStick[] =>
  sticks.filter(({ isOffcut }) => !isOffcut);

const longestOf = (sticks: readonly CutStick[]): number => Math.max(...sticks.map(({ length }) => length));

/** How many sticks of which length: 3 of 10 ft, 2 of 8 ft. */
export function sticksWords(sticks: readonly CutStick[], unit: LengthUnit): string {
  const counts = new Map<number, number>();
  for (const { length } of sticks) counts.set(length, (counts.get(length) ?? 0) + 1);
  return [...counts]
    .sort((a, b) => b[0] - a[0])
    .map(([length, count]) => `${count} of ${roughLength(length, unit)}`)
    .join(', ');
}

/** Longer lists are shown only for a floor or a room. */
const MOST_STICKS = 600;

/** Every stick with what is cut from it, in the order to cut, and to which edge of which room each piece goes. */
export function CuttingList({
  bead,
  nameOf,
  unit,
  keepLeft,
}: {
  readonly bead: readonly BeadCuts[];
  readonly nameOf: (room: string) => string;
  readonly unit: LengthUnit;
  readonly keepLeft: ReactNode;
}) {
  const isShown = bead.reduce((sum, { list }) => sum + list.sticks.length, 0) <= MOST_STICKS;
  return (
    <section className="sheet space-y-5 p-4 sm:p-5" aria-label="Cutting list">
      <div>
        <h2>Cutting list for bead and trim</h2>
        <p className="text-sm text-muted">
          Longest first, a saw’s width between the cuts. Numbers run through the rooms: write them on the pieces.
        </p>
        {keepLeft}
      </div>
      {!isShown && (
        <p className="font-semibold">
          Too many sticks to list. Choose a floor or a room above to see how they are cut.
        </p>
      )}
      {bead.map((cuts) => (
        <ProfileCuts key={cuts.profile} {...cuts} isShown={isShown} nameOf={nameOf} unit={unit} />
      ))}
    </section>
  );
}

/** Shows the sticks of one profile, or only their counts if the list is too long. */
function ProfileCuts({
  profile,
  pieces,
  list,
  isShown,
  nameOf,
  unit,
}: BeadCuts & {
  readonly isShown: boolean;
  readonly nameOf: (room: string) => string;
  readonly unit: LengthUnit;
}) {
  const longest = longestOf(list.sticks);
  return (
    <div className="space-y-2">
      <h3 className="font-semibold first-letter:uppercase">
        {PROFILE_NAMES[profile]}: {sticksWords(list.sticks, unit)}
      </h3>
      <p className="text-sm text-muted">
        {boughtWords(list, unit)}
        {list.spliced.length > 0 ? `; ${plural(list.spliced.length, 'piece')} longer than any stick, spliced` : ''}.
      </p>
      {isShown && (
        <>
          <ol className="space-y-1">
            {list.sticks.map((stick, index) => (
              <li key={index} className="grid grid-cols-[2rem_1fr_5rem] items-center gap-2 break-inside-avoid">
                <span className="text-right text-sm text-muted">{index + 1}</span>
                <Stick stick={stick} pieces={pieces} longest={longest} unit={unit} />
                <span className="text-sm whitespace-nowrap text-muted">
                  {stick.isOffcut ? 'left: ' : ''}
                  {roughLength(stick.length, unit)}
                </span>
              </li>
            ))}
          </ol>
          <details>
            <summary className="flex min-h-11 cursor-pointer items-center">Which edge each piece is for</summary>
            <ul className="columns-1 gap-8 text-sm sm:columns-2 xl:columns-3">
              {pieces.map((piece, index) => (
                <li
                  key={`${piece.room} ${piece.edge}`}
                  className="flex justify-between gap-3 border-b border-base-300 py-0.5"
                >
                  <span>
                    <b className="font-semibold">{index + 1}</b> {nameOf(piece.room)}, {edgeWords(piece)}
                  </span>
                  <span className="whitespace-nowrap">{lengthWords(piece.length, unit)}</span>
                </li>
              ))}
            </ul>
          </details>
        </>
      )}
    </div>
  );
}

/** What is bought, and how near that is to the least; costs are told as such only where sticks have prices of their own. */
function boughtWords({ sticks, cost, bound }: BeadCuts['list'], unit: LengthUnit): string {
  const bought = boughtOf({ sticks }).reduce((sum, { length }) => sum + length, 0);
  const isLeast = cost <= bound + 0.1;
  const least = isLeast
    ? 'no way of cutting takes less'
    : `no way takes less than ${roughLength((bought * bound) / cost, unit)}`;
  return `${roughLength(bought, unit)} bought; ${least}`;
}

/** One stick to scale: its pieces by their numbers and lengths, what is left hatched. */
function Stick({
  stick: { length, cuts, left },
  pieces,
  longest,
  unit,
}: {
  readonly stick: CutStick;
  readonly pieces: readonly RoomBead[];
  readonly longest: number;
  readonly unit: LengthUnit;
}) {
  const part = (mm: number) => `${(mm / longest) * 100}%`;
  return (
    <div className="flex h-7 overflow-hidden rounded-sm border border-board-line" style={{ width: part(length) }}>
      {cuts.map(({ piece, length: own }, index) => (
        <span
          key={`${piece} ${index}`}
          className="narrow truncate border-r-2 border-board-line bg-board px-1 text-xs leading-7"
          style={{ width: `${(own / length) * 100}%` }}
          title={`${pieces[piece]?.room}: ${lengthWords(own, unit)}`}
        >
          <b>{piece + 1}</b> {lengthWords(own, unit)}
        </span>
      ))}
      {left > 1 && <span className="hatched flex-1" title={`${lengthWords(left, unit)} left`} />}
    </div>
  );
}

/** The edge of a piece by its two faces: wall 2 and opening 1, head. */
const edgeWords = ({ edge }: RoomBead): string =>
  (edge.split('#')[0] ?? edge)
    .split('~')
    .map((face) => faceWords(face))
    .join(' and ');
