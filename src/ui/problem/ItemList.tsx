import type { Piece } from '@/core/joints/pieces';
import type { OpenItem } from '@/core/log/roomState';
import type { LengthUnit } from '@/core/measure/unit';
import { DEFECTS } from '@/core/method/defects';
import type { Room } from '@/core/room/schema';
import { DEFECT_WORDS, itemWords, MEND_WORDS } from '@/words/defectWords';
import { Photos } from '../photo/Photos';
import { KnifeDrawing } from '../section/KnifeDrawing';
import { MendedButton } from './MendedButton';

/** What is wrong in a room and not mended yet: where, whose words, how it is mended and when. */
export function ItemList({
  house,
  room,
  pieces,
  items,
  unit,
  now,
  works,
  causeWords,
  namesOf,
}: {
  /** Its id. */
  readonly house: string;
  readonly room: Room;
  /** Of the room, to say what was coated again. */
  readonly pieces: readonly Pick<Piece, 'id' | 'class'>[];
  readonly items: readonly OpenItem[];
  readonly unit: LengthUnit;
  readonly now: number;
  /** Whether whoever looks may say that something is mended. */
  readonly works: boolean;
  /** What it comes from, as far as the record says; for those who are told. */
  readonly causeWords?: (item: OpenItem) => string | undefined;
  /** Who said it, in words; nobody where that is not told. */
  readonly namesOf?: (who: readonly string[]) => string;
}) {
  if (items.length === 0) return null;
  return (
    <ul className="divide-y divide-base-300" aria-label={`Open items of ${room.name}`}>
      {items.map((item) => {
        const words = itemWords(item, room, unit);
        return (
          <li key={item.id} className="space-y-2 py-2">
            <div className="flex flex-wrap items-start justify-between gap-2">
              <div className="min-w-0 flex-1 basis-60">
                <p>
                  <b className="font-semibold first-letter:uppercase">{words}</b>
                  {namesOf && <span className="text-sm text-muted"> {namesOf(item.who)}</span>}
                </p>
                {item.covered && <p className="text-sm">Covered before it was fixed: {item.covered.why}</p>}
                {causeWords?.(item) && <p className="text-sm">{causeWords(item)}</p>}
                {item.defect && (
                  <p className="text-sm text-muted first-letter:uppercase">
                    <a
                      href={`/h/${house}/guide#defect-${item.defect}`}
                      className="link inline-block py-3 first-letter:uppercase"
                    >
                      {DEFECT_WORDS[item.defect].mend}; {MEND_WORDS[DEFECTS[item.defect].mend]}.
                    </a>
                  </p>
                )}
              </div>
              {works && (
                <MendedButton
                  now={now}
                  room={room.id}
                  item={{ id: item.id, words, dry: item.defect ? DEFECTS[item.defect].dry === true : false }}
                  piece={pieces.find(({ id }) => id === item.piece)}
                />
              )}
            </div>
            {item.knife && <KnifeDrawing {...item.knife} unit={unit} className="max-w-md" />}
            <Photos ids={item.photos} words={words} />
          </li>
        );
      })}
    </ul>
  );
}
