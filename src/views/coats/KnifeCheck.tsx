'use client';

import { useState } from 'react';
import type { MethodPatch } from '@/core/estimate/methodPatch';
import { parseLength } from '@/core/measure/parseLength';
import { fromMm, type LengthUnit, MM_PER_INCH } from '@/core/measure/unit';
import { choicesFor, type Method } from '@/core/method/resolveMethod';
import type { MethodClass } from '@/core/room/methodAnswers';
import { judgeSection } from '@/core/section/judgeSection';
import { type KnifeFinding, type KnifeSeen, knifeCheck } from '@/core/section/knifeCheck';
import { sectionFor } from '@/core/section/sectionFor';
import { toleranceFor } from '@/core/section/tolerance';
import { smallWords } from '@/ui/lengthWords';
import { SelectField } from '@/ui/SelectField';
import { CLASS_NAMES } from '@/ui/state/words';
import { TextField } from '@/ui/TextField';
import { perLengthWords, widthWords } from './sectionWords';

const SEEN = [
  ['rocks', 'It rocks: pressed at one end, the other lifts'],
  ['light', 'It lies still, light shows under its middle'],
  ['ends', 'Held level, light shows under both ends'],
  ['flat', 'No rock, no light'],
] as const;

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
  const [knife, setKnife] = useState(unit === 'in' ? '12' : '300');
  const [seenKind, setSeen] = useState<KnifeSeen['kind']>('rocks');
  const [amount, setAmount] = useState(unit === 'in' ? '1/8' : '3');
  const [pivot, setPivot] = useState('');
  const length = parseLength(knife, unit);
  const pivotAt = parseLength(pivot, unit);
  const height = parseLength(amount, unit);
  const tolerance = toleranceFor();
  const now = judgeSection(sectionFor(kind, method), tolerance).width;
  const lengthFault = fault(
    length,
    4 * MM_PER_INCH,
    48 * MM_PER_INCH,
    `a knife is ${unit === 'in' ? '4 to 48 in' : '100 to 1,200 mm'} long`,
  );
  const heightFault =
    seenKind === 'flat'
      ? undefined
      : fault(height, 0.01, 40, `that is no finished joint: at most ${unit === 'in' ? '1 1/2 in' : '40 mm'}`);
  const pivotFault =
    seenKind === 'rocks' && pivot.trim() !== ''
      ? fault(pivotAt, 1, length.ok ? length.mm : 0, 'that is not under the knife')
      : undefined;
  const sound = length.ok && !lengthFault && !pivotFault && (seenKind === 'flat' || (height.ok && !heightFault));
  const seen = (): KnifeSeen => {
    const amountMm = height.ok ? height.mm : 0;
    if (seenKind === 'flat') return { kind: 'flat' };
    if (seenKind !== 'rocks') return { kind: seenKind, gap: amountMm };
    const middle = length.ok ? length.mm / 2 : 0;
    return { kind: 'rocks', lift: amountMm, pivot: pivot.trim() !== '' && pivotAt.ok ? pivotAt.mm : middle };
  };
  const finding = sound && length.ok ? knifeCheck(seen(), length.mm, now, tolerance) : undefined;
  return (
    <section className="sheet space-y-3 p-4" aria-label="Knife check">
      <h2>Knife check</h2>
      <p className="text-sm text-muted">A knife laid across {CLASS_NAMES[kind].toLowerCase()}, as finished now.</p>
      <SelectField
        label="What you see"
        value={seenKind}
        options={SEEN}
        onChange={(event) => setSeen(SEEN.find(([own]) => own === event.target.value)?.[0] ?? 'rocks')}
      />
      <div className="grid grid-cols-2 gap-3">
        <TextField label="Knife" value={knife} error={lengthFault} onChange={(event) => setKnife(event.target.value)} />
        {seenKind !== 'flat' && (
          <TextField
            label={seenKind === 'rocks' ? 'It lifts by' : 'Light is'}
            value={amount}
            error={heightFault}
            onChange={(event) => setAmount(event.target.value)}
          />
        )}
        {seenKind === 'rocks' && (
          <TextField
            label="It rocks on a point"
            placeholder="its middle"
            hint="from the pressed end"
            value={pivot}
            error={pivotFault}
            onChange={(event) => setPivot(event.target.value)}
          />
        )}
      </div>
      {finding && (
        <p aria-live="polite">
          <strong>{findingTitle(finding, unit)}</strong> {findingWords(finding, kind, unit)}
        </p>
      )}
      {finding && mayEdit && finding.kind !== 'flat' && !finding.tooMuch && (
        <button type="button" className="btn btn-primary" onClick={() => use(patchFor(kind, finding, method, unit))}>
          Found so: {CLASS_NAMES[kind].toLowerCase()} in {where}
        </button>
      )}
    </section>
  );
}

function fault(
  reading: ReturnType<typeof parseLength>,
  least: number,
  most: number,
  reason: string,
): string | undefined {
  if (!reading.ok) return reading.reason;
  return reading.mm < least || reading.mm > most ? reason : undefined;
}

function findingTitle({ kind, height }: KnifeFinding, unit: LengthUnit): string {
  if (kind === 'flat') return 'Flat.';
  return kind === 'hump' ? `A hump of ${smallWords(height, unit)}.` : `A hollow of ${smallWords(height, unit)}.`;
}

function findingWords(finding: KnifeFinding, kind: MethodClass, unit: LengthUnit): string {
  if (finding.kind === 'flat') return 'Nothing to do; pinholes would say that there is a hollow all the same.';
  if (finding.tooMuch) return 'That is more than any width hides: bring the wall around it up, or take the board out.';
  const mud = `${perLengthWords(finding.extraMud, kind, unit)} more mud`;
  if (finding.kind === 'hollow')
    return `${finding.extraCoat ? 'One more coat in the middle' : 'The next coat takes it'}; ${mud}.`;
  return finding.extraCoat
    ? `Widen, do not heighten: ${widthWords(finding.width, unit)} over all, one more coat, ${mud}.`
    : 'Wide enough as it is.';
}

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
