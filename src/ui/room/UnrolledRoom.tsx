import type { JointClass } from '@/core/joints/joint';
import type { Point } from '@/core/measure/vector';
import { CLASS_NAMES } from '../state/words';
import { type LaidLine, pageLength, type UnrolledRoom as Unrolled } from './unroll';

interface LineLook {
  readonly stroke: string;
  readonly width: number;
  readonly dash?: string;
}

const LOOKS: Readonly<Record<JointClass, LineLook>> = {
  flat: { stroke: 'stroke-primary', width: 2.5 },
  mixed: { stroke: 'stroke-primary', width: 2.5, dash: '14 4 3 4' },
  butt: { stroke: 'stroke-base-content', width: 2.5 },
  backedButt: { stroke: 'stroke-base-content', width: 1.5 },
  angle: { stroke: 'stroke-secondary', width: 3, dash: '9 5' },
  offAngle: { stroke: 'stroke-secondary', width: 3, dash: '3 5' },
  bead: { stroke: 'stroke-moss', width: 5 },
  trim: { stroke: 'stroke-moss', width: 2.5 },
  existing: { stroke: 'stroke-error', width: 2.5, dash: '5 3' },
};
const RUNG_MM = 130;
const RUNG_STEP_MM = 190;

/** The room laid flat with its boards and joints; one class can be lit, and hovering a joint lights its class. */
export function UnrolledRoom({
  room,
  lit,
  onLight,
  className,
}: {
  readonly room: Unrolled;
  readonly lit: JointClass | undefined;
  readonly onLight: (kind: JointClass | undefined) => void;
  readonly className?: string;
}) {
  const { x, y, width, height } = room.box;
  const margin = 330;
  const text = Math.max(width, height) / 46;
  return (
    <svg
      viewBox={`${x - margin} ${y - margin} ${width + 2 * margin} ${height + 2 * margin}`}
      className={className}
      role="img"
      aria-label="The room laid flat with its boards and joints"
    >
      {room.faces.map(({ face, corners, holes, boards }) => (
        <g key={face.id}>
          <polygon
            points={corners.join(' ')}
            className="fill-sheet stroke-board-line"
            strokeWidth={1}
            vectorEffect="non-scaling-stroke"
          />
          {boards.map((board) => (
            <polygon
              key={board.join(' ')}
              points={board.join(' ')}
              fill="none"
              className="stroke-base-300"
              strokeWidth={1}
              vectorEffect="non-scaling-stroke"
            />
          ))}
          {holes.map((hole) => (
            <g key={hole.corners.join(' ')}>
              <polygon
                points={hole.corners.join(' ')}
                className="fill-base-300 stroke-muted"
                strokeWidth={1}
                vectorEffect="non-scaling-stroke"
              />
              <Label at={hole.middle} size={text * 0.85} words={hole.kind} />
            </g>
          ))}
        </g>
      ))}
      {room.lines.map((line) => (
        <JointLine
          key={`${line.joint} ${line.from.join(' ')}`}
          line={line}
          faded={lit !== undefined && lit !== line.class}
          onLight={onLight}
        />
      ))}
      {room.faces.map(({ face, middle, corners }) => (
        <Label
          key={face.id}
          at={face.kind === 'wall' ? between(middle, corners, face.holes.length > 0) : middle}
          size={text}
          words={face.kind === 'wall' ? `wall ${Number(face.id.slice(1)) + 1}` : 'ceiling'}
        />
      ))}
      {room.letters.map(({ letter, at }, index) => (
        <g key={index}>
          <circle
            cx={at[0]}
            cy={at[1]}
            r={text * 0.8}
            className="fill-base-200 stroke-secondary"
            strokeWidth={1.2}
            vectorEffect="non-scaling-stroke"
          />
          <Label at={at} size={text * 0.9} words={letter} />
        </g>
      ))}
    </svg>
  );
}

/** Beside an opening the wall's name stands near the floor's edge. */
function between(middle: Point, corners: readonly Point[], moved: boolean): Point {
  const [, , low, lowToo] = corners;
  if (!moved || !low || !lowToo) return middle;
  const floor: Point = [(low[0] + lowToo[0]) / 2, (low[1] + lowToo[1]) / 2];
  return [floor[0] + (floor[0] - middle[0]) * 0.1, floor[1] + (floor[1] - middle[1]) * 0.1];
}

function Label({ at, size, words }: { readonly at: Point; readonly size: number; readonly words: string }) {
  return (
    <text
      x={at[0]}
      y={at[1]}
      fontSize={size}
      textAnchor="middle"
      dominantBaseline="middle"
      className="pointer-events-none fill-muted stroke-sheet"
      strokeWidth={size / 4}
      paintOrder="stroke"
    >
      {words}
    </text>
  );
}

function JointLine({
  line,
  faded,
  onLight,
}: {
  readonly line: LaidLine;
  readonly faded: boolean;
  readonly onLight: (kind: JointClass | undefined) => void;
}) {
  const look = LOOKS[line.class];
  const rungs = line.class === 'butt' || line.class === 'backedButt' ? rungsOf(line) : '';
  const path = `M${line.from.join(' ')}L${line.to.join(' ')}`;
  return (
    // biome-ignore lint/a11y/noStaticElementInteractions: the tally beside it does the same by keyboard
    <g
      opacity={faded ? 0.18 : 1}
      onMouseEnter={() => onLight(line.class)}
      onMouseLeave={() => onLight(undefined)}
      data-joint={line.class}
    >
      <title>{CLASS_NAMES[line.class]}</title>
      <path d={path} stroke="transparent" strokeWidth={14} vectorEffect="non-scaling-stroke" />
      <path
        d={path + rungs}
        fill="none"
        className={look.stroke}
        strokeWidth={look.width}
        strokeDasharray={look.dash}
        vectorEffect="non-scaling-stroke"
      />
    </g>
  );
}

function rungsOf({ from, to }: LaidLine): string {
  const length = pageLength(from, to);
  const along: Point = [(to[0] - from[0]) / length, (to[1] - from[1]) / length];
  const count = Math.floor(length / RUNG_STEP_MM);
  return Array.from({ length: count }, (_, index) => {
    const at = ((index + 0.5) * length) / count;
    const [x, y] = [from[0] + along[0] * at, from[1] + along[1] * at];
    return `M${x - (along[1] * RUNG_MM) / 2} ${y + (along[0] * RUNG_MM) / 2}L${x + (along[1] * RUNG_MM) / 2} ${y - (along[0] * RUNG_MM) / 2}`;
  }).join('');
}
