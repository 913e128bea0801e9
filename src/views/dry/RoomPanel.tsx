import type { LengthUnit } from '@/core/measure/unit';
import { FanChoice } from '@/ui/entries/FanChoice';
import { PageLink } from '@/ui/PageLink';
import { airWords, troubleWords } from '@/words/airWords';
import { smallWords } from '@/words/lengthWords';
import { CLASS_NAMES, catchUpWords } from '@/words/stateWords';
import { instantWords, spanWords, timeOf, untilWords } from '@/words/when';
import type { CatchUpLine, DryRoom, WetLine } from './dryRooms';
import { sourceWords } from './dryWords';
import { LazyRoomChart } from './LazyRoomChart';

interface RoomPanelProps {
  readonly houseId: string;
  readonly room: DryRoom;
  readonly roomName: (id: string) => string;
  readonly unit: LengthUnit;
  readonly now: number;
  readonly timeZone: string;
  readonly mayLog: boolean;
}

/** One room: ready at, what is wet on which joint and side, the curves with the air behind them, and what would help. */
export function RoomPanel({ houseId, room, roomName, unit, now, timeZone, mayLog }: RoomPanelProps) {
  const { air } = room;
  return (
    <section className="sheet min-w-0 space-y-4 p-4 sm:p-5" aria-label={`${room.name}, drying`}>
      <div className="flex flex-wrap items-start justify-between gap-x-6 gap-y-2">
        <div>
          <h2>{room.name}</h2>
          <Ready room={room} now={now} timeZone={timeZone} />
        </div>
        <div className="text-sm sm:text-right">
          <p className="narrow text-xl font-bold">{airWords(air, unit)}</p>
          <p className={air.source.kind === 'room' ? 'text-muted' : 'text-warning'}>
            {sourceWords(air, now, roomName)}
          </p>
        </div>
      </div>
      <Troubles room={room} houseId={houseId} unit={unit} />
      <FanChoice room={room.id} speed={air.speed} now={now} mayLog={mayLog} />
      <LazyRoomChart lines={curvesOf(room.wet)} history={room.history} unit={unit} now={now} timeZone={timeZone} />
      {room.wet.length > 0 && (
        <div className="overflow-x-auto">
          <table className="table table-sm">
            <thead>
              <tr>
                <th scope="col">Wet on</th>
                <th scope="col" className="max-sm:hidden">
                  Since
                </th>
                <th scope="col" className="max-sm:hidden text-right">
                  Thick
                </th>
                <th scope="col" className="text-right">
                  Water left
                </th>
                <th scope="col" className="text-right">
                  Ready
                </th>
              </tr>
            </thead>
            <tbody>
              {room.wet.map((line) => (
                <WetRow key={line.id} line={line} unit={unit} now={now} timeZone={timeZone} />
              ))}
            </tbody>
          </table>
        </div>
      )}
    </section>
  );
}

function Ready({ room, now, timeZone }: Pick<RoomPanelProps, 'room' | 'now' | 'timeZone'>) {
  if (room.stuck !== undefined) return <p className="state-stuck text-lg font-semibold">Stuck: {room.stuck}</p>;
  if (room.all === undefined) return <p className="state-go narrow text-3xl font-bold">Nothing is wet</p>;
  if (!Number.isFinite(room.all))
    return <p className="state-stuck text-lg font-semibold">Never in this air. Dry the room.</p>;
  return (
    <>
      <p className="narrow text-3xl font-bold text-warning">Ready {untilWords(room.all, now, timeZone)}</p>
      <p className="text-sm text-muted">
        all dry in {spanWords((room.all - now) / 3_600_000)}
        {room.first !== undefined &&
          room.first < room.all &&
          `; the first in ${spanWords((room.first - now) / 3_600_000)}`}
      </p>
    </>
  );
}

function Troubles({ room, houseId, unit }: Pick<RoomPanelProps, 'room' | 'houseId' | 'unit'>) {
  const air = room.air.troubles.map((trouble) => ({
    key: trouble,
    words: `The air: ${troubleWords(trouble, unit)}.`,
  }));
  const coats = room.wet.flatMap((line) =>
    line.troubles.map((trouble) => ({
      key: `${line.id} ${trouble}`,
      words: `${lineName(line)}: ${troubleWords(trouble, unit)}.`,
    })),
  );
  if (air.length + coats.length + room.catchUps.length === 0) return null;
  return (
    <ul className="space-y-1">
      {[...air, ...coats].map(({ key, words }) => (
        <li key={key} className="state font-medium">
          <span aria-hidden="true" className="shape-stuck" />
          <span>{words}</span>
        </li>
      ))}
      {room.catchUps.map((own) => (
        <li key={own.class}>
          <CatchUpWords own={own} href={`/h/${houseId}/board#${room.id}`} />
        </li>
      ))}
    </ul>
  );
}

/** What setting mud would win, and the way to log it. */
export function CatchUpWords({ own, href }: { readonly own: CatchUpLine; readonly href: string }) {
  return (
    <span className="state">
      <span aria-hidden="true" className="shape-go" />
      <span>
        {CLASS_NAMES[own.class]}, {own.coat.toLowerCase()}: {catchUpWords(own)}{' '}
        <PageLink href={href} className="link text-primary">
          Open on the board
        </PageLink>
      </span>
    </span>
  );
}

function WetRow({
  line,
  unit,
  now,
  timeZone,
}: {
  readonly line: WetLine;
  readonly unit: LengthUnit;
  readonly now: number;
  readonly timeZone: string;
}) {
  return (
    <tr>
      <th scope="row" className="font-medium">
        {lineName(line)}
        {line.share < 1 && <span className="text-muted"> ({Math.round(line.share * 100)} %)</span>}
        {line.setAt !== undefined && line.setAt > now && (
          <span className="block font-normal text-warning">
            work it until {timeOf(line.setAt, timeZone)}, {Math.round((1 - (line.reaction ?? 0)) * 100)} % set
          </span>
        )}
      </th>
      <td className="max-sm:hidden whitespace-nowrap">{instantWords(line.since, timeZone)}</td>
      <td className="max-sm:hidden whitespace-nowrap text-right">{smallWords(line.thickness, unit)}</td>
      <td className="whitespace-nowrap text-right">{Math.round(line.water * 100)} %</td>
      <td className="whitespace-nowrap text-right font-semibold">{untilWords(line.until, now, timeZone)}</td>
    </tr>
  );
}

/** Coats that went on together and dry alike share a curve. */
function curvesOf(wet: readonly WetLine[]) {
  const groups = new Map<string, WetLine[]>();
  for (const line of wet) {
    const key = `${line.name} ${line.since} ${line.until}`;
    groups.set(key, [...(groups.get(key) ?? []), line]);
  }
  return [...groups.values()].flatMap((lines) => {
    const [first] = lines;
    if (!first) return [];
    const kinds = lines.map(({ class: kind }) => CLASS_NAMES[kind]);
    return [{ name: `${kinds.join(', ')}: ${first.name.toLowerCase()}`, curve: first.curve }];
  });
}

const lineName = ({ class: kind, side, name }: WetLine): string =>
  `${CLASS_NAMES[kind]}${side ? `, ${side} sides` : ''}: ${name.toLowerCase()}`;
