import type { Layout } from '../joints/classTraits';
import type { Coat } from '../method/coat';
import { SHRINKAGE } from './mud';
import { type CoatVolume, HALF_MM, type Plane, STEP_MM } from './plane';

/** Mud thinner than this is a smear that no one measures; mm. */
const SMEAR_MM = 0.02;

/**
 * What the last layer of planes takes.
 *
 * @param inGap what the first coat presses between the boards, wet mm²
 */
export function volumeOf(coat: Coat, layout: Layout, planes: readonly Plane[], inGap: number): CoatVolume {
  const hardened = inGap * (1 - SHRINKAGE[coat.mud]);
  let [wet, dry, left, thickest] = [inGap, hardened, hardened, 0];
  let thinnest = Infinity;
  for (const { from, step, layers } of planes) {
    const layer = layers.at(-1);
    if (!layer) continue;
    for (const [index, height] of layer.wet.entries()) {
      const tape = layer.tape ? (layer.tape.top[index] ?? 0) - (layer.tape.bottom[index] ?? 0) : 0;
      const start = (layer.below[index] ?? 0) + tape;
      const weight = layout === 'round' ? Math.PI * Math.abs(from + index * step) * step : step;
      wet += (height - start) * weight;
      dry += ((layer.dry[index] ?? 0) - start) * weight;
      left += ((layer.sanded[index] ?? 0) - start) * weight;
      const over = height - (layer.tape?.top[index] ?? start);
      thickest = Math.max(thickest, height - start);
      if (over > SMEAR_MM) thinnest = Math.min(thinnest, over);
    }
  }
  const litres = LITRES[layout] / (layout === 'even' ? 2 * HALF_MM + STEP_MM : 1);
  return {
    coat,
    wet: wet * litres,
    shrunk: (wet - dry) * litres,
    sanded: (dry - left) * litres,
    left: left * litres,
    thickest,
    thinnest: Number.isFinite(thinnest) ? thinnest : 0,
  };
}

/** Litres in what is summed: mm² along a metre, mm³ round a screw, mm over a square metre. */
const LITRES: Readonly<Record<Layout, number>> = {
  across: 1e-3,
  corner: 1e-3,
  nose: 1e-3,
  edge: 1e-3,
  round: 1e-6,
  even: 1,
};
