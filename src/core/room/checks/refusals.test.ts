import { describe, expect, it } from 'vitest';
import { refusalsOf } from '../../../../tests/houses/fileRooms';
import { L } from '../../../../tests/houses/outlines';

// A U whose legs are 60 apart.
const U = [
  [0, 0],
  [300, 0],
  [300, 200],
  [180, 200],
  [180, 100],
  [120, 100],
  [120, 200],
  [0, 200],
];
const column = (x: number, y: number) => [
  [x, y],
  [x, y + 10],
  [x + 10, y + 10],
  [x + 10, y],
];
const niche = { wall: 2, at: 40, bottom: 40, width: 36, height: 24, depth: 8 };
const soffit = { wall: 0, from: 0, to: 144, depth: 24, drop: 12 };
const door = { wall: 0, kind: 'door', at: 24, width: 32, height: 80 };

describe('rooms that cannot be', () => {
  it.each<[string, object, string]>([
    [
      'an outline that crosses itself',
      {
        outline: [
          [0, 0],
          [144, 120],
          [144, 0],
          [0, 120],
        ],
      },
      'outline: crosses itself: walls 1 and 3 meet where no corner is',
    ],
    [
      'an outline that folds back on itself',
      {
        outline: [
          [0, 0],
          [144, 0],
          [144, 120],
          [144, 40],
          [0, 120],
        ],
      },
      'outline: crosses itself: walls 2 and 3 meet where no corner is',
    ],
    [
      'an outline that touches itself',
      {
        outline: [
          [0, 0],
          [144, 0],
          [144, 120],
          [72, 0],
          [0, 120],
        ],
      },
      'outline: crosses itself: walls 1 and 3 meet where no corner is',
    ],
    [
      'points in one line',
      {
        outline: [
          [0, 0],
          [144, 0],
          [300, 0],
        ],
      },
      'outline: encloses nothing: a room has at least three walls',
    ],
    [
      'a reversed outline',
      {
        outline: [
          [0, 0],
          [0, 120],
          [144, 120],
          [144, 0],
        ],
      },
      'outline: runs counter-clockwise on the page (y points down); turn it round',
    ],
    [
      'a shed at no wall',
      { ceiling: { shape: 'shed', low: 7, rise: 40 } },
      'ceiling.low: the room has 4 walls, numbered from 0 to 3 in the file',
    ],
    [
      'a shed with room behind its wall',
      { outline: L, ceiling: { shape: 'shed', low: 2, rise: 40 } },
      "ceiling.low: the room reaches 10' behind wall 3, so the slope cannot start there",
    ],
    ['a rise that is none', { ceiling: { shape: 'shed', low: 0, rise: 40000 } }, "ceiling.rise: must be at most 50'"],
    [
      'a gable on walls that meet',
      { ceiling: { shape: 'gable', eaves: [0, 1], rise: 40 } },
      'ceiling.eaves: wall 1 and wall 2 do not face each other in parallel',
    ],
    [
      'a knee as high as the room',
      { ceiling: { shape: 'knee', eaves: [0], knee: 96, run: 40 } },
      'ceiling.knee: must be lower than the room, or there is nothing to slope',
    ],
    [
      'a knee that runs out of the room',
      { ceiling: { shape: 'knee', eaves: [0], knee: 48, run: 130 } },
      "ceiling.run: of 10' 10\" is longer than the room is deep there (10')",
    ],
    [
      'a knee named twice',
      { ceiling: { shape: 'knee', eaves: [0, 0], knee: 48, run: 30 } },
      'ceiling.eaves[1]: is named twice',
    ],
    [
      'a tray that eats the room',
      { ceiling: { shape: 'tray', inset: 60, rise: 8 } },
      "ceiling.inset: a tray set in 5' does not fit: nothing is left of it along wall 2",
    ],
    [
      'a dome',
      { ceiling: { shape: 'dome' } },
      'ceiling.shape: must be "flat", "open", "shed", "gable", "knee" or "tray"',
    ],
    [
      'a door over a corner',
      { openings: [{ ...door, at: 130 }] },
      "openings[0].at: the door runs 1' 6\" past the right end of wall 1 (12')",
    ],
    [
      'a window under the slope',
      { ceiling: { shape: 'knee', eaves: [0], knee: 48, run: 40 }, openings: [{ ...door, height: 60 }] },
      "openings[0].height: the door reaches 1' above the wall (4')",
    ],
    [
      'a window that a gable’s rake cuts',
      {
        ceiling: { shape: 'gable', eaves: [0, 2], rise: 60 },
        openings: [{ wall: 1, kind: 'window', at: 0, width: 40, height: 60, sill: 70 }],
      },
      "openings[0].height: the window reaches 2' 10\" above the wall (8')",
    ],
    [
      'two doors in one place',
      { openings: [door, { ...door, at: 40 }] },
      'openings[1].at: the door lies over opening 1 of the same wall',
    ],
    [
      'an arch taller than half its width',
      { openings: [{ ...door, head: { arch: 20 } }] },
      'openings[0].head.arch: an arch rises at most half its width',
    ],
    [
      'a niche over a window',
      { niches: [niche], openings: [{ ...door, wall: 2, at: 60 }] },
      'niches[0].at: the niche lies over opening 1 of the same wall',
    ],
    [
      'a niche above the wall',
      { niches: [{ ...niche, bottom: 90 }] },
      "niches[0].height: the niche reaches 1' 6\" above the wall (8')",
    ],
    [
      'a niche through the wall',
      { outline: U, niches: [{ wall: 3, at: 20, bottom: 40, width: 36, height: 24, depth: 70 }] },
      'niches[0].depth: the niche comes through wall 4 into the room again',
    ],
    [
      'more shelves than fit',
      { niches: [{ ...niche, shelves: 9 }] },
      "niches[0].shelves: 9 shelves do not fit into the niche's height",
    ],
    [
      'a soffit out of its wall',
      { soffits: [{ ...soffit, to: 150 }] },
      'soffits[0].to: the soffit runs 6" past the right end of wall 1',
    ],
    [
      'a soffit of no length',
      { soffits: [{ ...soffit, from: 60, to: 60 }] },
      'soffits[0].to: must lie right of where the soffit starts',
    ],
    [
      'a soffit to the floor',
      { soffits: [{ ...soffit, drop: 96 }] },
      'soffits[0].drop: the soffit hangs down to the floor',
    ],
    [
      'a soffit over the whole room',
      { soffits: [{ ...soffit, depth: 120 }] },
      'soffits[0].depth: the soffit fills the whole ceiling: give the room a lower height',
    ],
    [
      'a soffit under a tray',
      { ceiling: { shape: 'tray', inset: 20, rise: 8 }, soffits: [soffit] },
      'soffits[0].depth: the soffit reaches in under the tray',
    ],
    [
      'soffits that meet at two heights',
      { soffits: [soffit, { ...soffit, wall: 1, to: 120, drop: 16 }] },
      'soffits[1].drop: the soffit meets soffit 1, which hangs at another height',
    ],
    [
      'a door up into a soffit',
      { height: 90, soffits: [soffit], openings: [door] },
      'openings[0].height: the door runs up into a soffit',
    ],
    [
      'tile above the wall',
      { zones: [{ wall: 0, from: 0, to: 60, bottom: 0, top: 100, cover: 'tile' }] },
      "zones[0].top: the tile reaches above the wall (8')",
    ],
    [
      'tile upside down',
      { zones: [{ wall: 0, from: 0, to: 60, bottom: 50, top: 40, cover: 'tile' }] },
      'zones[0].top: must lie above the bottom of the zone',
    ],
    [
      'tile past its wall',
      { zones: [{ wall: 0, from: 100, to: 160, bottom: 0, top: 40, cover: 'tile' }] },
      'zones[0].to: the tile runs 1\' 4" past the right end of wall 1',
    ],
    [
      'a column in a wall',
      { columns: [column(140, 50)] },
      'columns[0]: does not stand free in the room; what stands against a wall belongs to the outline',
    ],
    ['a column in a column', { columns: [column(60, 50), column(64, 54)] }, 'columns[1]: stands in column 1'],
    [
      'a column across a tray’s side',
      { ceiling: { shape: 'tray', inset: 24, rise: 8 }, columns: [column(20, 50)] },
      'columns[0]: stands across the side of the tray',
    ],
    ['a column under a soffit', { soffits: [soffit], columns: [column(60, 10)] }, 'columns[0]: stands under a soffit'],
    [
      'an old wall that is not there',
      { existing: [4] },
      'existing[0]: the room has 4 walls, numbered from 0 to 3 in the file',
    ],
  ])('%s', (_name, room, refusal) => {
    expect(refusalsOf(room)[0]).toBe(`rooms[0].${refusal}`);
  });
});
