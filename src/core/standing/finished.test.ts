import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { logEntry, MARIT, TOBIN } from '../../../tests/houses/logEntry';
import { roomOf } from '../../../tests/houses/readRooms';
import { takeOff } from '../joints/takeOff';
import type { Entry } from '../log/entry';
import { NOTHING_YET } from '../log/roomState';
import { stateOf } from '../log/stateOf';
import { type Method, resolveMethod } from '../method/resolveMethod';
import { roomCoats } from '../method/roomCoats';
import type { Level } from '../room/level';
import type { Room } from '../room/schema';
import { appliedCoats } from './appliedCoats';
import { coveredBy } from './coveredBy';
import { finished } from './finished';

const LINE = "Pantry 7'6 x 5' x 8', door 28x80 wall 2";
const METHOD = resolveMethod({ unit: 'in', method: { level: 4 } });
const offOf = (line: string) => {
  const { house, room } = roomOf(line);
  return takeOff(room, house);
};
const { pieces, tally } = offOf(LINE);
/** The faces on which something gets a coat. */
const facesOf = [...new Set(pieces.filter((piece) => piece.class !== 'surface').map(({ face }) => face))];
const [first = ''] = facesOf;

interface Edit {
  readonly method?: Method;
  readonly finish?: Room['finish'];
  readonly line?: string;
}
const done = (entries: readonly Entry[], { method = METHOD, finish, line = LINE }: Edit = {}) => {
  const state = stateOf(entries).get('room') ?? NOTHING_YET;
  return finished(state, appliedCoats(offOf(line).pieces, method, state.applied, finish), method, finish);
};
type Said = Extract<Entry, { kind: 'coat' }>['payload'];
/** A coat as it is recorded: with what it lay on in the room of that day. */
function coat(at: number, said: Pick<Said, 'class' | 'key' | 'side'> & Partial<Said>): Entry {
  const payload: Said = { part: 1, mud: { kind: 'drying' }, ...said };
  const found = coveredBy(payload, pieces, METHOD);
  return logEntry({ kind: 'coat', at, payload: { ...payload, ...(found.ok ? { on: found.on } : {}) } });
}
const ALL = roomCoats(tally, METHOD).map(({ class: kind, key, side }) =>
  coat(0, { class: kind, key, ...(side && { side }) }),
);
const sanded = (at: number, payload: Extract<Entry, { kind: 'sanded' }>['payload'] = {}) =>
  logEntry({ kind: 'sanded', at, payload });
const checked = (at: number, level: Level = 4, faces?: string[]) =>
  logEntry({ kind: 'checked', at, by: MARIT, role: 'lead', payload: { level, ...(faces ? { faces } : {}) } });
const isBoth = (of: ReturnType<typeof done>) => [of.sanded !== undefined, of.checked !== undefined];

describe('a room that is sanded and signed off', () => {
  const before = [...ALL, sanded(1), checked(2)];
  const [lastFlat] = ALL.filter(
    ({ payload }) => 'key' in payload && payload.class === 'flat' && payload.key === 'finish',
  );
  const voided = logEntry({ kind: 'void', at: 3, by: MARIT, role: 'lead', payload: { target: lastFlat?.id ?? '' } });

  it.each<[string, readonly Entry[], Edit, [sanded: boolean, checked: boolean]]>([
    ['nothing was sanded', ALL, {}, [false, false]],
    ['everything was sanded', [...ALL, sanded(1)], {}, [true, false]],
    ['everything was sanded and checked', before, {}, [true, true]],
    ['the room was checked and never sanded', [...ALL, checked(2)], {}, [false, true]],
    ['one class is left', [...ALL, sanded(1, { classes: ['flat', 'fasteners'] })], {}, [false, false]],
    ['one face is left', [...ALL, ...facesOf.slice(1).map((face) => sanded(1, { faces: [face] }))], {}, [false, false]],
    ['it came face by face', [...ALL, ...facesOf.map((face) => sanded(1, { faces: [face] }))], {}, [true, false]],
    ['it was sanded before its last coat', [sanded(-1), ...ALL], {}, [false, false]],
    ['one more coat went on', [...before, coat(3, { class: 'flat', key: 'extra' })], {}, [false, false]],
    ['the last coat of the flats was taken back', [...before, voided], {}, [false, false]],
    ['a coat was never logged', before.filter((entry) => entry !== lastFlat), {}, [false, false]],
    ['the level is raised', before, { method: resolveMethod({ unit: 'in', method: { level: 5 } }) }, [false, false]],
    ['the level is lowered', before, { method: resolveMethod({ unit: 'in', method: { level: 3 } }) }, [true, true]],
    ['one face is to be level 5', before, { finish: { faces: { w0: { level: 5 } } } }, [false, false]],
    [
      'the method asks for one more coat',
      before,
      { method: resolveMethod({ unit: 'in', method: { level: 4, coats: 'three' } }) },
      [false, false],
    ],
    [
      'the method asks for one coat less',
      before,
      { method: resolveMethod({ unit: 'in', method: { level: 4, coats: 'one' } }) },
      [true, true],
    ],
    ['the room is 2 ft longer', before, { line: "Pantry 9'6 x 5' x 8', door 28x80 wall 2" }, [false, false]],
    ['a beaded window was cut in', before, { line: `${LINE}, window 24x36 @48 wall 4 bead` }, [false, false]],
    [
      'it was measured a quarter of an inch longer',
      before,
      { line: "Pantry 7'6 1/4 x 5' x 8', door 28x80 wall 2" },
      [true, true],
    ],
    ['it was checked to less than is agreed', [...ALL, sanded(1), checked(2, 3)], {}, [true, false]],
    ['one face was checked to less since', [...before, checked(3, 3, [first])], {}, [true, false]],
  ])('%s: sanded and checked are what they are', (_case, entries, edit, expected) => {
    expect(isBoth(done(entries, edit))).toEqual(expected);
  });

  it('opens again only where new mud goes on', () => {
    const [piece] = pieces.filter((own) => own.class === 'flat');
    if (!piece) throw new Error('the pantry has flats');
    const extra = coat(3, { class: 'flat', key: 'extra', pieces: [{ id: piece.id }] });
    const after = done([...before, extra]);
    const finishedPieces = pieces.filter((own) => own.class !== 'surface');
    expect(finishedPieces.filter(({ id }) => !after.sandedPieces.has(id))).toEqual([piece]);
    expect(facesOf.filter((face) => !after.checkedFaces.has(face))).toEqual([piece.face]);
    const again = done([...before, extra, sanded(4, { faces: [piece.face] }), checked(5, 4, [piece.face])]);
    expect(isBoth(again)).toEqual([true, true]);
  });

  it('says who sanded it, and the lowest level that its faces met', () => {
    expect(done(before).sanded?.who).toEqual([TOBIN]);
    expect(done(before).checked?.level).toBe(4);
    const finish = { faces: { [first]: { level: 3 as const } } };
    expect(done([...before, checked(3, 3, [first])], { finish }).checked?.level).toBe(3);
  });

  it('is sanded with its skim: nobody sands what lies under it', () => {
    const method = resolveMethod({ unit: 'in', method: { level: 5 } });
    const skimmed = [...ALL, coat(3, { class: 'surface', key: 'skim' })];
    expect(isBoth(done([...skimmed, sanded(4, { classes: ['surface'] })], { method }))).toEqual([true, false]);
    expect(isBoth(done([...skimmed, sanded(4, { classes: ['flat'] })], { method }))).toEqual([false, false]);
  });

  it('has no piece that is sanded before its last coat, in any history, and taken back it is as if nothing had been', () => {
    const finishedPieces = pieces.filter((own) => own.class !== 'surface');
    const flats = finishedPieces.filter((piece) => piece.class === 'flat').map(({ id }) => id);
    const anyStep = fc.oneof(
      fc.record({ kind: fc.constant('coat' as const), ids: fc.subarray(flats, { minLength: 1 }) }),
      fc.record({ kind: fc.constant('sanded' as const), faces: fc.subarray(facesOf, { minLength: 1 }) }),
      fc.record({ kind: fc.constant('checked' as const), faces: fc.subarray(facesOf, { minLength: 1 }) }),
    );
    fc.assert(
      fc.property(fc.array(anyStep, { maxLength: 12 }), (steps) => {
        const entries = steps.map((step, index) =>
          step.kind === 'coat'
            ? coat(index + 1, { class: 'flat', key: 'extra', pieces: step.ids.map((id) => ({ id })) })
            : step.kind === 'sanded'
              ? sanded(index + 1, { faces: step.faces })
              : checked(index + 1, 4, step.faces),
        );
        const { sandedPieces, checkedFaces } = done([...ALL, ...entries]);
        for (const piece of finishedPieces) {
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
        const voids = entries.map((entry) =>
          logEntry({ kind: 'void', by: MARIT, role: 'lead', payload: { target: entry.id } }),
        );
        expect(done([...ALL, ...entries, ...voids]).sandedPieces.size).toBe(0);
      }),
      { numRuns: 150 },
    );
  });
});

describe('the level that is met', () => {
  it('is the lowest of those to which the faces were signed off, whichever was last', () => {
    const others = facesOf.filter((face) => face !== first);
    const both = (one: Level, other: Level) =>
      done([...ALL, sanded(1), checked(2, one, [first]), checked(3, other, others)]).checked;
    expect(both(4, 5)).toMatchObject({ level: 4, at: new Date(3).toISOString() });
    expect(both(5, 4)?.level).toBe(4);
    expect(both(5, 5)?.level).toBe(5);
    expect(both(3, 5)).toBeUndefined();
  });

  it('is not met where a coat was logged later that does not say on what it lay', () => {
    const later = logEntry({
      kind: 'coat',
      at: 4,
      payload: { class: 'flat', key: 'finish', part: 1, mud: { kind: 'drying' }, faces: [first] },
    });
    const of = done([...ALL, sanded(1), checked(2), later]);
    const flats = pieces.filter(({ class: kind, face }) => kind === 'flat' && face === first);
    expect(flats.length).toBeGreaterThan(0);
    for (const { id } of pieces.filter(({ class: kind }) => kind !== 'surface'))
      expect(of.sandedPieces.has(id), id).toBe(!flats.some((flat) => flat.id === id));
    expect(of.checkedFaces.has(first)).toBe(false);
    expect(of.checkedFaces.size).toBe(facesOf.length - 1);
  });
});
