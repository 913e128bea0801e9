import { describe, expect, it } from 'vitest';
import { coat, EVERY_COAT, hoursIn, recordedRoom, type Sent } from '../../../tests/houses/recordedRoom';
import { sandingOf, sheetsFor, wetWhenSanded } from './sandable';
import { whyNotSigned } from './signOff';

const FLATS = EVERY_COAT.filter(([, , payload]) => (payload as { class: string }).class === 'flat');
const FT = 304.8;

describe('what of a class may be sanded', () => {
  const flatAt = (sent: readonly Sent[], hours: number) => {
    const { room } = recordedRoom(sent, hours);
    return sandingOf(room, hoursIn(hours)).classes.find((own) => own.class === 'flat');
  };
  it.each([
    ['nothing is on', [], 1, 'coats'],
    ['its tape is wet', FLATS.slice(0, 1), 1, 'coats'],
    ['its tape is dry', FLATS.slice(0, 1), 30, 'coats'],
    [
      'its last coat is on the ceiling only',
      [...FLATS.slice(0, 2), coat(80, 'flat.finish', { faces: ['c0'] })],
      119,
      'coats',
    ],
    ['its last coat is wet', FLATS, 81, 'wet'],
    ['its last coat is dry, angles are to come', FLATS, 119, 'go'],
    ['other mud is wet', [...FLATS, coat(118, 'angle.tape')], 119, 'beside'],
    ['the room is held', [...FLATS, [118, 'held', { why: 'painter' }] as Sent], 119, 'held'],
    ['it is sanded', [...FLATS, [118, 'sanded', { classes: ['flat'] }] as Sent], 119, 'sanded'],
  ] as const)('%s: %#', (_words, sent, hours, kind) => {
    expect(flatAt(sent, hours)?.now.kind).toBe(kind);
  });

  it('waits for the last of its mud', () => {
    const parts = [
      ...FLATS.slice(0, 2),
      coat(80, 'flat.finish', { faces: ['c0'] }),
      coat(84, 'flat.finish', { faces: ['w0', 'w1', 'w2', 'w3'] }),
    ];
    const until = (sent: readonly Sent[]) => {
      const now = flatAt(sent, 85)?.now;
      return now?.kind === 'wet' ? now.until : 0;
    };
    expect(until(parts) - until(FLATS)).toBeCloseTo(4 * 3_600_000, -4);
  });

  it('takes paper by the width of its last coat, by hand for each class', () => {
    const { room } = recordedRoom([], 1);
    const piece = (amount: number) => [{ ...room.pieces[0], amount }] as typeof room.pieces;
    const wide = (kind: string) => room.coats.findLast((own) => own.class === kind)?.tool.width ?? 0;
    // A sheet for 100 ft² of mud, 4 in² round a screw. Common practice, no source.
    expect(sheetsFor('flat', piece(100 * FT), room.coats)).toBeCloseTo((100 * (wide('flat') / FT)) / 100, 9);
    expect(sheetsFor('fasteners', piece(929), room.coats)).toBeCloseTo(1, 3);
    expect(sheetsFor('surface', piece(250 * FT ** 2), room.coats)).toBeCloseTo(2.5, 9);
    // A butt is floated on both sides of its crest.
    const butts = room.coats.map((own) => (own.class === 'flat' ? { ...own, class: 'butt' as const } : own));
    expect(sheetsFor('butt', piece(100 * FT), butts)).toBeCloseTo((2 * 100 * (wide('flat') / FT)) / 100, 9);
    expect(sheetsFor('bead', piece(100 * FT), room.coats)).toBe(0);
  });
});

describe('what was wet when it was sanded', () => {
  const wet = (
    sent: readonly Sent[],
    hours: number,
    classes?: readonly ('flat' | 'angle')[],
    faces?: readonly string[],
  ) => wetWhenSanded(recordedRoom(sent, 100).room, { classes, faces }, hoursIn(hours));
  const FIRST = [coat(0, 'angle.tape'), coat(40, 'angle.fill.first')];
  /** The faces on which that side of no angle lies. */
  const { room } = recordedRoom([], 1);
  const firsts = new Set(room.pieces.filter(({ lies }) => lies?.first).map(({ face }) => face));
  const others = ['w0', 'w1', 'w2', 'w3', 'c0'].filter((face) => !firsts.has(face));

  it.each([
    ['all of them, an hour after the tape', FLATS.slice(0, 1), 1, ['flat'], undefined, 'flat'],
    ['one face of them', FLATS.slice(0, 1), 1, ['flat'], ['w0'], 'flat'],
    ['at the very moment in which it went on', FLATS.slice(0, 1), 0, ['flat'], undefined, 'flat'],
    ['before it went on', FLATS.slice(1, 2), 39, ['flat'], undefined, undefined],
    ['when it was dry', FLATS.slice(0, 1), 30, ['flat'], undefined, undefined],
    ['the side that was run', FIRST, 41, ['angle'], undefined, 'angle'],
    ['another class', FIRST, 41, ['flat'], undefined, undefined],
  ] as const)('%s: %#', (_words, sent, hours, classes, faces, kind) => {
    expect(wet(sent, hours, classes, faces)).toBe(kind);
  });

  it('is not the other side of an angle, which only waits', () => {
    expect(others.length).toBeGreaterThan(0);
    expect(wet(FIRST, 41, ['angle'], others)).toBeUndefined();
  });
});

describe('a face is signed off', () => {
  const DONE: readonly Sent[] = [...EVERY_COAT, [120, 'sanded', { faces: ['w1', 'w2', 'w3', 'c0'] }]];
  const not = (faces: readonly string[] | undefined) =>
    whyNotSigned(recordedRoom(DONE, 121).room, faces, 4, hoursIn(121))?.why;
  it.each([
    [['w1'], undefined],
    [['w0'], 'unsanded'],
    [['w1', 'w0'], 'unsanded'],
    [undefined, 'unsanded'],
  ] as const)('%s: %s', (faces, why) => {
    expect(not(faces)).toBe(why);
  });
});
