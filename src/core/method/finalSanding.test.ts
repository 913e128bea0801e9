import { describe, expect, it } from 'vitest';
import { sandedWith, sandingOrder } from './finalSanding';
import { usualMethod } from './resolveMethod';

const KINDS = ['flat', 'angle', 'bead', 'offAngle', 'fasteners'] as const;

// Both orders are common practice, no source.
describe('the order of the final sanding', () => {
  it('has the sponge last, or first where the school has it so; the rest stays as it was', () => {
    const method = usualMethod(4);
    expect(sandingOrder(KINDS, method)).toEqual(['flat', 'bead', 'fasteners', 'angle', 'offAngle']);
    const first = { all: { ...method.all, sponge: 'first' as const } };
    expect(sandingOrder(KINDS, first)).toEqual(['angle', 'offAngle', 'flat', 'bead', 'fasteners']);
  });

  it('has the pole everywhere but in corners', () => {
    expect(KINDS.filter((kind) => sandedWith(kind) === 'sponge')).toEqual(['angle', 'offAngle']);
  });
});
