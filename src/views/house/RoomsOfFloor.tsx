import { useHouse } from '@/client/HouseContext';
import { PageLink } from '@/ui/PageLink';
import { boxAround } from '@/ui/room/pagePlace';
import { StateMark } from '@/ui/state/StateMark';
import { percent } from '@/words/percent';
import type { PlanRoom } from './houseRows';

/** The shapes of the states, as characters so that they stand in line with their words. */
const MARKS = {
  go: { shape: '●', fill: 'fill-moss' },
  wet: { shape: '■', fill: 'fill-clay' },
  stuck: { shape: '◆', fill: 'fill-error' },
} as const;

/** One floor to scale: each room filled from below by how far its coats are, with its state in words. */
export function RoomsOfFloor({
  floor,
  rooms,
  drawn,
}: {
  readonly floor: string;
  readonly rooms: readonly PlanRoom[];
  /** Those that are drawn by now; the others have their place. */
  readonly drawn: ReadonlySet<PlanRoom>;
}) {
  const { id: houseId } = useHouse();
  const placed = rooms.filter(({ isPlaced }) => isPlaced);
  const box = boxAround(placed.flatMap(({ points }) => points));
  const [wide, tall] = [box.x1 - box.x0, box.y1 - box.y0];
  const text = Math.max(wide, tall) / 25;
  const hrefOf = ({ id }: PlanRoom) => `/h/${houseId}/tally?room=${id}`;
  return (
    <figure className="sheet p-3">
      <figcaption className="mb-2 flex justify-between px-1">
        <h2>{floor}</h2>
        <span className="text-muted">
          {rooms.length} {rooms.length === 1 ? 'room' : 'rooms'}
        </span>
      </figcaption>
      {placed.length > 0 && (
        // biome-ignore lint/a11y/useSemanticElements: no HTML element groups the links of a drawing
        <svg
          viewBox={`${box.x0 - 30} ${box.y0 - 30} ${wide + 60} ${tall + 60}`}
          className="max-h-[46vh] w-full fill-base-content"
          textAnchor="middle"
          dominantBaseline="middle"
          role="group"
          aria-label={`Floor plan of ${floor}`}
        >
          {placed
            .filter((room) => drawn.has(room))
            .map((room) => (
              <RoomOfPlan key={room.id} href={hrefOf(room)} room={room} text={text} />
            ))}
        </svg>
      )}
      {placed.length < rooms.length && (
        <ul className="grid grid-cols-[repeat(auto-fill,minmax(10rem,1fr))] gap-2">
          {rooms
            .filter((room) => !room.isPlaced && drawn.has(room))
            .map((room) => (
              <li key={room.id}>
                <RoomTile href={hrefOf(room)} room={room} />
              </li>
            ))}
        </ul>
      )}
    </figure>
  );
}

/** A room that nobody placed on the plan: its shape beside its name and state. */
function RoomTile({ href, room }: { readonly href: string; readonly room: PlanRoom }) {
  const box = boxAround(room.points);
  const filled = (box.y1 - box.y0) * room.progress;
  return (
    <PageLink
      href={href}
      aria-label={labelOf(room)}
      className="flex h-full min-h-16 items-center gap-2 rounded-lg border border-base-300 p-2 hover:bg-base-200"
    >
      <svg
        viewBox={`${box.x0} ${box.y0} ${box.x1 - box.x0} ${box.y1 - box.y0}`}
        className="size-10 shrink-0 overflow-visible"
        aria-hidden="true"
      >
        <clipPath id={`tile-${room.id}`}>
          <polygon points={room.points.join(' ')} />
        </clipPath>
        <rect
          x={box.x0}
          width={box.x1 - box.x0}
          y={box.y1 - filled}
          height={filled}
          className="fill-board"
          clipPath={`url(#tile-${room.id})`}
        />
        <polygon
          points={room.points.join(' ')}
          fill="none"
          className="stroke-base-content"
          strokeWidth={1.5}
          vectorEffect="non-scaling-stroke"
        />
      </svg>
      <span className="min-w-0 leading-tight">
        <span className="block font-semibold break-words">{room.name}</span>
        <StateMark words={{ mark: room.words.mark, title: room.words.title }} className="text-sm" />
      </span>
    </PageLink>
  );
}

const labelOf = ({ name, progress, words }: PlanRoom): string =>
  [`${name}: ${words.title}`, words.detail, `${percent(progress)} % coated`].filter(Boolean).join(', ');

/** One room of a plan, filled from below by how far its coats are. */
function RoomOfPlan({ href, room, text }: { readonly href: string; readonly room: PlanRoom; readonly text: number }) {
  const { id, name, points, progress, words } = room;
  const xs = points.map(([x]) => x);
  const ys = points.map(([, y]) => y);
  const [x0, x1, y0, y1] = [Math.min(...xs), Math.max(...xs), Math.min(...ys), Math.max(...ys)];
  const filled = (y1 - y0) * progress;
  const lines = wrap(name, (x1 - x0) / (text * 0.58));
  const centre = (x0 + x1) / 2;
  const top = (y0 + y1) / 2 - ((lines.length - 1) * text) / 2;
  // Only an outline that is no upright box cuts its fill.
  const isBox = points.every(([x, y]) => (x === x0 || x === x1) && (y === y0 || y === y1));
  const clip = `plan-${id}`;
  return (
    <PageLink href={href} aria-label={labelOf(room)}>
      {!isBox && (
        <clipPath id={clip}>
          <polygon points={points.join(' ')} />
        </clipPath>
      )}
      {filled > 0 && (
        <rect
          x={x0}
          width={x1 - x0}
          y={y1 - filled}
          height={filled}
          className="fill-board"
          opacity={0.75}
          clipPath={isBox ? undefined : `url(#${clip})`}
        />
      )}
      <polygon
        points={points.join(' ')}
        fill="transparent"
        className="stroke-base-content"
        strokeWidth={1.5}
        vectorEffect="non-scaling-stroke"
      />
      {lines.map((line, row) => (
        <text key={line} x={centre} y={top + row * text} fontSize={text * 0.92} fontWeight={600}>
          {line}
        </text>
      ))}
      <text x={centre} y={top + (lines.length + 0.05) * text} fontSize={text * 0.78}>
        {words.mark !== 'quiet' && <tspan className={MARKS[words.mark].fill}>{MARKS[words.mark].shape} </tspan>}
        {words.title}
      </text>
    </PageLink>
  );
}

function wrap(name: string, most: number): readonly string[] {
  const lines: string[] = [];
  for (const word of name.split(' ')) {
    const last = lines.at(-1);
    if (last !== undefined && `${last} ${word}`.length <= most) lines[lines.length - 1] = `${last} ${word}`;
    else lines.push(word);
  }
  return lines;
}
