import type { Company } from '@/core/house/company';
import type { Person } from '@/core/log/person';
import type { HouseSnapshot } from '@/core/snapshot/houseSnapshot';
import { HouseCover } from './HouseCover';
import { type HandOverRow, handOverRows } from './handOverRows';
import { RoomSheet } from './RoomSheet';
import { SignOnLink } from './SignOnLink';

/** Shows a hand-over on a share link: its cover, the rooms folded, and where the builder signs. */
export function ShownHandOver({
  secret,
  snapshot,
  people,
  company,
  sheets,
  now,
  timeZone,
}: {
  readonly secret: string;
  readonly snapshot: HouseSnapshot;
  readonly people: readonly Person[];
  readonly company: Company;
  /** The hashes of the sheets as they would be signed now, by room id. */
  readonly sheets: ReadonlyMap<string, string>;
  readonly now: number;
  readonly timeZone: string;
}) {
  const rooms = new Map(snapshot.rooms.map((room) => [room.room.id, room]));
  const rows = handOverRows(snapshot, now, timeZone);
  return (
    <main className="mx-auto w-full max-w-4xl flex-1 space-y-6 p-4">
      <HouseCover snapshot={snapshot} company={company} now={now} timeZone={timeZone} />
      {rows
        .toSorted((a, b) => rank(a) - rank(b))
        .map((row) => {
          const room = rooms.get(row.id);
          return (
            room && (
              <details key={row.id} className="print-fold sheet print:border-0">
                <summary className="flex min-h-12 cursor-pointer flex-wrap items-center gap-x-4 gap-y-1 px-4 py-2">
                  <b className="flex-1 font-semibold">{row.name}</b>
                  <span className="text-muted">level {row.level}</span>
                  <span>{stateWords(row)}</span>
                </summary>
                <RoomSheet
                  house={snapshot.house}
                  room={room}
                  people={people}
                  company={company}
                  sheet={sheets.get(row.id)}
                  photos={`/api/shown/${secret}`}
                  now={now}
                  timeZone={timeZone}
                />
              </details>
            )
          );
        })}
      <SignOnLink
        secret={secret}
        rooms={rows
          .filter(({ canHandOver, isHandedOver }) => canHandOver || isHandedOver)
          .map(({ id, name }) => {
            const sheet = sheets.get(id) ?? '';
            const signed = rooms.get(id)?.state.signatures.filter((own) => own.sheet === sheet) ?? [];
            return { id, name, sheet, signedBy: signed.map((own) => own.name) };
          })}
      />
    </main>
  );
}

/** Sorts rooms with open problems first, then those that are handed over. */
const rank = ({ open, isHandedOver }: HandOverRow): number => (open > 0 ? 0 : isHandedOver ? 1 : 2);

/** Returns the open problems and the state of a room in a few words: *1 open, go: coat*. */
const stateWords = ({ open, state: { title, detail } }: HandOverRow): string =>
  [...(open > 0 ? [`${open} open`] : []), [title, detail].filter(Boolean).join(' ').toLowerCase()].join(', ');
