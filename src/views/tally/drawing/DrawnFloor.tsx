import type { DrawnRoom } from '@/core/dxf/roomsIn';

/** The rooms of a drawing as they lie; those that are not taken are faint. */
export function DrawnFloor({
  rooms,
  without,
}: {
  readonly rooms: readonly DrawnRoom[];
  readonly without: ReadonlySet<string>;
}) {
  const laid = rooms.map(({ room, at }) => ({
    name: room.name,
    points: room.outline.map(([x, y]) => [x + at[0], y + at[1]] as const),
    columns: (room.columns ?? []).map(({ outline }) => outline.map(([x, y]) => [x + at[0], y + at[1]] as const)),
  }));
  const all = laid.flatMap(({ points }) => points);
  if (all.length === 0) return <div />;
  const [x0, x1] = [Math.min(...all.map(([x]) => x)), Math.max(...all.map(([x]) => x))];
  const [y0, y1] = [Math.min(...all.map(([, y]) => y)), Math.max(...all.map(([, y]) => y))];
  const size = Math.max(x1 - x0, y1 - y0, 1);
  const margin = size / 30;
  return (
    <svg
      viewBox={`${x0 - margin} ${y0 - margin} ${x1 - x0 + 2 * margin} ${y1 - y0 + 2 * margin}`}
      className="max-h-[46dvh] w-full rounded-2xl bg-base-200"
      role="img"
      aria-label="The rooms as they are drawn"
    >
      {laid.map(({ name, points, columns }) => (
        <g key={name} opacity={without.has(name) ? 0.3 : 1}>
          <polygon
            points={points.map((point) => point.join(',')).join(' ')}
            className="fill-sheet stroke-board-line"
            strokeWidth={1.5}
            vectorEffect="non-scaling-stroke"
          />
          {columns.map((column) => (
            <polygon
              key={column.join(' ')}
              points={column.map((point) => point.join(',')).join(' ')}
              className="fill-base-300 stroke-board-line"
              strokeWidth={1}
              vectorEffect="non-scaling-stroke"
            />
          ))}
          <text
            x={middleOf(points)[0]}
            y={middleOf(points)[1]}
            fontSize={size / 32}
            textAnchor="middle"
            dominantBaseline="middle"
            className="fill-base-content"
          >
            {name}
          </text>
        </g>
      ))}
    </svg>
  );
}

/** The middle of an area: of an L it is not where its corners are on average. */
function middleOf(points: readonly (readonly [number, number])[]): readonly [number, number] {
  let [twice, x, y] = [0, 0, 0];
  for (const [index, [x0, y0]] of points.entries()) {
    const [x1, y1] = points[(index + 1) % points.length] ?? [x0, y0];
    const across = x0 * y1 - x1 * y0;
    twice += across;
    x += (x0 + x1) * across;
    y += (y0 + y1) * across;
  }
  return [x / (3 * twice), y / (3 * twice)];
}
