import { renderToStaticMarkup } from 'react-dom/server';
import { describe, expect, it } from 'vitest';
import { KnifeDrawing } from './KnifeDrawing';

/** The points of the last path, which is the knife. */
function knifeIn(markup: string): readonly (readonly [number, number])[] {
  const paths = [...markup.matchAll(/ d="([^"]+)"/g)].map(([, d]) => d ?? '');
  return [...(paths.at(-1) ?? '').matchAll(/(-?[\d.]+) (-?[\d.]+)/g)].map(
    ([, x, y]) => [Number(x), Number(y)] as const,
  );
}
const draw = (seen: Parameters<typeof KnifeDrawing>[0]['seen'], width = 300) =>
  renderToStaticMarkup(KnifeDrawing({ seen, length: 300, width, unit: 'mm' }));

describe('the joint under a knife', () => {
  it('lies on one end and on the hump, and the other end stands off by what it lifts', () => {
    const [pressed, lifted] = knifeIn(draw({ kind: 'rocks', lift: 4, pivot: 100 }));
    // A third of the way over to the hump: the end stands three times as high as the hump.
    const [left, right] = [320 - (pressed?.[0] ?? 0), (lifted?.[0] ?? 0) - 320];
    expect(right / left).toBeCloseTo(2, 1);
    expect(88 - (lifted?.[1] ?? 0)).toBeCloseTo(3 * 42, 0);
    expect(pressed?.[1]).toBe(88);
  });

  it('bridges a hollow, and shows what is to come on only where a coat is', () => {
    const hollow = draw({ kind: 'light', gap: 3 });
    expect(knifeIn(hollow).map(([, y]) => y)).toEqual([88, 88]);
    expect(hollow).toContain('stroke-dasharray');
    const wide = draw({ kind: 'ends', gap: 0.2 }, 900);
    expect(wide).not.toContain('stroke-dasharray');
    expect(wide).toContain('a hump of');
  });
});
