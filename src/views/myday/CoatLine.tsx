import { takenAlong } from '@/core/inspect/betweenCoats';
import type { LengthUnit } from '@/core/measure/unit';
import type { CoatedClass } from '@/core/method/coat';
import { usualMistakes } from '@/core/method/defects';
import type { ReadyCoat } from '@/core/readiness/whatNow';
import type { RoomSnapshot } from '@/core/snapshot/houseSnapshot';
import type { Block } from '@/core/work/block';
import { PageLink } from '@/ui/PageLink';
import { SectionGlyph } from '@/ui/section/SectionGlyph';
import { checkWords, toolWords } from '@/words/coatWords';
import { DEFECT_WORDS, itemWords } from '@/words/defectWords';
import { coatAmount, facesOfPieces, sidesToRun } from './jobWords';

/** One coat of the job: how much, with what, how good looks, and what goes wrong most. */
export function CoatLine({
  ready: { coat, part, pieces },
  room,
  unit,
  block,
  houseId,
}: {
  readonly ready: ReadyCoat;
  readonly room: RoomSnapshot;
  readonly unit: LengthUnit;
  readonly block: Block | undefined;
  readonly houseId: string;
}) {
  const marks = takenAlong(room, coat.class);
  const label = coat.settingMinutes === undefined ? coat.mud : `${coat.settingMinutes} min setting`;
  return (
    <div>
      <p>
        {coatAmount(coat, room, unit, part)} with the {toolWords(coat, unit)}
      </p>
      <p className="text-sm">
        {label} mud, {coat.consistency}
        {coat.tape ? `; ${coat.tape} tape` : ''}
      </p>
      {pieces && (
        <p className="text-sm">
          Only on {facesOfPieces(pieces, room)}
          {block ? '' : ': the rest is not ready'}.
        </p>
      )}
      {marks.length > 0 && (
        <p className="text-sm font-semibold text-warning">
          Here more: {marks.map((item) => itemWords(item, room.room, unit)).join('; ')}.
        </p>
      )}
      {coat.side && <p className="text-sm">{capital(sidesToRun(coat, room) ?? '')}</p>}
      <details className="text-sm">
        <summary className="cursor-pointer text-muted">Good when: {checkWords(coat, unit)}</summary>
        <ul className="mt-1 list-disc space-y-1 pl-5">
          {usualMistakes(coat).map((defect) => (
            <li key={defect}>
              <b>{DEFECT_WORDS[defect].name}</b>: {DEFECT_WORDS[defect].cause}; {DEFECT_WORDS[defect].mend}.
            </li>
          ))}
        </ul>
        <PageLink href={`/h/${houseId}/guide#${coat.class}`} className="link text-primary">
          Its card in the field guide
        </PageLink>
      </details>
    </div>
  );
}

/** A class as it stands in this room. */
export function ClassGlyph({
  kind,
  room,
  way,
}: {
  readonly kind: CoatedClass;
  readonly room: RoomSnapshot;
  readonly way: string;
}) {
  const ladder = room.standing.classes.find((standing) => standing.class === kind)?.coats ?? [];
  return (
    <SectionGlyph
      kind={kind}
      way={way}
      layers={ladder.map(({ phase, coat }) => ({ phase, key: coat.key, side: coat.side }))}
      className="h-11 w-24"
    />
  );
}

const capital = (text: string): string => text.charAt(0).toUpperCase() + text.slice(1);
