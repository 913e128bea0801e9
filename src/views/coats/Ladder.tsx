import type { LengthUnit } from '@/core/measure/unit';
import type { CoatedClass } from '@/core/method/coat';
import { ladderFor } from '@/core/method/ladderFor';
import type { Method } from '@/core/method/resolveMethod';
import { sectionFor } from '@/core/section/sectionFor';
import { SectionGlyph } from '@/ui/section/SectionGlyph';
import { perLengthWords } from '@/ui/section/sectionWords';
import { CLASS_NAMES } from '@/ui/state/words';
import { inUnit } from '@/ui/unitWords';

/** The ladder of a class: its coats, what is done between them, and what to look at before the next. */
export function Ladder({
  kind,
  method,
  unit,
  open,
}: {
  readonly kind: CoatedClass;
  readonly method: Method;
  readonly unit: LengthUnit;
  readonly open: () => void;
}) {
  const steps = ladderFor(kind, method);
  if (steps.length === 0) return null;
  const section = sectionFor(kind, method);
  const coats = section.coats.map(({ coat }) => coat);
  return (
    <div className="grid gap-x-5 gap-y-2 border-t border-base-300 py-3 md:grid-cols-[9rem_1fr]">
      <div>
        <h3 className="font-semibold">{CLASS_NAMES[kind]}</h3>
        <SectionGlyph
          kind={kind}
          layers={coats.map(({ key, side }) => ({ phase: 'dry', key, side }))}
          className="h-14 w-30"
        />
        <button type="button" className="link text-sm text-primary" onClick={open}>
          Look at its section
        </button>
      </div>
      <ol className="grid gap-x-4 gap-y-2 sm:grid-cols-2 xl:grid-cols-3">
        {steps.map((step) =>
          step.kind === 'coat' ? (
            <li key={step.coat.id} className="text-sm">
              <p className="font-semibold">{step.coat.name}</p>
              <p>
                {inUnit(step.coat.tool, unit)}, {step.coat.consistency} {step.coat.mud} mud
                {step.coat.edges ? ', edges only' : ''}
              </p>
              <p className="text-muted">
                It {step.coat.purpose}.{' '}
                {perLengthWords(section.coats.find(({ coat }) => coat.id === step.coat.id)?.wet ?? 0, kind, unit)}. Wait{' '}
                {step.coat.wait}. Then look: {inUnit(step.coat.check, unit)}.
              </p>
            </li>
          ) : (
            <li key={`${step.kind} ${step.name}`} className="border-l-2 border-base-300 pl-2 text-sm text-muted">
              <p className="font-semibold text-base-content">{step.name}</p>
              <p>{inUnit(step.what, unit)}</p>
            </li>
          ),
        )}
      </ol>
    </div>
  );
}
