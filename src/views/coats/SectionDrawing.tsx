import type { LengthUnit } from '@/core/measure/unit';
import type { Section } from '@/core/section/buildSection';
import { CHECK_KNIFE_MM, type Judgement } from '@/core/section/judgeSection';
import { backOfBoards, frameFor, layerPath, placeOn, surfacePath, tapePath } from '@/ui/section/sectionPaths';
import { longKnife } from '@/words/coatWords';

const WIDTH = 640;
const HEIGHT = 240;
const TONES = ['fill-coat-1', 'fill-coat-2', 'fill-coat-3', 'fill-coat-4'];

/** The section to scale across, its height exaggerated, up to a coat; the knife lies on what is there in the end. */
export function SectionDrawing({
  section,
  shown,
  wet,
  judgement,
  title,
  unit,
}: {
  readonly section: Section;
  /** How many coats are on. */
  readonly shown: number;
  readonly wet: boolean;
  readonly judgement: Judgement;
  readonly title: string;
  readonly unit: LengthUnit;
}) {
  const frame = frameFor(section, WIDTH, HEIGHT, 1, section.layout === 'across' ? judgement.knife.lift / 2 + 0.3 : 0);
  const times = Math.round((frame.rise / (WIDTH / 2 / frame.reach)) * 1);
  const coats = section.coats.slice(0, shown).map(({ coat }) => coat);
  const whole = shown === section.coats.length && !wet;
  return (
    <figure>
      <svg viewBox={`0 0 ${WIDTH} ${HEIGHT}`} className="h-auto w-full" role="img" aria-label={title}>
        {section.planes.map((plane, side) => {
          const place = placeOn(section.layout, side, frame);
          const boards = surfacePath(plane, plane.board, place, frame.reach, 80);
          const on = plane.layers.filter((layer) => coats.some((coat) => layer.coat === coat.id));
          return (
            <g key={side}>
              {on.map((layer, index) => (
                <path
                  key={layer.coat}
                  d={layerPath(plane, layer, place, frame, wet && index === on.length - 1, 120)}
                  className={`${wet && index === on.length - 1 ? 'fill-[url(#coat-wet)]' : TONES[index % TONES.length]} stroke-base-content`}
                  strokeWidth={1}
                />
              ))}
              <path
                d={`${boards}${backOfBoards(section.layout, side, frame)}`}
                className="fill-board stroke-board-line"
                strokeWidth={1.5}
              />
              {on.map((layer) => (
                <path
                  key={layer.coat}
                  d={tapePath(plane, layer, place, frame)}
                  className="fill-none stroke-primary"
                  strokeWidth={4}
                />
              ))}
            </g>
          );
        })}
        {section.layout === 'across' && (
          <path d={`M${WIDTH / 2} ${frame.plane + 40}V${HEIGHT}`} className="stroke-board-line" strokeWidth={2} />
        )}
        {whole && section.layout === 'across' && <Knife section={section} judgement={judgement} frame={frame} />}
      </svg>
      <figcaption className="text-sm text-muted">
        To scale across, heights {times} times as large.{' '}
        {whole && section.layout === 'across'
          ? `The line above is a ${longKnife(unit)} laid on it, pressed down at its left end.`
          : ''}
      </figcaption>
    </figure>
  );
}

function Knife({
  section,
  judgement,
  frame,
}: {
  readonly section: Section;
  readonly judgement: Judgement;
  readonly frame: ReturnType<typeof frameFor>;
}) {
  const [plane] = section.planes;
  if (!plane) return null;
  const place = placeOn('across', 0, frame);
  const at = (x: number) => plane.top[Math.round((x - plane.from) / plane.step)] ?? 0;
  const half = CHECK_KNIFE_MM / 2;
  const [x0, y0] = place(-half, at(-half));
  const [x1, y1] = place(half, at(half) + judgement.knife.lift);
  return <path d={`M${x0} ${y0}L${x1} ${y1}`} className="stroke-base-content" strokeWidth={3} strokeLinecap="round" />;
}
