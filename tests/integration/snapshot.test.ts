import { describe, expect, it } from 'vitest';
import { airClock } from '@/core/air/airClock';
import type { SourcedAir } from '@/core/air/roomAir';
import { wetCoats } from '@/core/drywatch/wetCoats';
import { amountOf, type Piece } from '@/core/joints/pieces';
import { takeOff, whatIsKept } from '@/core/joints/takeOff';
import type { Entry } from '@/core/log/entry';
import { HouseLog } from '@/core/log/houseLog';
import { stateOf } from '@/core/log/stateOf';
import { resolveMethod } from '@/core/method/resolveMethod';
import type { MethodChoices } from '@/core/room/methodSchema';
import { handedPasses, hoursDone, passDone } from '@/core/schedule/assignedWork';
import { type HouseSnapshot, houseSnapshot } from '@/core/snapshot/houseSnapshot';
import { demoHouse } from '@/db/demo/demoHouse';
import { demoLog } from '@/db/demo/demoLog';
import { DEMO_PEOPLE, type DemoName } from '@/db/demo/demoPeople';
import { sectionsOf } from '@/ui/section/sectionsOf';
import { stationFacts } from '@/ui/shell/stationFacts';
import { boardRows, recentEntries } from '@/views/board/boardRows';
import { passStanding } from '@/views/myday/passStanding';
import { SWEEP } from '../houses/sweepInstants';

const idOf = (name: DemoName): string =>
  `00000000-0000-4000-8000-00000000000${DEMO_PEOPLE.findIndex((person) => person.name === name)}`;
const IDS = {
  Marit: idOf('Marit'),
  Tobin: idOf('Tobin'),
  Ines: idOf('Ines'),
  Osei: idOf('Osei'),
  Petra: idOf('Petra'),
  Builder: idOf('Builder'),
};
const READ: SourcedAir = {
  from: 0,
  air: { temperature: 18.9, humidity: 58 },
  source: { kind: 'house' },
  readAt: 0,
};
const AIR = airClock([READ]);

/** The demo as it stands when it is loaded at an instant, without a database. */
function demoAt(text: string, choices: MethodChoices = {}) {
  const now = new Date(text);
  const house = demoHouse();
  const entries = demoLog(house, IDS, now, 'America/New_York').map(
    ({ by, entry }, index): Entry => ({
      ...entry,
      seq: index + 1,
      by: IDS[by],
      role: by === 'Marit' ? 'lead' : 'finisher',
      recordedAt: entry.at,
    }),
  );
  const { rooms, format: _format, version: _version, ...own } = house;
  const head = { ...own, method: { ...own.method, ...choices } };
  return {
    now: now.getTime(),
    entries,
    snapshot: houseSnapshot(
      head,
      rooms,
      stateOf(entries),
      () => AIR,
      now.getTime(),
      (room) => whatIsKept(takeOff(room, head)),
    ),
  };
}

/** The part of the day room's flats that some of its seams are. */
function partOfFlats(isMeant: (piece: Pick<Piece, 'id' | 'face'>) => boolean): number {
  const house = demoHouse();
  const room = house.rooms.find(({ id }) => id === 'day-room');
  const flats = room ? takeOff(room, house).pieces.filter((piece) => piece.class === 'flat') : [];
  return amountOf(flats.filter(isMeant)) / amountOf(flats);
}
/** Those on its first two walls: they have their fill. */
const wallsDone = () => partOfFlats(({ face }) => face === 'w0' || face === 'w1');

// The demo must be in the middle of the job whenever it is loaded.
describe.each(SWEEP.map(({ words, at }) => [words, new Date(at).toISOString()] as const))(
  'the demo loaded %s',
  (_, text) => {
    const { now, entries, snapshot } = demoAt(text);
    const stateOf = (id: string) => snapshot.rooms.find(({ room }) => room.id === id)?.standing.now.kind;

    it('writes nothing into the future, and only what a finisher may in their name', () => {
      for (const entry of entries) expect(Date.parse(entry.at)).toBeLessThanOrEqual(now);
      const byFinishers = entries.filter(({ role }) => role === 'finisher').map(({ kind }) => kind);
      expect([...new Set(byFinishers)].sort()).toEqual(['coat', 'fan', 'item', 'sanded']);
    });

    it('has rooms that are wet, ready, to be sanded, fixed, sealed, and held', () => {
      const isWetSomewhere = (id: string) =>
        snapshot.rooms.find(({ room }) => room.id === id)?.standing.classes.some((kind) => kind.now.kind === 'wet');
      expect(stateOf('net-loft')).toBe('wet');
      expect(['net-loft', 'hall', 'lantern-room'].map(isWetSomewhere)).toEqual([true, true, true]);
      expect(['bunk-room', 'boot-room', 'day-room'].map(stateOf)).toEqual(['go', 'go', 'go']);
      expect(['bath', 'pantry', 'coat-closet', 'landing'].map(stateOf)).toEqual(['sand', 'fix', 'seal', 'stuck']);
    });

    it('asks for no coat of what is coated when the house goes over to another school', () => {
      for (const angles of ['sides', 'both'] as const) {
        const other = demoAt(text, { angles }).snapshot;
        const coated = other.rooms.filter(({ room }) => ['bath', 'pantry', 'coat-closet'].includes(room.id));
        expect(coated.map(({ progress }) => progress)).toEqual([1, 1, 1].map((part) => expect.closeTo(part, 9)));
        expect(coated.map(({ standing }) => standing.now.kind).sort()).toEqual(['fix', 'sand', 'seal']);
      }
    });

    it('is between a third and two thirds coated', () => {
      expect(snapshot.progress).toBeGreaterThan(1 / 3);
      expect(snapshot.progress).toBeLessThan(2 / 3);
    });
  },
);

describe('what pages make of the snapshot', () => {
  const { now, entries, snapshot } = demoAt('2031-05-06T16:30:00Z');
  const room = (id: string) => {
    const found = snapshot.rooms.find((candidate) => candidate.room.id === id);
    if (!found) throw new Error(`the demo has ${id}`);
    return found;
  };

  it('gives every station one fact', () => {
    const facts = stationFacts(snapshot, now, 'America/New_York');
    expect(facts['']).toEqual({ text: '11 rooms, 1 stuck' });
    expect(facts.coats.text).toBe('level 4, by hand');
    expect(facts.sand.text).toBe('1 to sand, 0 to check, 1 to fix');
    expect(facts['hand-over'].text).toBe('0 of 11 rooms');
    expect(facts.dry.text).toMatch(/^\d rooms wet$/);
  });

  it('lists the last things done, newest first, with who did them', () => {
    const log = new HouseLog();
    log.add(entries);
    const recent = recentEntries(
      log,
      snapshot.rooms,
      DEMO_PEOPLE.map(({ name }) => ({ id: IDS[name], name })),
      IDS.Marit,
      3,
    );
    expect(recent).toHaveLength(3);
    expect(recent[0]).toMatchObject({ words: 'Coat closet: checked, level 4', who: 'Marit', mine: true });
    expect(recent.some(({ words }) => words.includes('pinholes'))).toBe(false);
  });

  it('draws a room with a method of its own by that method, and rooms of one way once', () => {
    const own: HouseSnapshot = {
      ...snapshot,
      rooms: snapshot.rooms.map((one) =>
        one.room.id === 'bath' || one.room.id === 'hall'
          ? { ...one, method: resolveMethod(snapshot.house, { method: { coats: 'three' } }) }
          : one,
      ),
    };
    const ways = boardRows(own, now, 'America/New_York').map(({ id, way }) => [id, way] as const);
    const other = ways.find(([id]) => id === 'bath')?.[1] ?? '';
    expect(other).not.toBe('');
    expect(
      ways
        .filter(([, way]) => way === other)
        .map(([id]) => id)
        .sort(),
    ).toEqual(['bath', 'hall']);
    expect(ways.filter(([, way]) => way === '')).toHaveLength(snapshot.rooms.length - 2);
    const coatsOf = (way: string) =>
      sectionsOf(own)
        .find((sections) => sections.way === way)
        ?.sections.find((section) => section.class === 'flat')
        ?.coats.map(({ coat }) => coat.key);
    expect([coatsOf(''), coatsOf(other)]).toEqual([
      ['tape', 'fill', 'finish'],
      ['tape', 'fill', 'finish', 'extra'],
    ]);
  });

  it('makes a row of every room and a cell of every class in it', () => {
    const rows = boardRows(snapshot, now, 'America/New_York');
    const day = rows.find(({ id }) => id === 'day-room');
    expect(day?.cells.map((cell) => cell.class)).toEqual(['flat', 'butt', 'angle', 'bead', 'fasteners']);
    // On one of those seams is a bubble.
    const bubble = snapshot.rooms.flatMap(({ state }) => state.items).find(({ defect }) => defect === 'bubble')?.piece;
    const next = wallsDone() - partOfFlats(({ id }) => id === bubble);
    expect(next).toBeLessThan(wallsDone());
    expect(day?.cells[0]).toMatchObject({
      now: 'go',
      words: {
        title: 'Go: fill coat',
        detail: `${Math.round(wallsDone() * 100)} % done, finish coat on ${Math.round(next * 100)} %`,
      },
    });
    expect(day?.cells[0]?.coats.map(({ phase }) => phase)).toEqual(['dry', 'part', 'planned']);
  });

  it('numbers what is run next in a room through its rounds', () => {
    const bunk = boardRows(snapshot, now, 'America/New_York').find(({ id }) => id === 'bunk-room');
    // Its bead still comes in the tape round; then screws, flats and angles are filled.
    expect(bunk?.cells.map((cell) => [cell.class, cell.order])).toEqual([
      ['flat', 3],
      ['angle', 4],
      ['bead', 1],
      ['fasteners', 2],
    ]);
  });

  it('makes the row of a room once a minute while nothing of it changes, and anew when something does', () => {
    const made = boardRows(snapshot, now, 'America/New_York');
    for (const [index, row] of boardRows(snapshot, now + 59_999, 'America/New_York').entries())
      expect(row).toBe(made[index]);
    const [next] = boardRows(snapshot, now + 60_000, 'America/New_York');
    expect(next).not.toBe(made[0]);
    // A room that was worked out within a minute is never told as it stood when that began: the hold has ended since.
    const [until, since] = [now + 10_000, now + 20_000];
    const held = {
      who: [IDS.Marit],
      at: new Date(now).toISOString(),
      why: 'Plumber',
      until: new Date(until).toISOString(),
    };
    const heldRow = (at: number, instant: number) => {
      const rooms = snapshot.rooms.map((room) => ({ ...room, at, state: { ...room.state, held } }));
      return boardRows({ ...snapshot, rooms }, instant, 'America/New_York')[0]?.held;
    };
    expect([heldRow(now, until - 1), heldRow(since, since + 1)]).toEqual(['Plumber', undefined]);
  });

  it('knows which of a person’s passes can go, wait, or are stuck', () => {
    const handed = handedPasses(snapshot.rooms, '2031-05-06');
    const standing = (id: string, pass: string) => {
      const found = handed.find((candidate) => candidate.room.room.id === id && candidate.task.pass === pass);
      return found && passStanding(found);
    };
    expect(standing('bunk-room', 'fill')).toMatchObject({
      kind: 'go',
      coats: [
        { coat: { class: 'fasteners' }, part: 1 },
        { coat: { class: 'flat' }, part: 1 },
        { coat: { class: 'angle', side: 'first' }, part: 1 },
      ],
    });
    expect(standing('galley', 'finish')).toMatchObject({ kind: 'wet' });
    expect(standing('landing', 'tape')).toMatchObject({ kind: 'stuck', why: expect.stringContaining('Electrician') });
    expect(standing('bath', 'sand')).toEqual({ kind: 'go', coats: [] });
    expect(standing('hall', 'finish')).toMatchObject({ kind: 'wet' });
  });

  it('knows how much of a pass is done', () => {
    const done = (id: string, pass: string) => {
      const task = room(id).tasks.find((candidate) => candidate.pass === pass);
      return task && passDone({ room: room(id), task });
    };
    expect(done('galley', 'fill')).toBe(1);
    expect(done('galley', 'finish')).toBe(0);
    // Butts done and the flats of two walls, of five classes.
    expect(done('day-room', 'fill')).toBeCloseTo((1 + wallsDone()) / 5, 9);
    expect([done('pantry', 'sand'), done('bath', 'sand')]).toEqual([1, 0]);
    // By the hours butts and flats count as much as they take.
    const task = room('day-room').tasks.find(({ pass }) => pass === 'fill');
    const hoursOf = (kind: string) =>
      task?.coats.reduce((sum, coat, index) => sum + (coat.class === kind ? (task.parts[index]?.hours ?? 0) : 0), 0) ??
      0;
    expect(task && hoursDone({ room: room('day-room'), task })).toBeCloseTo(
      (hoursOf('butt') + wallsDone() * hoursOf('flat')) / (task?.hours ?? 1),
      9,
    );
  });

  it('draws the drying of a wet room from being put on until dry', () => {
    const coats = wetCoats(room('galley'), now);
    expect(coats.length).toBeGreaterThan(2);
    for (const { since, until, curve } of coats) {
      expect(since).toBeLessThan(now);
      expect(until).toBeGreaterThan(now);
      expect([curve[0]?.left, curve.at(-1)?.left]).toEqual([1, expect.closeTo(0, 6)]);
    }
    expect(wetCoats(room('boot-room'), now)).toEqual([]);
  });

  it('draws setting mud on its way to being coated again, not to being dry', () => {
    const at = new Date(now - 600_000).toISOString();
    const tape: Entry = {
      id: '00000000-0000-4000-8000-0000000000aa',
      room: 'boot-room',
      at,
      kind: 'coat',
      payload: { class: 'flat', key: 'tape', part: 1, mud: { kind: 'setting', minutes: 20 } },
      seq: 1,
      by: IDS.Ines,
      role: 'finisher',
      recordedAt: at,
    };
    const { house } = snapshot;
    const boot = houseSnapshot(
      house,
      [room('boot-room').room],
      stateOf([tape]),
      () => AIR,
      now,
      (own) => whatIsKept(takeOff(own, house)),
    ).rooms[0];
    const [coat] = boot ? wetCoats(boot, now) : [];
    expect(coat?.until).toBe(now + 1_200_000);
    expect(coat?.curve.at(-1)?.left).toBeCloseTo(0, 9);
  });
});
