import { memo } from 'react';
import { JOINT_CLASSES, type JointClass } from '@/core/joints/joint';
import { jointLength, type Tally, tapedLength } from '@/core/joints/tally';
import type { TileFlag } from '@/core/joints/tileFlags';
import type { LengthUnit } from '@/core/measure/unit';
import { EDGE_PROFILES } from '@/core/room/kinds';
import { SectionGlyph } from '@/ui/section/SectionGlyph';
import { faceWords } from '@/words/faceWords';
import { areaWords, lengthWords, roughLength, sizeWords } from '@/words/lengthWords';
import { CLASS_NAMES, PROFILE_NAMES } from '@/words/stateWords';

const PLANNED = [
  { phase: 'planned', key: 'tape' },
  { phase: 'planned', key: 'fill' },
] as const;

/**
 * The tally of a room or a house; a row that is hovered or focused lights its joints in the picture, one that is pressed
 * shows them alone until it is pressed again.
 */
export const TallyTable = memo(function TallyTable({
  title,
  tally,
  unit,
  lit,
  only,
  onLight,
  onOnly,
  flags = [],
}: {
  readonly title: string;
  readonly tally: Tally;
  readonly unit: LengthUnit;
  readonly lit: JointClass | undefined;
  readonly only: JointClass | undefined;
  readonly onLight: (kind: JointClass | undefined) => void;
  readonly onOnly: (kind: JointClass | undefined) => void;
  readonly flags?: readonly TileFlag[];
}) {
  const present = JOINT_CLASSES.filter((kind) => tally.classes[kind].count > 0);
  const profiles = EDGE_PROFILES.filter((profile) => tally.profiles[profile]);
  const sheets = tally.boards.reduce((sum, { count }) => sum + count, 0);
  return (
    <section aria-label={`Tally of ${title}`}>
      <h2>{title}</h2>
      <p className="mb-2 text-muted">
        {areaWords(tally.boardArea, unit)} of board, {sheets} {sheets === 1 ? 'sheet' : 'sheets'}
      </p>
      <table className="table table-sm">
        <thead>
          <tr>
            <th scope="col">Joint</th>
            <th scope="col" className="text-right">
              Pieces
            </th>
            <th scope="col" className="text-right">
              Length
            </th>
          </tr>
        </thead>
        <tbody>
          {present.map((kind) => (
            <tr
              key={kind}
              className={lit === kind ? 'bg-base-200' : ''}
              onMouseEnter={() => onLight(kind)}
              onMouseLeave={() => onLight(undefined)}
            >
              <th scope="row" className="p-0 font-medium">
                <button
                  type="button"
                  className="flex min-h-11 w-full items-center gap-2 px-2 py-1.5 text-left"
                  aria-pressed={only === kind}
                  onClick={() => onOnly(only === kind ? undefined : kind)}
                  onFocus={() => onLight(kind)}
                  onBlur={() => onLight(undefined)}
                >
                  <SectionGlyph kind={kind} layers={PLANNED} className="h-7 w-15 shrink-0" />
                  {CLASS_NAMES[kind]}
                  {only === kind && <span className="badge badge-sm">alone</span>}
                </button>
              </th>
              <td className="text-right">{tally.classes[kind].count}</td>
              <td className="text-right whitespace-nowrap">{roughLength(tally.classes[kind].length, unit)}</td>
            </tr>
          ))}
          {tally.tapedOnly.count > 0 && (
            <tr>
              <th scope="row" className="pl-2 font-medium">
                Taped only, behind cabinets
              </th>
              <td className="text-right">{tally.tapedOnly.count}</td>
              <td className="text-right whitespace-nowrap">{roughLength(tally.tapedOnly.length, unit)}</td>
            </tr>
          )}
          <Count words="Three-ways" count={tally.threeWays} />
          <Count words="Crossings" count={tally.crossings} />
          <Count words="Fasteners to spot" count={tally.fasteners} />
          <Count words="Screws driven" count={tally.screws} />
        </tbody>
        <tfoot>
          <tr className="border-t-2 border-base-content text-base font-bold text-base-content">
            <th scope="row" colSpan={2}>
              All joints
            </th>
            <td className="text-right whitespace-nowrap">{roughLength(jointLength(tally), unit)}</td>
          </tr>
          <tr className="text-base font-bold text-base-content">
            <th scope="row" colSpan={2}>
              Tape
            </th>
            <td className="text-right whitespace-nowrap">{roughLength(tapedLength(tally), unit)}</td>
          </tr>
        </tfoot>
      </table>
      {tally.factoryEdgeInAngle.one + tally.factoryEdgeInAngle.both > 0 && (
        <p className="mt-2 text-sm text-muted">
          Factory edge in an angle: {roughLength(tally.factoryEdgeInAngle.one, unit)} along one side,{' '}
          {roughLength(tally.factoryEdgeInAngle.both, unit)} along both.
        </p>
      )}
      {tally.bevelled && (
        <p className="mt-1 text-sm text-muted">
          Bevelled: {tally.bevelled.count} of the butts, {roughLength(tally.bevelled.length, unit)}.
        </p>
      )}
      {profiles.length > 0 && (
        <p className="mt-1 text-sm text-muted">
          Beads:{' '}
          {profiles
            .map((profile) => `${roughLength(tally.profiles[profile]?.length ?? 0, unit)} ${PROFILE_NAMES[profile]}`)
            .join(', ')}
          .
        </p>
      )}
      {flags.length > 0 && (
        <p className="mt-1 flex gap-2 text-sm">
          <span aria-hidden="true" className="text-error">
            ◆
          </span>
          {flags
            .map(({ place, distance }) => `A flat ${lengthWords(distance, unit)} from the tile on ${faceWords(place)}`)
            .join('; ')}
          : its taper will show beside the tile.
        </p>
      )}
      <p className="mt-1 text-sm text-muted">
        Sheets:{' '}
        {tally.boards.map(({ width, length, count }) => `${count} of ${sizeWords(width, length, unit)}`).join(', ')}
      </p>
    </section>
  );
});

function Count({ words, count }: { readonly words: string; readonly count: number }) {
  return (
    <tr>
      <th scope="row" className="pl-2 font-medium">
        {words}
      </th>
      <td className="text-right">{count.toLocaleString('en-US')}</td>
      <td />
    </tr>
  );
}
