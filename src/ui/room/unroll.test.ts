import { describe, expect, it } from 'vitest';
import { takeOff } from '@/core/joints/takeOff';
import { areaOfLoops } from '@/core/measure/polygon';
import { areaOf } from '@/core/room/faces/face';
import { faceWords } from '@/words/faceWords';
import { fileRoom, readRoom } from '../../../tests/houses/fileRooms';
import { L } from '../../../tests/houses/outlines';
import { roomOf } from '../../../tests/houses/readRooms';
import { overlap } from './pagePlace';
import { pageLength, unrollRoom } from './unroll';

const unrolled = (line: string) => {
  const { house, room } = roomOf(line);
  const result = takeOff(room, house);
  return { result, page: unrollRoom(result) };
};
const IN = 25.4;

const ROOMS: readonly (readonly [string, object])[] = [
  ['a box', {}],
  [
    'an L',
    {
      outline: [
        [0, 0],
        [240, 0],
        [240, 60],
        [60, 60],
        [60, 240],
        [0, 240],
      ],
    },
  ],
  [
    'a U',
    {
      outline: [
        [0, 0],
        [300, 0],
        [300, 200],
        [220, 200],
        [220, 100],
        [80, 100],
        [80, 200],
        [0, 200],
      ],
    },
  ],
  [
    'a bay',
    {
      outline: [
        [0, 0],
        [36, 0],
        [60, -24],
        [84, -24],
        [108, 0],
        [144, 0],
        [144, 120],
        [0, 120],
      ],
    },
  ],
  ['a gable', { ceiling: { shape: 'gable', eaves: [0, 2], rise: 80 } }],
  ['a shed', { ceiling: { shape: 'shed', low: 1, rise: 40 } }],
  ['knee walls', { ceiling: { shape: 'knee', eaves: [0, 2], knee: 48, run: 40 } }],
  ['a tray', { ceiling: { shape: 'tray', inset: 24, rise: 10 } }],
  ['no ceiling', { ceiling: { shape: 'open' } }],
  [
    'everything at once',
    {
      outline: L,
      soffits: [{ wall: 0, from: 0, to: 240, depth: 24, drop: 12 }],
      niches: [{ wall: 5, at: 40, bottom: 40, width: 36, height: 24, depth: 8, shelves: 2 }],
      columns: [
        [
          [60, 160],
          [60, 168],
          [68, 168],
          [68, 160],
        ],
      ],
      openings: [{ wall: 4, kind: 'window', at: 20, width: 36, height: 40, sill: 30, edge: 'bead' }],
    },
  ],
];

describe('the unrolled room', () => {
  it('is as wide and as high as the ceiling with a wall on each side', () => {
    const { page } = unrolled("A 12' x 10' x 8'");
    expect(page.box.width / IN).toBeCloseTo(144 + 2 * 96, 6);
    expect(page.box.height / IN).toBeCloseTo(120 + 2 * 96, 6);
  });

  it.each(ROOMS)('of %s draws every face once, in its true size, and none over another', (_name, rest) => {
    const { house, room } = readRoom(fileRoom(rest));
    const result = takeOff(room, house);
    const page = unrollRoom(result);
    const drawn = result.faces.filter(({ face }) => face.kind !== 'return' && face.loops.length > 0);
    expect(page.faces.map(({ face }) => face.id).sort()).toEqual(drawn.map(({ face }) => face.id).sort());
    for (const { face, loops } of page.faces)
      expect(Math.abs(areaOfLoops(loops)), face.id).toBeCloseTo(areaOf(face), 0);
    // The rim of a tray lies round its inner ceiling, so only outlines without a hole are compared.
    const plain = page.faces.filter(({ loops }) => loops.length === 1 || loops[1]?.length === 4);
    for (const [index, a] of plain.entries()) {
      for (const b of plain.slice(index + 1)) {
        if (a.loops.length > 1 || b.loops.length > 1) continue;
        expect(overlap(a.loops[0] ?? [], b.loops[0] ?? []), `${a.face.id} over ${b.face.id}`).toBe(false);
      }
    }
  });

  it.each(ROOMS)('of %s draws every joint in its length, and ties what it tears', (_name, rest) => {
    const { house, room } = readRoom(fileRoom(rest));
    const result = takeOff(room, house);
    const page = unrollRoom(result);
    const laid = new Set(page.faces.map(({ face }) => face.id));
    for (const joint of result.joints) {
      const lines = page.lines.filter((line) => line.joint === joint.id);
      if (!joint.lines.some(({ face }) => laid.has(face))) continue;
      expect(lines.length, joint.id).toBeGreaterThan(0);
      for (const line of lines) expect(pageLength(line.from, line.to)).toBeCloseTo(joint.length, 2);
    }
    for (const { letter } of page.letters)
      expect(page.letters.filter((other) => other.letter === letter)).toHaveLength(2);
    // No two letters stand on each other.
    page.letters.forEach(({ at }, index) => {
      for (const other of page.letters.slice(index + 1)) expect(pageLength(at, other.at)).toBeGreaterThan(page.text);
    });
  });

  it('ties the halves of the four uprights of a box with one letter each', () => {
    const letters = unrolled("A 12' x 10' x 8'").page.letters.map(({ letter }) => letter);
    expect(letters.sort()).toEqual(['A', 'A', 'B', 'B', 'C', 'C', 'D', 'D']);
  });

  it('shows the beads of a boarded window on the wall and leaves its returns out', () => {
    const { page } = unrolled("A 12' x 10' x 8', window 36x48 @36 wall 2 bead");
    expect(page.faces.map(({ face }) => face.kind)).not.toContain('return');
    expect(page.lines.filter((line) => line.class === 'bead')).toHaveLength(4);
  });

  it('writes a face’s name where it has room', () => {
    for (const { clear, face } of unrolled("A 12' x 10' x 8', window 36x48 @36 wall 2").page.faces)
      expect(clear, face.id).toBeGreaterThan(300);
  });
});

describe('the names of faces', () => {
  it.each([
    ['w1', 'wall 2'],
    ['c0', 'ceiling'],
    ['n0.back', 'niche 1, back'],
    ['n1.2.left', 'niche 2, box 3 left'],
    ['s0.side1', 'soffit 1, side 2'],
    ['k0.3', 'column 1, side 4'],
    ['w0.o1.head', 'opening 2, head'],
  ])('%s is %s', (id, words) => {
    expect(faceWords(id)).toBe(words);
  });
});
