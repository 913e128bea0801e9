import { describe, expect, it } from 'vitest';
import { coat, EVERY_COAT, hoursIn, recordedRoom, type Sent, WITH_BUTTS } from '../../../tests/houses/recordedRoom';
import { handOverOf } from '../inspect/handOver';
import type { Piece } from '../joints/pieces';
import type { CoatEntry } from '../log/entry';
import type { RoomSnapshot } from '../snapshot/houseSnapshot';
import { movedFaces } from './movedFaces';

const piecesOf = (room: object) => recordedRoom([], 0, { room }).room.pieces;
const on = (...ids: readonly string[]) =>
  [{ payload: { on: ids.map((id) => ({ id, amount: 1, of: 1 })) } }] as unknown as readonly CoatEntry[];
const outline = (length: number, width = 120) => ({
  outline: [
    [0, 0],
    [length, 0],
    [length, width],
    [0, width],
  ],
});
/** Its long walls have a butt in each course. */
const LONG = piecesOf(WITH_BUTTS);
const seam = LONG.find(({ id }) => id.startsWith('w0#'))?.id ?? '';

describe('faces whose joints moved under coats', () => {
  it('are none where nothing moved, or nothing is on', () => {
    expect(movedFaces(LONG, piecesOf(WITH_BUTTS), on(seam))).toEqual([]);
    expect(movedFaces(LONG, piecesOf(outline(260)), [])).toEqual([]);
  });

  it('are none where a board was measured an inch from where it was', () => {
    const butt = (at: number): Piece => ({
      id: `w0#u${at}.0@w0`,
      class: 'butt',
      face: 'w0',
      faces: ['w0'],
      amount: 1219,
      crosses: [],
      lies: undefined,
    });
    expect(movedFaces([butt(1000)], [butt(1025)], on('w0#u1000.0@w0'))).toEqual([]);
    expect(movedFaces([butt(1000)], [butt(1100)], on('w0#u1000.0@w0'))).toEqual(['w0']);
    expect(movedFaces([butt(1000)], [butt(1000), butt(2200)], on('w0#u1000.0@w0'))).toEqual(['w0']);
    expect(movedFaces([butt(1000), butt(2200)], [butt(1000)], on('w0#u1000.0@w0'))).toEqual(['w0']);
  });

  it('are those on which something is: another face was not coated', () => {
    const upright = { ...outline(144), hang: { walls: 'upright' } };
    const after = piecesOf(upright);
    const before = piecesOf(outline(144));
    expect(movedFaces(before, after, on('w0#v1219.0@w0'))).toEqual(['w0']);
    expect(movedFaces(before, after, on('w0#v1219.0@w0', 'fasteners@w2')).toSorted()).toEqual(['w0', 'w2']);
  });

  it('are none whose boards were taken away before', () => {
    const gone = on('w0#v1219.0@w0').map((entry) => ({ ...entry, gone: ['w0'] }));
    expect(movedFaces(piecesOf(outline(144)), piecesOf({ ...outline(144), hang: { walls: 'upright' } }), gone)).toEqual(
      [],
    );
  });
});

describe('new boards on a wall', () => {
  const MOVED: Sent = [125, 'boards', { faces: ['w0'], are: 'moved' }];
  const NEW: Sent = [126, 'boards', { faces: ['w0'], are: 'new' }];
  const DONE: readonly Sent[] = [...EVERY_COAT, [120, 'sanded'], [121, 'checked', { level: 4 }], [124, 'handedOver']];
  const at = (sent: readonly Sent[], hours: number) => recordedRoom(sent, hours).room;
  const untaped = ({ applied: { stretches } }: RoomSnapshot) =>
    stretches
      .filter(({ coats, layers }) => coats.length > 0 && layers.length === 0)
      .flatMap(({ pieces }) => pieces.map(({ id }) => id))
      .toSorted();

  it('are asked about until somebody says so', () => {
    expect(at([...DONE, MOVED], 127).state.movedFaces).toEqual(['w0']);
    expect(at([...DONE, MOVED], 127).standing.now.kind).toBe('done');
    expect(at([...DONE, MOVED, NEW], 127).state.movedFaces).toEqual([]);
    const same = at([...DONE, MOVED, [126, 'boards', { faces: ['w0'], are: 'same' }]], 127);
    expect(same.state.movedFaces).toEqual([]);
    expect(same.standing.now.kind).toBe('done');
  });

  it('start every joint of the wall over, and no other, with the sides of its angles on the walls beside it', () => {
    const room = at([...DONE, NEW], 127);
    expect(room.standing.now.kind).toBe('go');
    expect(untaped(room)).toEqual(
      [
        'c0~w0#0@c0',
        'c0~w0#0@w0',
        'fasteners@w0',
        'w0#v1219.0@w0',
        'w0~w1#0@w0',
        'w0~w1#0@w1',
        'w0~w3#0@w0',
        'w0~w3#0@w3',
      ].toSorted(),
    );
    expect(room.done.checked).toBeUndefined();
    expect(room.state.handedOver).toBeUndefined();
  });

  it('keep what was logged on the old ones in the record, as not there any more', () => {
    const { coats } = handOverOf(at([...EVERY_COAT, NEW], 127));
    expect(coats).toHaveLength(EVERY_COAT.length);
    const onWall = coat(0, 'flat.tape', { faces: ['w0'] });
    const [tape] = handOverOf(at([onWall, [1, 'boards', { faces: ['w0'], are: 'new' }]], 2)).coats;
    expect(tape).toMatchObject({ class: 'flat', key: 'tape', isThere: false, counts: [] });
  });

  it('are taped, filled and finished again like any other', () => {
    const again = EVERY_COAT.map(([hours, kind, payload]): Sent => [hours + 130, kind, { ...payload, faces: ['w0'] }]);
    const angles = EVERY_COAT.filter(([, , payload]) => JSON.stringify(payload).includes('angle')).map(
      ([hours, kind, payload]): Sent => [hours + 130, kind, { ...payload, faces: ['c0', 'w1', 'w3'] }],
    );
    const sent = [...DONE, NEW, ...[...again, ...angles].toSorted(([a], [b]) => a - b)];
    expect(at(sent, 255).standing.now.kind).toBe('sand');
    expect(at([...sent, [256, 'sanded'], [257, 'checked', { level: 4 }]], 258).standing.now.kind).toBe('seal');
  });

  it('are named by what can go, so that the other walls stay sanded', () => {
    const { standing } = at([...DONE, NEW], 127);
    const flats = standing.classes.find((own) => own.class === 'flat')?.now;
    const [tape] = flats?.kind === 'go' ? flats.ready : [];
    expect(tape).toMatchObject({ coat: { key: 'tape' }, pieces: ['w0#v1219.0@w0'] });
    const pieces = tape?.pieces?.map((id) => ({ id }));
    const { done } = at([...DONE, NEW, coat(127, 'flat.tape', { pieces })], 128);
    expect(['w0', 'w1', 'w2', 'w3'].map((face) => done.sandedPieces.has(`${face}#v1219.0@${face}`))).toEqual([
      false,
      true,
      true,
      true,
    ]);
  });

  it('close what was open on the old ones, wait to be accepted, and are touched only once something is on', () => {
    const crack: Sent = [122, 'item', { defect: 'torn', face: 'w0' }];
    expect(at([...EVERY_COAT, crack, NEW], 127).state.items).toMatchObject([{ closed: { rehung: true } }]);
    const walk = { head: { method: { level: 4, acceptance: 'walk' } } };
    const good: Sent = [0, 'accepted', { found: 'good' }];
    expect([...recordedRoom([good, ...EVERY_COAT, NEW], 127, walk).room.held]).toEqual(['w0']);
    const touch: Sent = [128, 'touched', { found: 'white', pieces: ['w0#v1219.0@w0'] }];
    expect(recordedRoom([...EVERY_COAT, NEW, touch], 129).refused.at(-1)).toEqual({
      why: 'nothingOn',
      at: hoursIn(128),
    });
  });

  it('can be taken back: then the old coats are there again', () => {
    const id = '00000000-0000-4000-8000-0000000000f9';
    const said: Sent = [126, 'boards', { faces: ['w0'], are: 'new' }, id];
    expect(at([...DONE, said, [127, 'void', { target: id }]], 128).standing.now.kind).toBe('done');
  });
});
