import { describe, expect, it } from 'vitest';
import { flatPiece } from '../../../tests/houses/flatPiece';
import { resolveMethod, usualMethod } from '../method/resolveMethod';
import type { MethodChoices } from '../room/methodSchema';
import { amountCovered, coveredBy, putOnBy } from './coveredBy';

const METHOD = usualMethod(4);
const FLAT = flatPiece('w0#v1219.0@w0', 3000.04);
const OTHER = flatPiece('w1#v1219.0@w1', 2000);
const LEFT = flatPiece('w0~w1#0@w0', 2400, {
  class: 'angle',
  faces: ['w0', 'w1'],
  lies: { left: true, first: true, ceilingFirst: true },
});
const RIGHT = flatPiece('w0~w1#0@w1', 2400, {
  class: 'angle',
  faces: ['w0', 'w1'],
  lies: { left: false, first: false, ceilingFirst: false },
});
const SURFACE = flatPiece('surface@w0', 8_000_000.4, { class: 'surface' });
const PIECES = [FLAT, OTHER, LEFT, RIGHT, SURFACE];
const said = (more: object) => ({ class: 'flat', key: 'tape', part: 1, mud: { kind: 'drying' }, ...more }) as never;
const on = (more: object) => {
  const covered = coveredBy(said(more), PIECES, METHOD);
  return covered.ok ? covered.on.map(({ id, amount, of }) => [id, amount, of]) : covered.problem;
};

describe('what a coat covers', () => {
  it.each([
    [
      'its class',
      {},
      [
        [FLAT.id, 3000, 3000],
        [OTHER.id, 2000, 2000],
      ],
    ],
    [
      'a part of it',
      { part: 0.25 },
      [
        [FLAT.id, 750, 3000],
        [OTHER.id, 500, 2000],
      ],
    ],
    ['one face', { faces: ['w1'] }, [[OTHER.id, 2000, 2000]]],
    ['one side of an angle', { class: 'angle', key: 'fill', side: 'first' }, [[LEFT.id, 2400, 2400]]],
    ['the other side', { class: 'angle', key: 'fill', side: 'second' }, [[RIGHT.id, 2400, 2400]]],
    [
      'both',
      { class: 'angle' },
      [
        [LEFT.id, 2400, 2400],
        [RIGHT.id, 2400, 2400],
      ],
    ],
    ['the surface, in whole mm²', { class: 'surface', key: 'skim' }, [[SURFACE.id, 8_000_000, 8_000_000]]],
    ['a piece that is named', { pieces: [{ id: OTHER.id }] }, [[OTHER.id, 2000, 2000]]],
    ['a length of it', { pieces: [{ id: OTHER.id, amount: 500 }] }, [[OTHER.id, 500, 2000]]],
    ['a length measured a little long', { pieces: [{ id: OTHER.id, amount: 2019 }] }, [[OTHER.id, 2000, 2000]]],
    ['just as long as is let pass', { pieces: [{ id: OTHER.id, amount: 2020 }] }, [[OTHER.id, 2000, 2000]]],
  ] as const)('%s', (_words, more, covered) => {
    expect(on(more)).toEqual(covered);
  });

  it.each([
    ['a piece that is not there', { pieces: [{ id: OTHER.id }, { id: 'x@w9' }] }, 'payload.pieces[1].id', 'no piece'],
    ['a piece of another class', { pieces: [{ id: LEFT.id }] }, 'payload.pieces[0].id', 'another class (angle)'],
    [
      'the other side',
      { class: 'angle', key: 'fill', side: 'first', pieces: [{ id: RIGHT.id }] },
      'payload.pieces[0].id',
      'not of the side "first"',
    ],
    ['more than there is', { pieces: [{ id: OTHER.id, amount: 2021 }] }, 'payload.pieces[0].amount', '2000'],
  ] as const)('is refused for %s', (_words, more, path, reason) => {
    expect(on(more)).toEqual({ path, reason: expect.stringContaining(reason) });
  });

  it('counts both sides of a joint once, and each side whole', () => {
    const covered = (side?: 'first') => ({ side, on: [LEFT, RIGHT].map(({ id }) => ({ id, amount: 2400, of: 2400 })) });
    expect(amountCovered(covered())).toBe(2400);
    expect(amountCovered(covered('first'))).toBe(4800);
    expect(amountCovered({})).toBe(0);
  });
});

describe('with what a coat is put on', () => {
  const DRYING = { kind: 'drying' } as const;
  const by = (more: object, choices: MethodChoices = {}, level: 0 | 4 = 4) =>
    putOnBy(
      { class: 'flat', key: 'tape', mud: DRYING, ...more } as Parameters<typeof putOnBy>[0],
      resolveMethod({ unit: 'in', method: { ...choices, level } }),
    );
  it.each([
    ['tape', {}, {}, { product: 'taping', tape: 'paper' }],
    ['tape in one mud', {}, { product: 'allPurpose' }, { product: 'all-purpose', tape: 'paper' }],
    ['mesh', {}, { tape: 'mesh', mud: 'settingTape' }, { product: 'setting', tape: 'mesh' }],
    ['setting mud by the bag', { mud: { kind: 'setting', minutes: 20 } }, {}, { product: 'setting', tape: 'paper' }],
    ['fill', { key: 'fill' }, {}, { product: 'all-purpose' }],
    ['a coat that is not asked for goes by the last one', { key: 'extra' }, {}, { product: 'topping' }],
    ['fasteners take no tape', { class: 'fasteners' }, {}, { product: 'taping' }],
    ['nor does a bead', { class: 'bead' }, {}, { product: 'taping' }],
    ['nor the surface', { class: 'surface', key: 'tape' }, { last: 'skim' }, { product: 'topping' }],
  ] as const)('%s', (_words, more, choices, put) => {
    expect(by(more, choices)).toEqual(put);
  });

  it('is all-purpose and paper where the method asks for no coat', () => {
    expect(by({}, {}, 0)).toEqual({ product: 'all-purpose', tape: 'paper' });
  });
});
