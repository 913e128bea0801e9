'use client';

import type { MethodPatch } from '@/core/estimate/methodPatch';
import { isAngle } from '@/core/joints/classTraits';
import { fromMm, type LengthUnit, MM_PER_INCH } from '@/core/measure/unit';
import { choicesFor, type Method } from '@/core/method/resolveMethod';
import type { MethodClass } from '@/core/room/methodAnswers';
import { finishedWidth } from '@/core/section/finishedWidth';
import { type KnifeFinding, knifeCheck } from '@/core/section/knifeCheck';
import { toleranceFor } from '@/core/section/tolerance';
import { KnifeDrawing } from '@/ui/section/KnifeDrawing';
import { KnifeFields } from '@/ui/section/KnifeFields';
import { useKnife } from '@/ui/section/useKnife';
import { WaysOut } from '@/ui/section/WaysOut';
import { findingTitle, findingWords } from '@/words/knifeWords';
import { CLASS_NAMES } from '@/words/stateWords';

/** A knife laid across a joint: what was seen, what that means, and one touch that takes it over for the class. */
export function KnifeCheck({
  kind,
  method,
  unit,
  where,
  mayEdit,
  use,
}: {
  readonly kind: MethodClass;
  readonly method: Method;
  readonly unit: LengthUnit;
  /** The room or house that it is taken over for. */
  readonly where: string;
  readonly mayEdit: boolean;
  readonly use: (patch: MethodPatch) => void;
}) {
  const knife = useKnife(unit);
  if (isAngle(kind))
    return (
      <section className="sheet space-y-3 p-4" aria-label="Light check">
        <h2>Inside corners</h2>
        <p>
          Do not lay a knife across an inside corner. Look along it with a light: it runs straight, both edges vanish
          and the corner is clean, slightly eased.
        </p>
      </section>
    );
  const now = finishedWidth(kind, method);
  const finding = knife.reading && knifeCheck(knife.reading.seen, knife.reading.length, now, toleranceFor());
  return (
    <section className="sheet space-y-3 p-4" aria-label="Knife check">
      <h2>Knife check</h2>
      <p className="text-sm text-muted">A knife laid across {CLASS_NAMES[kind].toLowerCase()}, as finished now.</p>
      <KnifeFields {...knife} />
      {finding && (
        <p aria-live="polite">
          <strong>{findingTitle(finding, unit)}</strong> {findingWords(finding, kind, unit)}
        </p>
      )}
      {finding?.cutBack && <WaysOut finding={finding} length={BUTT_MM} now={now} method={method} unit={unit} />}
      {knife.reading && <KnifeDrawing {...knife.reading} width={now} unit={unit} />}
      {finding && mayEdit && finding.kind !== 'flat' && !finding.cutBack && (
        <button type="button" className="btn btn-primary" onClick={() => use(patchFor(kind, finding, method, unit))}>
          Found so: {CLASS_NAMES[kind].toLowerCase()} in {where}
        </button>
      )}
    </section>
  );
}

/** A butt is as long as a board is wide. */
const BUTT_MM = 48 * MM_PER_INCH;

/** What was found, as the joint of the class: its hump before mud, the width that it takes, and the coat more. */
function patchFor(kind: MethodClass, finding: KnifeFinding, method: Method, unit: LengthUnit): MethodPatch {
  const inUnit = (mm: number) => Math.round(fromMm(mm, unit) * 1000) / 1000;
  const coats = finding.extraCoat ? ({ coats: 'three' } as const) : {};
  if (finding.kind === 'hollow') return { classes: { [kind]: coats } };
  const width = Math.round(fromMm(finding.width, unit));
  const before = choicesFor(method, kind).found.hump;
  return {
    classes: {
      [kind]: {
        ...coats,
        width,
        ...(kind === 'butt' ? { found: { hump: inUnit(Math.max(before ?? 0, finding.height)) } } : {}),
      },
    },
  };
}
