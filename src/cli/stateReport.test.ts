import { describe, expect, it } from 'vitest';
import { fileRoom, readRoom } from '../../tests/houses/fileRooms';
import type { House } from '../core/house/schema';
import { stateReport } from './stateReport';

const START = Date.parse('2031-05-05T07:00:00Z');
const HOUR = 3_600_000;
const iso = (hours: number) => new Date(START + hours * HOUR).toISOString();
const DOOR = { wall: 0, kind: 'door', at: 24, width: 32, height: 80, sill: 0, edge: 'casing' };

function houseOf(room: object = {}, head: object = {}): House {
  const given = { hang: { ceiling: 'along' }, method: { level: 4 }, ...head };
  return readRoom({ id: 'den', name: 'Den', openings: [DOOR], ...room }, given).house;
}
const LONGER = fileRoom().outline.map(([x = 0, y = 0]) => [x === 144 ? 168 : x, y]);
const WINDOW = { wall: 2, kind: 'window', at: 30, width: 36, height: 48, sill: 36, edge: 'bead', depth: 5 };
const WORKED = { openings: [DOOR, { ...WINDOW, edge: 'casing' }] };

let count = 0;
const entry = (hours: number, kind: string, payload: object, by = 'Tobin') => {
  count += 1;
  const id = `00000000-0000-4000-8000-${String(count).padStart(12, '0')}`;
  return { id, by, room: kind === 'void' ? null : 'den', at: iso(hours), version: 3, kind, payload };
};
const coat = (hours: number, of: string, more: object = {}) => {
  const [kind, key, side] = of.split('.');
  return entry(hours, 'coat', { class: kind, key, ...(side ? { side } : {}), ...more });
};
/** A day between the rounds: every coat of a level 4 room. */
const ALL = [
  ...['flat.tape', 'angle.tape', 'fasteners.tape'].map((of) => coat(0, of)),
  ...['flat.fill', 'angle.fill.first', 'fasteners.fill'].map((of) => coat(40, of)),
  ...['flat.finish', 'angle.fill.second', 'fasteners.finish'].map((of) => coat(80, of)),
];
const FINISHED = [...ALL, entry(120, 'sanded', {}), entry(121, 'checked', { level: 4 }, 'Marit')];

const AIR = { temp: '70F', rh: '50' };
const state = (
  entries: readonly object[],
  hours: number,
  more: { house?: House; after?: House; edited?: number } = {},
) =>
  stateReport(more.house ?? houseOf(), entries, more.after, {
    at: iso(hours),
    ...AIR,
    ...(more.edited === undefined ? {} : { edited: iso(more.edited) }),
  });
const denOf = (report: ReturnType<typeof state>) => {
  const [den] = report.rooms;
  if (!den) throw new Error('the house has its room');
  return den;
};
const statesOf = (report: ReturnType<typeof state>) => {
  const { house, sand, sign, handOver } = denOf(report);
  return [house.state, sand.state, sign.state, handOver.state];
};

describe('a room from its first coat to its hand-over', () => {
  it('goes through every state, and every screen says the same one', () => {
    const sealed = [...FINISHED, entry(122, 'sealed', {})];
    const over = [...sealed, entry(124, 'handedOver', {}, 'Marit')];
    const steps: readonly [readonly object[], number, string][] = [
      [[], 1, 'coat'],
      [ALL.slice(0, 3), 1, 'wet'],
      [ALL, 81, 'wet'],
      [ALL, 120, 'sand'],
      [[...ALL, FINISHED.at(-2) ?? {}], 120, 'check'],
      [FINISHED, 121, 'seal'],
      [sealed, 122, 'wet'],
      [sealed, 123.5, 'handOver'],
      [over, 124, 'done'],
      [[...FINISHED, entry(122, 'held', { why: 'electrician' }, 'Marit')], 123, 'hold'],
      [[...FINISHED, entry(122, 'item', { defect: 'pinholes', face: 'w0' })], 123, 'fix'],
    ];
    for (const [entries, hours, code] of steps)
      expect(statesOf(state(entries, hours))).toEqual([code, code, code, code]);
    expect(denOf(state(over, 124))).toMatchObject({ hoursLeft: 0, open: [], sign: { levelMet: 4 } });
    expect(state(over, 124).load.still).toEqual({});
  });
});

describe('a checked room whose coats are open again', () => {
  const EDITS: readonly [string, House][] = [
    ['is 2 ft longer with a beaded window', houseOf({ outline: LONGER, openings: [DOOR, WINDOW] })],
    ['is raised to level 5', houseOf({ finish: { level: 5 } })],
    ['gets one more coat by its method', houseOf({}, { method: { level: 4, coats: 'three' } })],
  ];
  it.each(EDITS)('%s: it is open everywhere, met no level, and cannot be handed over', (_case, after) => {
    const entries = [...FINISHED, entry(125, 'handedOver', {}, 'Marit')];
    const report = state(entries, 126, { after, edited: 123 });
    expect(statesOf(report)).toEqual(['coat', 'coat', 'coat', 'coat']);
    expect(denOf(report)).toMatchObject({ sign: { levelMet: null } });
    expect(denOf(report).open).not.toEqual([]);
    expect(report.refused).toMatchObject([{ why: 'notFinished' }]);
    expect(report.plan.items.map(({ kind }) => kind)).toEqual(expect.arrayContaining(['sand', 'check']));
  });

  it('has its last coat taken back: it is open too, also after it was handed over', () => {
    const [last] = ALL.filter(({ payload }) => JSON.stringify(payload).includes('finish'));
    const over = [...FINISHED, entry(122, 'sealed', {}), entry(123, 'handedOver', {}, 'Marit')];
    const report = state([...over, entry(124, 'void', { target: last?.id }, 'Marit')], 125);
    expect(statesOf(report)).toEqual(['coat', 'coat', 'coat', 'coat']);
    expect(denOf(report).open).toEqual(['flat:finish']);
    expect(report.plan.items.map(({ work }) => work)).toContain('finish.flat');
  });
});

describe('what is wet', () => {
  it('is wet until the last of it is ready where a coat went on in parts', () => {
    const entries = [
      coat(0, 'flat.tape'),
      coat(24, 'flat.fill', { faces: ['c0'] }),
      coat(30, 'flat.fill', { faces: ['w0', 'w1', 'w2', 'w3'] }),
    ];
    const { dry, board } = denOf(state(entries, 31));
    const walls = denOf(
      state(
        entries.filter((_, index) => index !== 1),
        31,
      ),
    ).board.flat?.until;
    expect(dry.readyAt).toBe(walls);
    expect(board.flat?.until).toBe(walls);
    expect(Date.parse(dry.tagUntil ?? '')).toBeGreaterThanOrEqual(Date.parse(walls ?? ''));
  });

  it('obeys a touch check, and a thumb on angles leaves flats alone', () => {
    const entries = [...ALL.slice(0, 3), coat(40, 'flat.fill')];
    const touched = (found: string, of = 'flat') => [...entries, entry(61, 'touched', { found, class: of }, 'Marit')];
    expect(denOf(state(entries, 61.1)).board.flat?.state).toBe('coat');
    expect(denOf(state(touched('grey'), 61.1)).board.flat?.state).toBe('wet');
    expect(denOf(state(touched('grey', 'angle'), 61.1)).board.flat).toEqual(denOf(state(entries, 61.1)).board.flat);
    const early = [...entries, entry(43, 'touched', { found: 'white', class: 'flat' }, 'Marit')];
    expect(denOf(state(early, 43.1)).board.flat?.state).toBe('coat');
  });

  it('asks whether a fill that is logged again while it is wet is the same or the next one', () => {
    const entries = [coat(0, 'flat.tape'), coat(24, 'flat.fill'), coat(27, 'flat.fill')];
    const report = state(entries, 28);
    expect(report.refused).toMatchObject([{ index: 2, why: 'sameCoat', class: 'flat', key: 'fill' }]);
    expect(denOf(report).open).toContain('flat:finish');
    const answered = (repeat: string) =>
      denOf(state([...entries.slice(0, 2), coat(27, 'flat.fill', { repeat })], 28)).open.includes('flat:finish');
    expect([answered('same'), answered('next')]).toEqual([true, false]);
  });
});

describe('hours and goods', () => {
  it('are the same for sanding, checking and sealing wherever they stand', () => {
    for (const level of [1, 4, 5] as const) {
      const report = state([], 1, { house: houseOf({}, { method: { level } }) });
      const den = denOf(report);
      const planned = (kind: string) => report.plan.items.find((item) => item.kind === kind)?.hours ?? 0;
      expect(den.sand.hours).toBeCloseTo(planned('sand'), 3);
      expect(den.hoursLeft).toBeCloseTo(
        report.plan.items.reduce((sum, { hours }) => sum + hours, 0),
        2,
      );
    }
    // At level 1 fasteners get no coat: only joints are sanded. 62 ft 4 in of flats and 76 ft of angles, by hand.
    const level1 = denOf(state([], 1, { house: houseOf(WORKED, { method: { level: 1 } }) }));
    expect(level1.sand.hours).toBeCloseTo(62.333 / 200 + 76 / 150 + 5 / 60, 2);
  });

  it('are used up: angles taped on the walls, then on the ceiling, take their length of tape once', () => {
    const walls = coat(1, 'angle.tape', { faces: ['w0', 'w1', 'w2', 'w3'] });
    const ceiling = coat(2, 'angle.tape', { faces: ['c0'] });
    const report = state([coat(0, 'flat.tape'), walls, ceiling], 3, { house: houseOf(WORKED) });
    // 62 ft 4 in of flats and 76 ft of angles.
    expect(report.load.tapeFt).toBeCloseTo(138.333, 1);
    expect(report.stock.used.paper).toBeCloseTo(138.333, 1);
    expect(report.load.still.paper).toBeUndefined();
  });

  it('leave nothing to order once every coat is on but the sealer, and use what was to go on', () => {
    const report = state(ALL, 120);
    expect(Object.keys(report.load.still)).toEqual(['sealer']);
    for (const [mud, gallons] of Object.entries(report.load.mudGal))
      if (mud !== 'setting') expect([mud, report.stock.used[mud]]).toEqual([mud, expect.closeTo(gallons, 2)]);
  });

  it('count no tape on faces that are finished to level 0', () => {
    const faces = Object.fromEntries(['c0', 'w1', 'w2', 'w3'].map((face) => [face, { level: 0 }]));
    // Only what lies on wall 0 is taped, and the angles at its ends and over it.
    const { tapeFt } = state([], 1, { house: houseOf({ finish: { faces } }) }).load;
    const seam = (144 - 32) / 12;
    expect(tapeFt).toBeCloseTo(seam + 144 / 12 + (2 * 96) / 12, 1);
  });
});

describe('what is asked wrongly', () => {
  it.each([
    [[{ by: '' }], 'entries[0].by: must be a name'],
    [{}, 'entries: must be an array as POST /api/entries takes it'],
    [[{ ...coat(0, 'flat.tape'), payload: { class: 'flat' } }], /^entries\[0\]\.payload\.key: /],
  ] as const)('%j is refused with its place', (entries, message) => {
    expect(() => stateReport(houseOf(), entries, undefined, { at: iso(1) })).toThrow(message);
  });

  it('names what an entry breaks and goes on with the others', () => {
    const entries = [
      entry(1, 'touched', { found: 'grey' }, 'Marit'),
      entry(2, 'checked', { level: 4 }, 'Marit'),
      { ...coat(3, 'flat.tape'), room: 'nowhere' },
      coat(4, 'flat.tape', { pieces: [{ id: 'w9#v0.0@w9' }] }),
      coat(5, 'flat.tape'),
      entry(6, 'touched', { found: 'grey', pieces: ['gone@w0'] }, 'Marit'),
      entry(7, 'sanded', { classes: ['flat'] }),
    ];
    const { refused } = state(entries, 8);
    expect(refused.map(({ index, why }) => [index, why])).toEqual([
      [0, 'nothingOn'],
      [1, 'notSigned'],
      [2, 'noRoom'],
      [3, 'notThere'],
      [5, 'noSuchJoint'],
      [6, 'wet'],
    ]);
  });
});
