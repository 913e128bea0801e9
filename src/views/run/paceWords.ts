import type { Pace } from '@/core/rates/learn';

const UNSURE = 1.15;

/** How fast somebody is, over all that they logged: 1.2 × usual, 14 passes. */
export function paceWords(paces: Readonly<Record<string, Pace>> | undefined): string {
  const all = Object.values(paces ?? {});
  if (all.length === 0) return 'nothing known yet';
  const passes = Math.max(...all.map((own) => own.passes));
  const weight = all.reduce((sum, own) => sum + own.passes, 0);
  const middle = Math.exp(all.reduce((sum, own) => sum + own.passes * Math.log(own.pace), 0) / weight);
  const within = Math.min(...all.map((own) => own.within));
  return `${middle.toFixed(2)} × usual, ${passes} ${passes === 1 ? 'pass' : 'passes'}, ${within > UNSURE ? 'not sure yet' : 'fairly sure'}`;
}
