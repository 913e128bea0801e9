import type { LengthUnit } from '@/core/measure/unit';
import { type KnifeSeen, knifeCheck } from '@/core/section/knifeCheck';
import { toleranceFor } from '@/core/section/tolerance';
import { findingTitle } from '@/words/knifeWords';
import { widthWords } from '@/words/sectionWords';

const WIDTH = 640;
const HEIGHT = 130;
const FACE = 88;
/** So high a hump is drawn, and so deep a hollow. */
const SHOWN = 42;
const SAMPLES = 48;

/** One joint in section as a knife found it: what lies there, the knife on it, and what is still to be put on. */
export function KnifeDrawing({
  seen,
  length: knife,
  width: now,
  unit,
  className = '',
}: {
  readonly seen: KnifeSeen;
  /** Of the knife, mm. */
  readonly length: number;
  /** How wide the joint was finished, both sides together, mm. */
  readonly width: number;
  readonly unit: LengthUnit;
  readonly className?: string;
}) {
  const finding = knifeCheck(seen, knife, now, toleranceFor());
  const { kind, height, width } = finding;
  const reach = Math.max(width, knife * 1.1, now) * 0.55;
  const rise = SHOWN / Math.max(height, 0.4);
  const at = (x: number, h: number) =>
    `${(WIDTH / 2 + (x / reach) * (WIDTH / 2)).toFixed(1)} ${(FACE - h * rise).toFixed(1)}`;
  const line = (half: number, heightAt: (x: number) => number) =>
    Array.from({ length: SAMPLES + 1 }, (_, index) => {
      const x = -half + (2 * half * index) / SAMPLES;
      return at(x, heightAt(x));
    }).join('L');
  const halves = { now: (kind === 'hollow' ? knife : now) / 2, wide: width / 2 };
  const hill = (half: number) => (x: number) => height * Math.max(0, 1 - Math.abs(x) / half);
  const bowl = (x: number) => -height * Math.max(0, 1 - (x / halves.now) ** 2);
  const surface = kind === 'hollow' ? bowl : hill(halves.now);
  const wanted = kind === 'hollow' ? () => 0 : hill(halves.wide);
  const times = Math.round(rise / (WIDTH / 2 / reach));
  const title = `The joint in section: ${findingTitle(finding, unit).toLowerCase()}${finding.extraCoat ? ` Finished ${widthWords(width, unit)} wide.` : ''}`;
  return (
    <figure className={className}>
      <svg viewBox={`0 0 ${WIDTH} ${HEIGHT}`} role="img" aria-label={title} className="h-auto w-full">
        {finding.extraCoat && (
          <path
            d={`M${line(halves.wide, wanted)}Z`}
            className="fill-coat-2 stroke-secondary"
            strokeDasharray="5 4"
            strokeWidth={1.5}
          />
        )}
        <path
          d={`M0 ${FACE}L${line(halves.now, surface)}L${WIDTH} ${FACE}V${HEIGHT}H0Z`}
          className="fill-board stroke-board-line"
          strokeWidth={1.5}
        />
        <path
          d={`M${WIDTH / 2} ${FACE + 8 + (kind === 'hollow' ? SHOWN * 0.6 : 0)}V${HEIGHT}`}
          className="stroke-board-line"
          strokeWidth={2}
        />
        <path
          d={knifeOn(seen, knife, height, at)}
          className="stroke-base-content"
          strokeWidth={4}
          strokeLinecap="round"
        />
      </svg>
      <figcaption className="text-sm text-muted">
        Heights {times} times as large. {finding.extraCoat ? 'Dashed: what is still to come on. ' : ''}The line is the
        knife.
      </figcaption>
    </figure>
  );
}

/** Where the knife lies: pressed at one end on the wall and over the hump, bridging a hollow, or level on a hump. */
function knifeOn(seen: KnifeSeen, knife: number, height: number, at: (x: number, h: number) => string): string {
  switch (seen.kind) {
    case 'rocks':
      return `M${at(-seen.pivot, 0)}L${at(knife - seen.pivot, (height * knife) / seen.pivot)}`;
    case 'ends':
      return `M${at(-knife / 2, height)}L${at(knife / 2, height)}`;
    case 'light':
    case 'flat':
      return `M${at(-knife / 2, 0)}L${at(knife / 2, 0)}`;
  }
}
