import type { Air } from '@/core/air/air';
import type { Company } from '@/core/house/company';
import type { HouseHead } from '@/core/house/schema';
import { whyNotHandedOver } from '@/core/inspect/signOff';
import type { Person } from '@/core/log/person';
import type { OpenItem } from '@/core/log/roomState';
import type { RoomSnapshot } from '@/core/snapshot/houseSnapshot';
import { MarkButton } from '@/ui/entries/MarkButton';
import { PageLink } from '@/ui/PageLink';
import { PrintButton } from '@/ui/PrintButton';
import { itemWords } from '@/words/defectWords';
import { PhotoChoice } from './PhotoChoice';
import { RoomSheet } from './RoomSheet';
import { SignPad } from './SignPad';

interface RoomPageProps {
  readonly houseId: string;
  readonly house: HouseHead;
  readonly room: RoomSnapshot;
  readonly people: readonly Person[];
  readonly air: Air | undefined;
  readonly company: Company;
  /** The hash of the sheet as it would be signed now. */
  readonly sheet: string;
  readonly now: number;
  readonly timeZone: string;
  readonly mayHandOver: boolean;
}

/** The page on which a room is handed over: its sheet, which photos go along, and who signs. */
export function RoomPageView({
  houseId,
  house,
  room,
  people,
  air,
  company,
  sheet,
  now,
  timeZone,
  mayHandOver,
}: RoomPageProps) {
  const { state, standing } = room;
  const photoWords = (text: string | undefined, item: OpenItem | undefined) =>
    item ? `${itemWords(item, room.room, house.unit)}${item.closed ? ', mended' : ''}` : (text ?? room.room.name);
  return (
    <main className="mx-auto w-full max-w-4xl flex-1 space-y-4 p-4">
      <div className="no-print flex flex-wrap items-center justify-between gap-3">
        <PageLink href={`/h/${houseId}/hand-over`} className="link text-primary">
          All rooms
        </PageLink>
        <div className="flex flex-wrap items-start gap-2">
          {mayHandOver && whyNotHandedOver(room) === undefined && standing.now.kind !== 'done' && (
            <MarkButton
              now={now}
              said={{ kind: 'handedOver', room: room.room.id, payload: {} }}
              words="Handed over to the painters"
            />
          )}
          <PrintButton />
        </div>
      </div>
      <RoomSheet
        house={house}
        room={room}
        people={people}
        air={air}
        company={company}
        sheet={sheet}
        signedSheets={`/h/${houseId}/signed`}
        now={now}
        timeZone={timeZone}
      />
      <PhotoChoice
        now={now}
        room={room.room.id}
        photos={state.photos.map(({ id, text, item }) => ({
          id,
          words: photoWords(
            text,
            state.items.find((own) => own.id === item),
          ),
        }))}
        shown={state.shown}
        mayChoose={mayHandOver}
      />
      {mayHandOver && <SignPad now={now} rooms={[room.room.id]} />}
    </main>
  );
}
