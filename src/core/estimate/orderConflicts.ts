import { tapedLength } from '../joints/tally';
import { MM_PER_FOOT } from '../measure/unit';
import type { CoatedClass } from '../method/coat';
import { coatsFor } from '../method/coatsFor';
import { choicesFor } from '../method/resolveMethod';
import { taperBreakEvenFeet } from '../work/usualRates';
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

export function taperOnASmallJob({ method, tally, kinds }: Looked): readonly Found[] {
  const tapered = kinds.filter((kind: CoatedClass) => coatsFor(kind, method)[0]?.tool.kind === 'taper');
  const tape = tapedLength(tally);
  if (tapered.length === 0 || tape / MM_PER_FOOT >= taperBreakEvenFeet()) return [];
  return [
    {
      id: 'laying.taper',
      severity: 'doubtful',
      question: 'laying',
      class: undefined,
      why: { rule: 'tooSmallForTaper', tape, least: taperBreakEvenFeet() * MM_PER_FOOT },
      mend: { choices: { laying: 'belt' } },
    },
  ];
}
