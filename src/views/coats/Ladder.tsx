import type { LengthUnit } from '@/core/measure/unit';
import type { CoatedClass } from '@/core/method/coat';
import { ladderFor } from '@/core/method/ladderFor';
import type { Method } from '@/core/method/resolveMethod';
import { sectionFor } from '@/core/section/sectionFor';
import { SectionGlyph } from '@/ui/section/SectionGlyph';
import { checkWords, coatName, purposeOf, stepWords, toolWords, waitWords } from '@/words/coatWords';
import { perLengthWords } from '@/words/sectionWords';
import { CLASS_NAMES } from '@/words/stateWords';

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
        {steps.map((step, index) =>
          step.kind === 'coat' ? (
            <li key={step.coat.id} className="text-sm">
              <p className="font-semibold">{coatName(step.coat)}</p>
              <p>
                {toolWords(step.coat, unit)}, {step.coat.consistency} {step.coat.mud} mud
                {step.coat.edges ? ', edges only' : ''}
              </p>
              <p className="text-muted">
                It {purposeOf(step.coat)}.{' '}
                {perLengthWords(section.coats.find(({ coat }) => coat.id === step.coat.id)?.wet ?? 0, kind, unit)}. Wait{' '}
                {waitWords(step.coat)}. Then look: {checkWords(step.coat, unit)}.
              </p>
            </li>
          ) : (
            <BesideCoats key={index} words={stepWords(step, unit)} />
          ),
        )}
      </ol>
    </div>
  );
}

const BesideCoats = ({ words: { name, what } }: { readonly words: ReturnType<typeof stepWords> }) => (
  <li className="border-l-2 border-base-300 pl-2 text-sm text-muted">
    <p className="font-semibold text-base-content">{name}</p>
    <p>{what}</p>
  </li>
);
