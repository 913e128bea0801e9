import type { JointClass } from '@/core/joints/joint';
import type { Point } from '@/core/measure/vector';
import { CLASS_NAMES } from '@/words/stateWords';
import { type LaidLine, pageLength } from './unroll';

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

/** One joint as it is drawn on a face laid flat. */
export function JointLine({
  line,
  faded = false,
  onLight,
}: {
  readonly line: LaidLine;
  readonly faded?: boolean;
  readonly onLight?: (kind: JointClass | undefined) => void;
}) {
  const look = LOOKS[line.class];
  const rungs =
    line.class === 'butt' || line.class === 'backedButt' ? rungsOf(line, line.bevelled ? RUNG_MM / 2 : RUNG_MM) : '';
  const path = `M${line.from.join(' ')}L${line.to.join(' ')}`;
  return (
    // biome-ignore lint/a11y/noStaticElementInteractions: the tally beside it does the same by keyboard
    <g
      opacity={faded ? 0.18 : line.tapedOnly ? 0.45 : 1}
      onMouseEnter={() => onLight?.(line.class)}
      onMouseLeave={() => onLight?.(undefined)}
      data-joint={line.class}
    >
      <title>
        {[CLASS_NAMES[line.class], line.bevelled && 'bevelled', line.tapedOnly && 'taped only']
          .filter(Boolean)
          .join(', ')}
      </title>
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

function rungsOf({ from, to }: LaidLine, wide: number): string {
  const length = pageLength(from, to);
  const along: Point = [(to[0] - from[0]) / length, (to[1] - from[1]) / length];
  const count = Math.floor(length / RUNG_STEP_MM);
  return Array.from({ length: count }, (_, index) => {
    const at = ((index + 0.5) * length) / count;
    const [x, y] = [from[0] + along[0] * at, from[1] + along[1] * at];
    return `M${x - (along[1] * wide) / 2} ${y + (along[0] * wide) / 2}L${x + (along[1] * wide) / 2} ${y - (along[0] * wide) / 2}`;
  }).join('');
}
