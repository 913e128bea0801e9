import type { LengthUnit } from '@/core/measure/unit';
import type { Choices } from '@/core/room/methodAnswers';
import type { GuideCard } from './guideCard';

/** What else a crew is to know. Common practice, no source; product instructions, local codes and licensed practice come first. */
export function topicCards(
  unit: LengthUnit,
  { firm, recoat, sponge }: { readonly firm: number; readonly recoat: number; readonly sponge: Choices['sponge'] },
): readonly GuideCard[] {
  const inches = (imperial: string, metric: string) => (unit === 'in' ? imperial : metric);
  return [
    topic('mud', 'Drying mud', [
      'It hardens by losing water: it shrinks, and wants the coat below dry. Warm, dry, moving air helps; cold and damp stop it.',
      'Dry is white throughout. Grey is wet, corners last: leave grey corners alone. Your thumb knows better than the clock: press what it found on the morning walk.',
      `A fill of ${inches('3/8 to 1/2 in', '10 to 12 mm')} takes about a week and cracks: setting mud instead.`,
    ]),
    topic('setting', 'Setting mud', [
      `It hardens by reaction. Its clock runs from mixing: it can be worked about as long as the label says, and takes the next coat after about ${recoat} times that; firm is enough, damp is fine.`,
      'Mix no more than you use up in that time; clean the pan between batches, for crumbs drag lines and make the next batch set sooner.',
      `Better than drying mud over ${inches('1/8 in', '3 mm')}; in a thin skim the water leaves before it sets, and the bond is poor.`,
      'It gets hot and it is alkaline: gloves, glasses, water at hand. Never cast it around a hand or a finger.',
    ]),
    topic('mixing', 'Mixing', [
      'Thin for tape, angles above all, and for the last coat; medium for fill; butts not thinned: water adds shrinkage.',
      'Mix until no bubbles remain, and slowly: a fast paddle beats air into it. Wipe the sides of the pail, lay the lid on.',
      'What is left in the pan is thrown away; it never goes back into the pail. Powder: mask on.',
    ]),
    topic('knives', 'Knives', [
      'Wet the blade before loading it. Its bow goes with the curve to the wall, so that the corners do not dig.',
      `In an angle ${inches('4 in', '100 mm')} where the mud of the tape is narrow, ${inches('6 in', '150 mm')} where it spread.`,
      'Press lightly first, then hard. The last pass of a butt goes down the middle, so that the two lines of the knife lie beside the joint.',
      `Knife check: ${inches('12 in', '300 mm')} across the joint. No rock, no light: flat. Where it rocks, the hump stands half of what the other end lifts.`,
    ]),
    topic('boxes', 'Boxes', [
      'Two work together: one runs, one wipes and stays close, for a skim firms sooner than a bed.',
      'The setting is on the card of each coat: lower leaves more. Check it with a blade after the first run.',
      'One lap mark a flat, and that is scraped: else the box rides up on it the next time.',
      `Unbacked butts are boxed on both sides and centred with a ${inches('12 in', '300 mm')} knife once they are stiff: the same day, at least two hours later.`,
    ]),
    topic('order', 'What may be crossed', [
      'Taping: nobody waits. Beads first where the method sets them before tape, then butts, flats, angles, screws.',
      `In later coats butts, beads, flats and angles that meet wait ${firm} min for each other, whichever came first; setting mud until it is set.`,
      'In a small room they may be crossed sooner; the cut line is mended with the next coat.',
    ]),
    topic('sanding', 'Sanding', [
      `The pole keeps ${inches('1/2 to 1 in', '12 to 25 mm')} off an inside corner; a fine sponge does the rest, ${sponge === 'last' ? 'when the pole is through' : 'before the pole comes'}. Along the joint, or 10 to 20° off it.`,
      '100 grit between coats, finer and foam-backed at the end. Stop where tape appears.',
      'Dust off before the next coat: dust weakens it. No sanding beside wet mud or fresh sealer.',
    ]),
    topic('sealing', 'Sealing', [
      'Paper and mud take paint and texture differently: seal both, corner to corner, or every joint shows in low sun, however flat it is.',
      'Sprayed sealer is rolled out after. Only what will be painted is sealed.',
    ]),
    topic('safety', 'Safety', [
      'Sanding and mixing: mask on, room shut off, vacuum or wet; some muds hold silica.',
      'In an old house test for asbestos and lead before sanding anything that was there before.',
      'Stilts are forbidden in some places: local rules first. Open boxes are live until somebody says otherwise. Heaters need air.',
      'Pails and overhead work wear out shoulders and wrists: take turns.',
      'Product instructions, local codes and licensed practice come before anything that is said here.',
    ]),
  ];
}

const topic = (id: string, title: string, what: readonly string[]): GuideCard => ({
  id,
  title,
  kind: undefined,
  what,
  steps: [],
});
