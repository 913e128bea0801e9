import { PageLink } from '@/ui/PageLink';

export const RANGES = [
  ['day', 'Day', 1],
  ['week', 'Week', 7],
  ['month', 'Month', 31],
  ['year', 'Year', 366],
] as const;
export type Range = (typeof RANGES)[number][0];

/** Which room's air a chart shows, and over which time. */
export function ChartChoice({
  houseId,
  places,
  room,
  range,
}: {
  readonly houseId: string;
  /** Where anything was measured; null for the house. */
  readonly places: readonly { readonly id: string | null; readonly name: string }[];
  readonly room: string | null;
  readonly range: Range;
}) {
  const href = (nextRoom: string | null, nextRange: Range) =>
    `/h/${houseId}/dry/air?${new URLSearchParams({ ...(nextRoom === null ? {} : { room: nextRoom }), range: nextRange })}`;
  const look = (chosen: boolean) => `btn btn-sm min-h-10 rounded-full ${chosen ? 'btn-neutral' : ''}`;
  return (
    <div className="mb-3 space-y-2">
      <div className="flex flex-wrap items-center justify-between gap-2">
        <h2>Air over time</h2>
        <nav aria-label="How far back" className="flex gap-1.5">
          {RANGES.map(([id, words]) => (
            <PageLink
              key={id}
              scroll={false}
              href={href(room, id)}
              aria-current={id === range ? 'true' : undefined}
              className={look(id === range)}
            >
              {words}
            </PageLink>
          ))}
        </nav>
      </div>
      <nav aria-label="Which room" className="flex flex-wrap gap-1.5">
        {places.map(({ id, name }) => (
          <PageLink
            key={id}
            scroll={false}
            href={href(id, range)}
            aria-current={id === room ? 'true' : undefined}
            className={look(id === room)}
          >
            {name}
          </PageLink>
        ))}
      </nav>
    </div>
  );
}
