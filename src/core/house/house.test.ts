import { describe, expect, it } from 'vitest';
import { areaOf, inRoom } from './face';
import { facesOf } from './facesOf';
import { formatQuickLine } from './formatQuickLine';
import { parseQuickLine } from './parseQuickLine';
import { problemText } from './problem';
import { readHouse } from './readHouse';
import { wallsOf } from './walls';

const ROOM = {
  id: 'a',
  name: 'A',
  outline: [
    [0, 0],
    [144, 0],
    [144, 120],
    [0, 120],
  ],
  height: 96,
};
const file = (room: object, rest: object = {}) => ({
  format: 'oak-tally-house',
  version: 1,
  unit: 'in',
  name: 'A house',
  rooms: [{ ...ROOM, ...room }],
  ...rest,
});
const refusal = (json: unknown) => {
  const reading = readHouse(json);
  return reading.ok ? 'accepted' : problemText(reading.problems[0] ?? { path: '', reason: 'no problem' });
};
const HOUSE = { unit: 'in', hang: {} } as const;

describe('the house file', () => {
  it('is read with its defaults', () => {
    const reading = readHouse(file({}));
    expect(reading.ok && reading.house.rooms[0]).toMatchObject({
      level: 'Ground floor',
      ceiling: { shape: 'flat' },
      openings: [],
    });
    expect(reading.ok && reading.house.method.level).toBe(4);
  });

  const opening = { wall: 0, kind: 'door', at: 24, width: 32, height: 80 };
  it.each([
    [file({ height: 0 }), 'rooms[0].height: must be greater than 0'],
    [file({ height: 'tall' }), 'rooms[0].height: must be a number'],
    [file({ name: undefined }), 'rooms[0].name: is missing'],
    [file({ openings: [{ ...opening, width: 0 }] }), 'rooms[0].openings[0].width: must be greater than 0'],
    [
      file({ openings: [{ ...opening, kind: 'hatch' }] }),
      'rooms[0].openings[0].kind: must be one of "door", "window", "opening"',
    ],
    [
      file({ openings: [{ ...opening, wall: 4 }] }),
      'rooms[0].openings[0].wall: the room has 4 walls, numbered from 0 to 3 in the file',
    ],
    [
      file({ openings: [{ ...opening, at: 130 }] }),
      "rooms[0].openings[0].at: the door runs 1' 6\" past the right end of wall 1 (12')",
    ],
    [
      file({ openings: [{ ...opening, height: 97 }] }),
      'rooms[0].openings[0].height: the door reaches 1" above the wall (8\')',
    ],
    [
      file({ openings: [opening, { ...opening, at: 40 }] }),
      'rooms[0].openings[1].at: the door lies over opening 1 of the same wall',
    ],
    [
      file({ outline: [...ROOM.outline].reverse() }),
      'rooms[0].outline: runs counter-clockwise on the page (y points down); turn it round',
    ],
    [
      file({
        outline: [
          [0, 0],
          [144, 0],
          [100, 120],
          [0, 120],
        ],
      }),
      'rooms[0].outline: is not a rectangle; rooms of other shapes are not built yet',
    ],
    [file({ colour: 'red' }), 'rooms[0].colour: is not a field of the house file'],
    [file({}, { unit: 'ft' }), 'unit: must be one of "in", "mm"'],
    [file({}, { format: 'other' }), 'format: must be "oak-tally-house"'],
    [[], 'must be an object'],
  ])('refuses %j', (json, message) => {
    expect(refusal(json)).toBe(message);
  });

  it('refuses two rooms with one id', () => {
    expect(refusal({ ...file({}), rooms: [ROOM, ROOM] })).toBe('rooms[1].id: "a" is the id of rooms[0] too');
  });

  it.each([
    [
      'columns',
      [
        [
          [60, 60],
          [60, 66],
          [66, 66],
          [66, 60],
        ],
      ],
      'rooms[0].columns',
    ],
    ['soffits', [{ wall: 0, from: 0, to: 144, depth: 24, drop: 12 }], 'rooms[0].soffits'],
    ['niches', [{ wall: 2 }], 'rooms[0].niches'],
    ['zones', [{ wall: 1 }], 'rooms[0].zones'],
    ['existing', [3], 'rooms[0].existing'],
    ['hung', { w3: {} }, 'rooms[0].hung.w3'],
    ['ceiling', { shape: 'gable', eaves: [0, 2], rise: 60 }, 'rooms[0].ceiling.shape'],
    ['finish', { surface: 'gloss' }, 'rooms[0].finish.surface'],
    ['beads', { profile: 'bullnose' }, 'rooms[0].beads.profile'],
    ['openings', [{ ...opening, head: { arch: 8 } }], 'rooms[0].openings[0].head.arch'],
  ])('refuses %s by name, since it is not built yet', (field, value, path) => {
    expect(refusal(file({ [field]: value }))).toMatch(
      new RegExp(`^${path.replace(/[[\]]/g, '\\$&')}: .*is not built yet`),
    );
  });

  it('takes fields that are not built when they say nothing', () => {
    expect(
      refusal(file({ columns: [], zones: [], existing: [], hung: {}, openings: [{ ...opening, head: { arch: 0 } }] })),
    ).toBe('accepted');
  });
});

describe('an outline that runs the wrong way round', () => {
  const wrong = file({
    outline: [
      [0, 0],
      [0, 120],
      [144, 120],
      [144, 0],
    ],
    openings: [{ wall: 1, kind: 'door', at: 10, width: 32, height: 80 }],
  });

  it('is refused, with the mend offered', () => {
    const reading = readHouse(wrong);
    expect(reading.ok ? [] : reading.problems).toMatchObject([{ path: 'rooms[0].outline', mend: 'reverse-outline' }]);
  });

  it('is turned on request: wall 0 stays the same stretch, openings keep their wall and their left end', () => {
    const reading = readHouse(wrong, { turn: true });
    if (!reading.ok) throw new Error('the turned room should be read');
    const [room] = reading.house.rooms;
    // Wall 1 of the file is the 144 in one at y = 120; walls now run clockwise from the same wall 0.
    const walls = wallsOf(room?.outline ?? [], 'in');
    const on = walls[room?.openings[0]?.wall ?? -1];
    expect([walls[0]?.from, walls[0]?.to]).toEqual([
      [0, 120 * 25.4],
      [0, 0],
    ]);
    expect([on?.from, on?.to]).toEqual([
      [144 * 25.4, 120 * 25.4],
      [0, 120 * 25.4],
    ]);
    expect(room?.openings[0]?.at).toBe(10);
  });

  it('leaves rooms alone that run the right way', () => {
    expect(readHouse(file({}), { turn: true })).toEqual(readHouse(file({})));
  });
});

describe('walls', () => {
  it('takes points in one line as one wall, the first side staying in wall 0', () => {
    const walls = wallsOf(
      [
        [72, 0],
        [144, 0],
        [144, 120],
        [0, 120],
        [0, 0],
      ],
      'in',
    );
    expect(walls.map(({ length }) => Math.round(length / 25.4))).toEqual([144, 120, 144, 120]);
    expect(walls[0]?.from).toEqual([0, 0]);
  });
});

describe('faces', () => {
  const faces = (openings: readonly object[], rest: object = {}) => {
    const reading = readHouse(file({ openings, ...rest }));
    if (!reading.ok || !reading.house.rooms[0]) throw new Error('the room should be read');
    return facesOf(reading.house.rooms[0], 'in');
  };
  const window = { wall: 1, kind: 'window', at: 40, width: 36, height: 48, sill: 36 };

  it('are the walls and the ceiling, named in order', () => {
    expect(faces([]).map(({ id }) => id)).toEqual(['w0', 'w1', 'w2', 'w3', 'c0']);
    expect(faces([], { ceiling: { shape: 'open' } }).map(({ id }) => id)).toEqual(['w0', 'w1', 'w2', 'w3']);
  });

  it('look into the room', () => {
    const middle = [72, 60, 48].map((inches) => inches * 25.4);
    for (const face of faces([{ ...window, edge: 'bead' }])) {
      if (face.kind === 'return') continue;
      const centre = inRoom(face, [face.width / 2, face.height / 2]);
      const toMiddle = middle.reduce(
        (sum, part, axis) => sum + (part - (centre[axis] ?? 0)) * (face.normal[axis] ?? 0),
        0,
      );
      expect(toMiddle, face.id).toBeGreaterThan(0);
    }
  });

  it('give a boarded window four returns and a boarded door three', () => {
    expect(
      faces([{ ...window, edge: 'bead' }])
        .slice(5)
        .map(({ id }) => id),
    ).toEqual(['w1.o0.head', 'w1.o0.left', 'w1.o0.right', 'w1.o0.sill']);
    expect(
      faces([{ wall: 0, kind: 'door', at: 24, width: 32, height: 80, edge: 'bead', depth: 5 }]).slice(5),
    ).toHaveLength(3);
  });

  it('lose the area of their openings', () => {
    const wall = faces([window])[1];
    expect(wall && areaOf(wall) / 25.4 ** 2).toBeCloseTo(120 * 96 - 36 * 48, 6);
  });
});

describe('the quick line', () => {
  const read = (line: string) => {
    const reading = parseQuickLine(line, HOUSE);
    if (!reading.ok) throw new Error(`${reading.reason} at ${reading.at}`);
    return reading.room;
  };
  const fault = (line: string) => {
    const reading = parseQuickLine(line, HOUSE);
    return reading.ok ? 'read' : [line.slice(reading.at, reading.at + reading.length), reading.reason];
  };

  it('makes a room with doors and windows', () => {
    const room = read("Pantry 7'6 x 5' x 8', door 28x80 wall 2, window 24x36 @48 bead");
    expect(room).toMatchObject({
      name: 'Pantry',
      outline: [
        [0, 0],
        [90, 0],
        [90, 60],
        [0, 60],
      ],
      height: 96,
      openings: [
        { kind: 'door', wall: 1, at: 16, width: 28, height: 80, sill: 0, edge: 'casing' },
        { kind: 'window', wall: 0, at: 33, width: 24, height: 36, sill: 48, edge: 'bead' },
      ],
    });
  });

  it('takes a name with numbers in it, with or without a colon', () => {
    expect(read("Bed 2 12' x 10'").name).toBe('Bed 2');
    expect(read("Bed 2: 12' x 10' x 9'")).toMatchObject({ name: 'Bed 2', height: 108 });
  });

  it('takes level, floor, ceiling and wall boards', () => {
    expect(read("A 12' x 10', level 5, on Upper floor, ceiling along, walls upright")).toMatchObject({
      finish: { level: 5 },
      level: 'Upper floor',
      hang: { ceiling: 'along', walls: 'upright' },
    });
    expect(read("A 12' x 10', ceiling open").ceiling.shape).toBe('open');
  });

  it('puts a window’s head at 80 in unless its sill is said', () => {
    expect(read("A 12' x 10', window 36x48").openings[0]?.sill).toBe(32);
  });

  it.each([
    ["A 12' x 10q", ['q', '"q" does not belong in a length']],
    [
      "A: 12' x 10', windw 20x20",
      ['windw', '"windw" is not known: door, window, opening, level, on, ceiling or walls'],
    ],
    ["A: 12' x 10', door 32x80 wall 5", ['5', 'the room has 4 walls']],
    ["A: 12' x 10', door 32x80 wall x", ['x', 'walls are numbered from 1']],
    ["A: 12' x 10', door 32", ['32', 'a door needs its width x height']],
    ["A: 12' x 10', door 32x100 wall 1", ['door 32x100 wall 1', 'the door reaches 4" above the wall (8\')']],
    ["A: 12' x 10', level 7", ['7', 'a level of finish is 0 to 5']],
    ["12' x 10'", ['1', 'a room starts with its name']],
    ["A: 0 x 10'", ['0', 'must be greater than 0']],
  ])('marks what is wrong in %j', (line, marked) => {
    expect(fault(line)).toEqual(marked);
  });

  it('writes a room so that it reads back the same', () => {
    const lines = [
      "Pantry 7'6 x 5' x 8', door 28x80 wall 2, window 24x36 @48 bead",
      "Day room: 20' x 14' x 9', window 72x60 @24 wall 1 bead, opening 60x84 wall 3 at 2' bead depth 5, level 5, on Upper floor, ceiling across, walls upright",
      "Odd: 12'4 3/16 x 10'0 1/2 x 8'1, door 32.25x80 wall 1 at 1'3, ceiling open",
    ];
    for (const line of lines) {
      const room = read(line);
      expect(read(formatQuickLine(room, 'in'))).toEqual(room);
    }
  });

  it('speaks millimetres in a metric house', () => {
    const metric = { unit: 'mm', hang: {} } as const;
    const reading = parseQuickLine('Kammer: 3600 x 3000 x 2500, door 885x2010 wall 1', metric);
    expect(reading.ok && reading.room).toMatchObject({
      height: 2500,
      outline: [
        [0, 0],
        [3600, 0],
        [3600, 3000],
        [0, 3000],
      ],
    });
    expect(reading.ok && parseQuickLine(formatQuickLine(reading.room, 'mm'), metric)).toEqual(reading);
  });
});
