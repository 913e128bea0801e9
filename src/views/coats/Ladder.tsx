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
      <ol className="grid gap-x-4 gap-y-2 sm:grid-cols-2 xl:grid-cols-4">
        {byCoat(steps).map(({ before, coat }, index) => (
          <li key={coat?.id ?? index} className="row-span-2 grid grid-rows-subgrid text-sm">
            <div className="space-y-2">
              {before.map((step) => (
                <BesideCoats key={step.kind} words={stepWords(step, unit)} />
              ))}
            </div>
            {coat && (
              <div>
                <p className="font-semibold">{coatName(coat)}</p>
                <p>
                  {toolWords(coat, unit)}, {coat.consistency} {coat.mud} mud
                  {coat.edges ? ', edges only' : ''}
                </p>
                <p className="text-muted">
                  It {purposeOf(coat)}.{' '}
                  {perLengthWords(section.coats.find((own) => own.coat.id === coat.id)?.wet ?? 0, kind, unit)}. Wait{' '}
                  {waitWords(coat)}. Then look: {checkWords(coat, unit)}.
                </p>
              </div>
            )}
          </li>
        ))}
      </ol>
    </div>
  );
}

type Step = ReturnType<typeof ladderFor>[number];
type CoatStep = Extract<Step, { kind: 'coat' }>;

/** Groups the steps of a ladder by coat, each with what comes right before it; what comes after the last coat stands alone. */
function byCoat(steps: readonly Step[]) {
  const groups: { before: Exclude<Step, CoatStep>[]; coat: CoatStep['coat'] | undefined }[] = [];
  let before: Exclude<Step, CoatStep>[] = [];
  for (const step of steps) {
    if (step.kind !== 'coat') {
      before.push(step);
      continue;
    }
    groups.push({ before, coat: step.coat });
    before = [];
  }
  return before.length > 0 ? [...groups, { before, coat: undefined }] : groups;
}

const BesideCoats = ({ words: { name, what } }: { readonly words: ReturnType<typeof stepWords> }) => (
  <div className="border-l-2 border-base-300 pl-2 text-muted">
    <p className="font-semibold text-base-content">{name}</p>
    <p>{what}</p>
  </div>
);
