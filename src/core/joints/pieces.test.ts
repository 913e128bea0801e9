import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { anyRoom } from '../../../tests/houses/anyRoom';
import { roomOf } from '../../../tests/houses/readRooms';
import { JOINT_CLASSES } from './joint';
import type { Piece } from './pieces';
import { takeOff } from './takeOff';

const HOUSE = { unit: 'in', hang: {} } as const;
const sum = (pieces: readonly Piece[]) => pieces.reduce((total, { amount, faces }) => total + amount / faces.length, 0);

describe('the pieces of a room', () => {
  it('are told apart, lie on its faces, and add up to its tally', () => {
    fc.assert(
      fc.property(anyRoom, (room) => {
        const { pieces, tally, faces } = takeOff(room, HOUSE);
        const known = new Set(faces.map(({ face }) => face.id));
        expect(new Set(pieces.map(({ id }) => id)).size).toBe(pieces.length);
        expect(pieces.filter((piece) => !piece.faces.every((face) => known.has(face)))).toEqual([]);
        for (const kind of JOINT_CLASSES)
          expect(sum(pieces.filter((piece) => piece.class === kind))).toBeCloseTo(tally.classes[kind].length, 6);
        expect(sum(pieces.filter((piece) => piece.class === 'fasteners'))).toBe(tally.fasteners);
        expect(sum(pieces.filter((piece) => piece.class === 'surface'))).toBeCloseTo(tally.paintedArea, 3);
      }),
      { numRuns: 150 },
    );
  });

  it('are two for every angle: one left, one first, one of the ceiling’s', () => {
    fc.assert(
      fc.property(anyRoom, (room) => {
        const sides = takeOff(room, HOUSE).pieces.filter(({ lies }) => lies);
        for (const one of sides) {
          const joint = one.id.split('@')[0];
          const others = sides.filter((other) => other !== one && other.id.split('@')[0] === joint);
          expect(others.map(({ lies }) => lies)).toEqual([
            { left: !one.lies?.left, first: !one.lies?.first, ceilingFirst: !one.lies?.ceilingFirst },
          ]);
        }
      }),
      { numRuns: 100 },
    );
  });

  it('of a plain room: left of a corner is the wall before it, first are the opposite walls', () => {
    const { room, house } = roomOf("Den: 12' x 10' x 8'");
    const corner = takeOff(room, house).pieces.filter(({ id, lies }) => lies && /^w1~w2#/.test(id));
    expect(corner.map(({ face, lies }) => [face, lies?.left, lies?.first])).toEqual([
      ['w1', true, false],
      ['w2', false, true],
    ]);
    const edges = takeOff(room, house).pieces.filter(({ id, lies }) => lies && /^c0~/.test(id));
    const firsts = edges.filter(({ lies }) => lies?.first).map(({ id, face }) => [id.split('#')[0], face]);
    // Along the walls that wait, the ceiling's side goes first.
    expect(Object.fromEntries(firsts)).toEqual({ 'c0~w0': 'w0', 'c0~w1': 'c0', 'c0~w2': 'w2', 'c0~w3': 'c0' });
    expect(edges.filter(({ face, lies }) => lies?.left !== (face !== 'c0'))).toEqual([]);
  });
});
