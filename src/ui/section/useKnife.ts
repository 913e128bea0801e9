import { useState } from 'react';
import { parseLength } from '@/core/measure/parseLength';
import { type LengthUnit, MM_PER_INCH } from '@/core/measure/unit';
import type { KnifeSeen } from '@/core/section/knifeCheck';

/** What somebody types of a knife laid across a joint, and what is wrong with it. */
export interface KnifeTyped {
  readonly kind: KnifeSeen['kind'];
  readonly knife: string;
  readonly amount: string;
  readonly pivot: string;
}
export type KnifeFaults = Readonly<Partial<Record<Exclude<keyof KnifeTyped, 'kind'>, string | undefined>>>;

/** A knife laid across a joint, as it is typed, and as it is read where all of it can be: its length in mm, and what was seen. */
export function useKnife(unit: LengthUnit) {
  const [typed, setTyped] = useState<KnifeTyped>({
    kind: 'rocks',
    knife: unit === 'in' ? '12' : '300',
    amount: unit === 'in' ? '1/8' : '3',
    pivot: '',
  });
  return { unit, typed, change: (part: Partial<KnifeTyped>) => setTyped({ ...typed, ...part }), ...read(typed, unit) };
}

function read(
  { kind, knife, amount, pivot }: KnifeTyped,
  unit: LengthUnit,
): {
  readonly faults: KnifeFaults;
  readonly reading: { readonly length: number; readonly seen: KnifeSeen } | undefined;
} {
  const [length, height, pivotAt] = [knife, amount, pivot].map((text) => parseLength(text, unit));
  const mm = (of: typeof length) => (of?.ok ? of.mm : 0);
  const faults: KnifeFaults = {
    knife: fault(
      length,
      4 * MM_PER_INCH,
      48 * MM_PER_INCH,
      `a knife is ${unit === 'in' ? '4 to 48 in' : '100 to 1,200 mm'} long`,
    ),
    amount:
      kind === 'flat'
        ? undefined
        : fault(height, 0.01, 40, `that is no finished joint: at most ${unit === 'in' ? '1 1/2 in' : '40 mm'}`),
    pivot:
      kind === 'rocks' && pivot.trim() !== ''
        ? fault(pivotAt, 1, mm(length), 'that is not under the knife')
        : undefined,
  };
  if (Object.values(faults).some((reason) => reason !== undefined)) return { faults, reading: undefined };
  const under = pivot.trim() !== '' ? mm(pivotAt) : mm(length) / 2;
  const seen: KnifeSeen =
    kind === 'flat'
      ? { kind }
      : kind === 'rocks'
        ? { kind, lift: mm(height), pivot: under }
        : { kind, gap: mm(height) };
  return { faults, reading: { length: mm(length), seen } };
}

function fault(
  reading: ReturnType<typeof parseLength> | undefined,
  least: number,
  most: number,
  reason: string,
): string | undefined {
  if (!reading?.ok) return reading?.reason;
  return reading.mm < least || reading.mm > most ? reason : undefined;
}
