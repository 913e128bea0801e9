import { MM_PER_FOOT } from '../measure/unit';
import { coatsFor } from '../method/coatsFor';
import { choicesFor } from '../method/resolveMethod';
import { taperPays } from '../work/usualRates';
import type { Found, Looked } from './conflict';

export function crossingButts({ method, kinds }: Looked): readonly Found[] {
  if (method.all.order !== 'noWait' || !kinds.includes('butt')) return [];
  return [
    {
      id: 'order.noWait',
      // In a small room it is crossed anyway, and the cut line mended in the next coat.
      severity: 'doubtful',
      question: 'order',
      class: undefined,
      why: { rule: 'crossedSoft' },
      mend: { choices: { order: 'butts' } },
    },
  ];
}

export function tapeIntoBead({ method, kinds }: Looked): readonly Found[] {
  if (method.all.beads !== 'runIn' || !kinds.includes('bead')) return [];
  return [
    {
      id: 'beads.runIn',
      severity: 'doubtful',
      question: 'beads',
      class: 'bead',
      why: { rule: 'tapeInBead' },
      mend: { choices: { beads: 'before' } },
    },
  ];
}

export function boxedButts({ method, kinds }: Looked): readonly Found[] {
  const { tools, centring } = choicesFor(method, 'butt');
  if (tools !== 'boxes' || centring !== 'none' || !kinds.includes('butt')) return [];
  return [
    {
      id: 'butt.centring',
      severity: 'forbidden',
      question: 'centring',
      class: 'butt',
      why: { rule: 'boxedUncentred' },
      mend: { classes: { butt: { centring: 'sameDay' } } },
    },
  ];
}

/** A taper is judged against what else lays the tape here: what some class is taped with, or an applicator. */
export function taperOnASmallJob({ method, tally, kinds }: Looked): readonly Found[] {
  const tapers = kinds.filter(
    (kind) => choicesFor(method, kind).laying === 'taper' && coatsFor(kind, method)[0]?.tape === 'paper',
  );
  const others = kinds.flatMap((kind) => {
    const { laying } = choicesFor(method, kind);
    return laying === 'taper' || !coatsFor(kind, method)[0]?.tape ? [] : [laying];
  });
  const otherwise = others[0] ?? 'applicator';
  const feet = Object.fromEntries(
    tapers.flatMap((kind) => (kind === 'fasteners' ? [] : [[kind, tally.classes[kind].length / MM_PER_FOOT]])),
  );
  const { wins, least } = taperPays(feet, otherwise);
  const tape = Object.values(feet).reduce((sum, own) => sum + own, 0) * MM_PER_FOOT;
  if (tapers.length === 0 || wins >= 0) return [];
  return [
    {
      id: 'laying.taper',
      severity: 'doubtful',
      question: 'laying',
      class: undefined,
      why: { rule: 'tooSmallForTaper', tape, least: least * MM_PER_FOOT },
      mend: { choices: { laying: otherwise } },
    },
  ];
}
