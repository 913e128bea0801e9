import type { Company } from '@/core/house/company';
import type { Person } from '@/core/log/person';
import type { HouseSnapshot, RoomSnapshot } from '@/core/snapshot/houseSnapshot';
import { PageLink } from '@/ui/PageLink';
import { PrintButton } from '@/ui/PrintButton';
import { HouseCover } from './HouseCover';
import { RoomSheet } from './RoomSheet';

/** The cover and the sheets of rooms below each other: one print, each on a page of its own. */
export function SheetsView({
  houseId,
  snapshot,
  rooms,
  company,
  people,
  now,
  timeZone,
}: {
  readonly houseId: string;
  readonly snapshot: HouseSnapshot;
  /** Each with the hash of its sheet as it would be signed now. */
  readonly rooms: readonly (readonly [room: RoomSnapshot, sheet: string])[];
  readonly company: Company;
  readonly people: readonly Person[];
  readonly now: number;
  readonly timeZone: string;
}) {
  return (
    <main className="mx-auto w-full max-w-4xl flex-1 space-y-6 p-4 print:p-0">
      <div className="no-print flex flex-wrap items-center justify-between gap-3">
        <PageLink href={`/h/${houseId}/hand-over`} className="link inline-flex min-h-12 items-center text-primary">
          All rooms
        </PageLink>
        <PrintButton />
      </div>
      {rooms.length > 1 && (
        <HouseCover
          snapshot={{ ...snapshot, rooms: rooms.map(([room]) => room) }}
          company={company}
          now={now}
          timeZone={timeZone}
        />
      )}
      {rooms.map(([room, sheet]) => (
        <RoomSheet
          key={room.room.id}
          house={snapshot.house}
          room={room}
          people={people}
          photos={`/api/photos/${houseId}`}
          company={company}
          sheet={sheet}
          signedSheets={`/h/${houseId}/signed`}
          now={now}
          timeZone={timeZone}
        />
      ))}
    </main>
  );
}
