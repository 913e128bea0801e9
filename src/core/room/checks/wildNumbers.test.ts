import { describe, expect, it } from 'vitest';
import { refusalsOf } from '../../../../tests/houses/fileRooms';
import { L } from '../../../../tests/houses/outlines';

const niche = { wall: 2, at: 40, bottom: 40, width: 36, height: 24, depth: 8 };
const soffit = { wall: 0, from: 0, to: 144, depth: 24, drop: 12 };

describe('what a room names and measures', () => {
  it.each<[string, object, string]>([
    ['a bead on no edge', { beads: { edges: { 'w0~w9': 'vinyl' } } }, 'beads.edges.w0~w9: names no edge of this room'],
    ['a level for no face', { finish: { faces: { c4: { level: 5 } } } }, 'finish.faces.c4: names no face of this room'],
    ['a hanging of no face', { hung: { w7: { courses: [{ breadth: 48 }] } } }, 'hung.w7: names no face of this room'],
    [
      'a hanging that leaves the face bare',
      { hung: { w1: { courses: [{ breadth: 48 }] } } },
      "hung.w1.courses: leave 4' of the face bare",
    ],
    [
      'a soffit deeper than the room',
      { soffits: [{ ...soffit, depth: 130 }] },
      "soffits[0].depth: the soffit is deeper than the room is there (10')",
    ],
    [
      'a soffit that the slope comes down to',
      { ceiling: { shape: 'shed', low: 2, rise: 96 }, soffits: [{ ...soffit, depth: 60, drop: 12 }] },
      'soffits[0].drop: the ceiling comes down to the underside of the soffit there',
    ],
    [
      'niches that meet behind an outside corner',
      {
        outline: L,
        niches: [
          { wall: 2, at: 90, bottom: 40, width: 24, height: 24, depth: 20 },
          { wall: 3, at: 4, bottom: 40, width: 24, height: 24, depth: 20 },
        ],
      },
      'niches[1]: the boards of this niche would meet those of the niche (niches[0])',
    ],
    [
      'windows whose boarded returns touch',
      {
        openings: [
          { wall: 0, kind: 'window', at: 20, width: 30, height: 40, sill: 30, edge: 'bead' },
          { wall: 0, kind: 'window', at: 50, width: 30, height: 40, sill: 30, edge: 'bead' },
        ],
      },
      'openings[1]: the boards of this window would meet those of the window (openings[0])',
    ],
    [
      'a bead in an inside corner',
      { beads: { edges: { 'w0~w1': 'J' } } },
      'beads.edges.w0~w1: is an inside corner: nothing stands on it',
    ],
    [
      'a butt off its face',
      { hung: { w0: { courses: [{ breadth: 48, butts: [150] }, { breadth: 48 }] } } },
      "hung.w0.courses[0].butts[0]: lies off the face, which is 12' long",
    ],
    [
      'a bevelled butt that is none',
      { hung: { w0: { courses: [{ breadth: 48, butts: [60], bevelled: [61] }, { breadth: 48 }] } } },
      'hung.w0.courses[0].bevelled[0]: is no butt of this course',
    ],
    [
      'a butt that is bevelled over its backer',
      { hung: { w0: { courses: [{ breadth: 48, butts: [60], backed: true, bevelled: [60] }, { breadth: 48 }] } } },
      'hung.w0.courses[0].bevelled: names a butt that hangs over a backer: its edges are not cut back',
    ],
    [
      'a course without such a board',
      { hung: { w0: { courses: [{ breadth: 96 }] } } },
      "hung.w0.courses[0].breadth: is broader than the widest board (4')",
    ],
    ['a niche a million deep', { niches: [{ ...niche, depth: 1e9 }] }, "niches[0].depth: must be at most 10'"],
    ['framing finer than a hand', { hang: { framing: 0.01 } }, 'hang.framing: must be at least 4"'],
    ['screws without end', { hang: { screws: { wall: 1e-6 } } }, 'hang.screws.wall: must be at least 1"'],
    [
      'boards wider than the world',
      { hang: { boards: [{ width: 1e308, lengths: [96] }] } },
      "hang.boards[0].width: must be at most 10'",
    ],
    [
      'a point beyond the town',
      {
        outline: [
          [0, 0],
          [1e308, 0],
          [144, 120],
          [0, 120],
        ],
      },
      "outline[1]: must lie within 3300' of the plan's origin",
    ],
    [
      'a hall of too many boards',
      {
        outline: [
          [0, 0],
          [2300, 0],
          [2300, 2300],
          [0, 2300],
        ],
        height: 400,
      },
      'outline: takes about 2100 boards, more than 1500: split the room',
    ],
    ['an absurd height', { height: 1e7 }, "height: must be at most 50'"],
  ])('%s', (_name, room, refusal) => {
    expect(refusalsOf(room)[0]).toBe(`rooms[0].${refusal}`);
  });
});
