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
      why: 'what crosses a butt before it is firm cuts a line across it: mend it in the next coat',
      mend: { words: 'Let butts firm for 30 min', patch: { choices: { order: 'butts' } } },
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
      why: 'tape run into a bead lifts its flange and stands proud under the first fill',
      mend: { words: 'Stop the tape short of it', patch: { choices: { beads: 'before' } } },
    },
  ];
}

export function boxedButts({ method, kinds }: Looked): readonly Found[] {
  const { tools, centring } = choicesFor(method, 'butt');
  if (tools !== 'boxes' || centring === 'sameDay' || !kinds.includes('butt')) return [];
  return [
    {
      id: 'butt.centring',
      severity: 'forbidden',
      question: 'centring',
      class: 'butt',
      why: 'a box leaves a crest on an unbacked butt: it has to be centred the same day',
      mend: { words: 'Centre them the same day', patch: { classes: { butt: { centring: 'sameDay' } } } },
    },
  ];
}

export function taperOnASmallJob({ method, tally, kinds }: Looked): readonly Found[] {
  const tapered = kinds.filter((kind: CoatedClass) => coatsFor(kind, method)[0]?.toolKind === 'taper');
  const feet = tapedLength(tally) / MM_PER_FOOT;
  if (tapered.length === 0 || feet >= taperBreakEvenFeet()) return [];
  return [
    {
      id: 'laying.taper',
      severity: 'doubtful',
      question: 'laying',
      class: undefined,
      why: `${Math.round(feet)} ft of tape: below ${Math.round(taperBreakEvenFeet())} ft setting up and cleaning out the taper lose more than it wins`,
      mend: { words: 'By hand from the belt', patch: { choices: { laying: 'belt' } } },
    },
  ];
}
