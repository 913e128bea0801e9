import { readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { grammarPage } from '../quickline/grammarText';
import { areaOf, inRoom } from '../room/faces/face';
import { facesOf } from '../room/faces/facesOf';
import { problemText } from '../room/problem';
import { wallsOf } from '../room/walls';
import { houseJsonSchema } from './jsonSchema';
import { readHouse } from './readHouse';

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

describe('the house file', () => {
  it('is read with its defaults', () => {
    const reading = readHouse(file({}));
    expect(reading.ok && reading.house.rooms[0]).toMatchObject({
      floor: 'Ground floor',
      ceiling: { shape: 'flat' },
      openings: [],
    });
    expect(reading.ok && reading.house.method.level).toBe(4);
  });

  it('calls a storey the floor of a room, which version 1 called its level', () => {
    const floor = (json: unknown) => {
      const reading = readHouse(json);
      return reading.ok ? reading.house.rooms[0]?.floor : problemText(reading.problems[0] ?? { path: '', reason: '' });
    };
    expect(floor(file({ level: 'Loft' }, { version: 1 }))).toBe('Loft');
    expect(floor(file({ floor: 'Loft' }, { version: 2 }))).toBe('Loft');
    expect(floor(file({ level: 'Loft' }, { version: 2 }))).toContain('rooms[0]');
    expect(floor(file({ level: '' }, { version: 1 }))).toBe('rooms[0].level: needs the name of a floor');
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

  it('takes fields that say nothing', () => {
    expect(
      refusal(file({ columns: [], zones: [], existing: [], hung: {}, openings: [{ ...opening, head: { arch: 0 } }] })),
    ).toBe('accepted');
  });
});

describe('the published JSON Schema', () => {
  it('is that of the house file as it is read (else run npm run schema)', () => {
    const published: unknown = JSON.parse(readFileSync('docs/house.schema.json', 'utf8'));
    expect(published).toEqual(JSON.parse(JSON.stringify(houseJsonSchema())));
  });
});

describe('the published grammar of the quick line', () => {
  it('is that of the line as it is read (else run npm run schema)', () => {
    expect(readFileSync('docs/quick-line.md', 'utf8')).toBe(grammarPage());
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
