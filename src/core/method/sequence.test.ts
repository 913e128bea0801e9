import { describe, expect, it } from 'vitest';
import { RUN_GROUPS, type RunGroup } from '../joints/classTraits';
import type { CoatKey } from './coat';
import { type ClassChoices, resolveMethod } from './resolveMethod';
import { placeInSequence, sequenceOf, waitsForFirm } from './sequence';
import { type School, startingMethods } from './startingMethods';

const choicesOf = (school: School, more: object = {}): ClassChoices => {
  const choices = startingMethods('in').find(({ id }) => id === school)?.choices;
  return resolveMethod({ unit: 'in', method: { level: 4, ...choices, ...more } }).all;
};

describe('the order in which a room is run', () => {
  // Common practice, no source: butts, flats, angles and screws are taped in this order, beads before them.
  const TAPE = 'bead butt flat angle fasteners';
  const BUTTS_FIRST = 'butt fasteners flat bead angle surface';
  const BOXES = 'flat butt bead angle fasteners surface';
  it.each([
    ['hand', 'tape', TAPE],
    ['trowel', 'tape', TAPE],
    ['boxes', 'tape', TAPE],
    ['setting', 'tape', TAPE],
    ['metric', 'tape', TAPE],
    ['hand', 'fill', BUTTS_FIRST],
    ['hand', 'finish', BUTTS_FIRST],
    ['trowel', 'fill', BUTTS_FIRST],
    ['boxes', 'fill', BOXES],
    ['boxes', 'finish', BOXES],
    ['setting', 'fill', BUTTS_FIRST],
    ['metric', 'fill', BUTTS_FIRST],
  ] as const)('%s, %s: %s', (school, round, order) => {
    expect(sequenceOf(round, choicesOf(school))).toEqual(order.split(' '));
  });

  it.each([
    [
      'bathrooms begin with the ceiling sides',
      { order: 'ceilingSides' },
      'fill',
      'angle fasteners flat butt bead surface',
    ],
    ['and tape as everywhere', { order: 'ceilingSides' }, 'tape', TAPE],
    ['beads after the tape', { beads: 'after' }, 'tape', 'butt flat angle fasteners bead'],
    ['nobody waits', { order: 'noWait' }, 'fill', BUTTS_FIRST],
  ] as const)('%s', (_words, more, round, order) => {
    expect(sequenceOf(round, choicesOf('hand', more))).toEqual(order.split(' '));
  });

  it('has a place for every class of a round, those that are run together at the same one', () => {
    const choices = choicesOf('boxes');
    expect(placeInSequence('backedButt', 'fill', choices)).toBe(placeInSequence('flat', 'fill', choices));
    expect(placeInSequence('butt', 'fill', choices)).toBeGreaterThan(placeInSequence('flat', 'fill', choices));
  });
});

describe('what waits until something else is firm', () => {
  const CROSSING: readonly RunGroup[] = ['bead', 'butt', 'flat', 'angle'];
  it('is what crosses it after the tape, whichever comes first', () => {
    for (const one of RUN_GROUPS)
      for (const other of RUN_GROUPS) {
        const crosses = one !== other && CROSSING.includes(one) && CROSSING.includes(other);
        for (const round of ['fill', 'finish', 'extra', 'sides'] as const satisfies readonly CoatKey[]) {
          expect(waitsForFirm(one, other, round, choicesOf('hand')), `${one} ${other}`).toBe(crosses);
          expect(waitsForFirm(one, other, round, choicesOf('hand', { order: 'noWait' }))).toBe(false);
        }
        expect(waitsForFirm(one, other, 'tape', choicesOf('hand'))).toBe(false);
      }
  });
});
