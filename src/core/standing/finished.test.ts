import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { logEntry, MARIT, TOBIN } from '../../../tests/houses/logEntry';
import { roomOf } from '../../../tests/houses/readRooms';
import { takeOff } from '../joints/takeOff';
import type { Entry } from '../log/entry';
import { NOTHING_YET, stateOf } from '../log/stateOf';
import { LEVELS } from '../room/level';
import { finished } from './finished';

const { house, room } = roomOf("Pantry 7'6 x 5' x 8', door 28x80 wall 2");
const { pieces } = takeOff(room, house);
const facesOf = [...new Set(pieces.map(({ face }) => face))];
const [first = ''] = facesOf;
const done = (entries: readonly Entry[]) => {
  const state = stateOf(entries).get('room') ?? NOTHING_YET;
  return { ...finished(state, pieces), state };
};
const coat = (at: number, ids: readonly string[]) =>
  logEntry({
    kind: 'coat',
    at,
    payload: {
      class: 'flat',
      key: 'extra',
      part: 1,
      mud: { kind: 'drying' },
      on: ids.map((id) => ({ id, amount: 1, of: 1 })),
    },
  });
const sanded = (at: number, payload: Extract<Entry, { kind: 'sanded' }>['payload'] = {}) =>
  logEntry({ kind: 'sanded', at, payload });
const checked = (at: number, level: 3 | 4, faces?: string[]) =>
  logEntry({
    kind: 'checked',
    at,
    by: MARIT,
    role: 'lead',
    payload: { level: LEVELS[level], ...(faces ? { faces } : {}) },
  });

describe('a room that is sanded and signed off', () => {
  it('is so when every class on every face is, however it came', () => {
    expect(done([sanded(1)]).sanded?.who).toEqual([TOBIN]);
    const half = [sanded(1, { classes: ['flat', 'fasteners', 'butt'] })];
    expect(done(half).sanded).toBeUndefined();
    const rest = [...new Set(pieces.map((piece) => piece.class))].filter(
      (kind) => !['flat', 'fasteners', 'butt'].includes(kind),
    );
    expect(done([...half, sanded(2, { classes: rest })]).sanded).toBeDefined();
    const byFace = facesOf.map((face, index) => sanded(index, { faces: [face] }));
    expect(done(byFace).sanded).toBeDefined();
    expect(done(byFace.slice(1)).sanded).toBeUndefined();
  });

  it('opens again only where new mud goes on', () => {
    const [piece] = pieces.filter((own) => own.class === 'flat');
    if (!piece) throw new Error('the pantry has flats');
    const before = [sanded(1), checked(2, 4)];
    expect(done(before).checked?.level).toBe(4);
    const after = done([...before, coat(3, [piece.id])]);
    expect(after.sanded).toBeUndefined();
    expect(after.sandedPieces.size).toBe(pieces.length - 1);
    expect(after.sandedPieces.has(piece.id)).toBe(false);
    expect([...after.checkedFaces.keys()].toSorted()).toEqual(facesOf.filter((face) => face !== piece.face).toSorted());
    const mended = done([
      ...before,
      coat(3, [piece.id]),
      sanded(4, { faces: [piece.face] }),
      checked(5, 4, [piece.face]),
    ]);
    expect([mended.sanded !== undefined, mended.checked?.level]).toEqual([true, 4]);
  });

  it('meets the lowest level of its faces', () => {
    const log = [sanded(1), checked(2, 4), checked(3, 3, [first])];
    expect(done(log).checked?.level).toBe(3);
    expect(done(log.slice(0, 2)).checked?.level).toBe(4);
    expect(done([sanded(1), checked(2, 4, [first])]).checked).toBeUndefined();
  });

  it('never has a piece that is sanded after its last coat was put on later, in any history, and voids take back what they took', () => {
    const ids = pieces.map(({ id }) => id);
    const anyStep = fc.oneof(
      fc.record({ kind: fc.constant('coat' as const), ids: fc.subarray(ids, { minLength: 1 }) }),
      fc.record({ kind: fc.constant('sanded' as const), faces: fc.subarray(facesOf, { minLength: 1 }) }),
      fc.record({ kind: fc.constant('checked' as const), faces: fc.subarray(facesOf, { minLength: 1 }) }),
    );
    fc.assert(
      fc.property(fc.array(anyStep, { maxLength: 12 }), (steps) => {
        const entries = steps.map((step, index) =>
          step.kind === 'coat'
            ? coat(index, step.ids)
            : step.kind === 'sanded'
              ? sanded(index, { faces: step.faces })
              : checked(index, 4, step.faces),
        );
        const { sandedPieces, checkedFaces } = done(entries);
        for (const piece of pieces) {
          const coated = steps.findLastIndex((step) => step.kind === 'coat' && step.ids.includes(piece.id));
          const smooth = steps.findLastIndex((step) => step.kind === 'sanded' && step.faces.includes(piece.face));
          expect(sandedPieces.has(piece.id)).toBe(smooth > coated);
        }
        for (const face of facesOf) {
          const coated = steps.findLastIndex(
            (step) =>
              step.kind === 'coat' && pieces.some((piece) => piece.face === face && step.ids.includes(piece.id)),
          );
          const signed = steps.findLastIndex((step) => step.kind === 'checked' && step.faces.includes(face));
          expect(checkedFaces.has(face)).toBe(signed > coated);
        }
        // Everything taken back again is as if nothing had been said.
        const voids = entries.map((entry) =>
          logEntry({ kind: 'void', by: MARIT, role: 'lead', payload: { target: entry.id } }),
        );
        expect(done([...entries, ...voids]).sandedPieces.size).toBe(0);
      }),
      { numRuns: 300 },
    );
  });
});
