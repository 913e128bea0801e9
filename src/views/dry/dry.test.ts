import { describe, expect, it } from 'vitest';
import type { SensorStanding } from '@/core/air/sensorStanding';
import type { Entry } from '@/core/log/entry';
import { logEntry } from '../../../tests/houses/logEntry';
import { oneRoomSnapshot } from '../../../tests/houses/oneRoomSnapshot';
import { arrivalRows } from './arrivalRows';
import type { StripRoom } from './dryRooms';
import { sourceWords } from './dryWords';
import { rowWords } from './HouseStrip';
import { faultsOf } from './SensorList';

const HOUR = 3_600_000;
const NOW = Date.parse('2031-05-06T06:00:00Z');
const room = (fields: Partial<StripRoom> = {}): StripRoom => ({
  id: 'hall',
  name: 'Hall',
  stuck: undefined,
  done: false,
  classes: [],
  first: undefined,
  all: undefined,
  catchUps: [],
  ...fields,
});

describe('what can be worked on when the crew arrives', () => {
  const LINE = "A 12' x 10' x 8', door 32x80 wall 1 bead";
  const at = (hours: number) => NOW + hours * HOUR;
  const coat = (kind: 'flat' | 'angle', when: number) =>
    logEntry({
      kind: 'coat',
      at: when,
      payload: { class: kind, key: 'tape', part: 1, mud: { kind: 'drying' } },
    });
  const { roomWith } = oneRoomSnapshot(LINE, at(3));
  const days = ['2031-05-06', '2031-05-07'].map((day) => ({ day, begins: 0, ends: 0 }));
  const rowsOf = (entries: readonly Entry[]) => arrivalRows([roomWith(entries)], { begins: 7, days }, at(3), 'UTC');

  it('is told by pass with the classes that are ready by then, and what is wet still', () => {
    const rows = rowsOf([coat('flat', at(-20)), coat('angle', at(1))]);
    // At 9 the clock has passed 7 and 8 of today: those are of tomorrow.
    expect(rows.map(({ hour, at: when }) => [hour, when])).toContainEqual([7, at(25)]);
    expect(rows.map(({ hour, at: when }) => [hour, when])).toContainEqual([10, at(4)]);
    const [ten, seven] = [10, 7].map((hour) => rows.find((row) => row.hour === hour));
    const works = (row: (typeof rows)[number] | undefined, pass: string) =>
      row?.works.find((own) => own.pass === pass)?.rooms[0]?.classes;
    expect(works(ten, 'fill')).toEqual(['flats']);
    expect(works(ten, 'tape')).toEqual(['corner bead', 'fasteners']);
    expect(ten?.wet).toHaveLength(1);
    expect(works(seven, 'fill')).toEqual(['flats', 'inside angles']);
    expect(seven?.wet).toEqual([]);
  });

  it('is nothing in a room that somebody else has, and there are no hours where nobody works', () => {
    const held = logEntry({ kind: 'held', at: at(0), role: 'lead', payload: { why: 'plumber' } });
    expect(rowsOf([held]).every(({ works }) => works.length === 0)).toBe(true);
    expect(arrivalRows([roomWith([])], { begins: 7, days: [] }, at(3), 'UTC')).toEqual([]);
  });
});

describe('a room on the strip in words', () => {
  const wet = { first: NOW + HOUR, all: NOW + 3 * HOUR };
  it.each([
    [{ stuck: 'plumber until two' }, 'stuck: plumber until two'],
    [{ done: true }, 'no coat to wait for'],
    [{ classes: [{ class: 'flat', at: 0, round: 'fill' }] }, 'ready now'],
    [{ classes: [{ class: 'flat', at: 0, round: undefined }] }, 'ready to sand'],
    [wet, 'wet, first ready 7:00, all ready 9:00'],
    [{ first: NOW + HOUR, all: NOW + HOUR }, 'wet, all ready 7:00'],
    [{ ...wet, classes: [{ class: 'flat', at: 0, round: 'fill' }] }, 'partly ready now, all ready 9:00'],
  ] satisfies readonly [Partial<StripRoom>, string][])('%j: %s', (fields, words) => {
    expect(rowWords(room(fields), NOW, 'UTC')).toBe(words);
  });
});

describe('where air comes from', () => {
  const words = (source: Parameters<typeof sourceWords>[0]['source'], hoursAgo = 0) =>
    sourceWords({ source, readAt: NOW - hoursAgo * HOUR }, NOW, (id) => id.toUpperCase());

  it('is always said, and how old it is when it is', () => {
    expect(words({ kind: 'room' })).toBe('measured here');
    expect(words({ kind: 'room' }, 9)).toBe('measured here, read 9 h ago');
    expect(words({ kind: 'neighbour', room: 'hall' })).toBe('borrowed from HALL');
    expect(words({ kind: 'house' }, 3)).toBe('the house’s air, read 3 h ago');
    expect(words({ kind: 'forecast' }, 1)).toBe('forecast; last reading 1 h ago');
    expect(words({ kind: 'assumed' })).toBe('assumed, never measured');
  });
});

describe('the faults of a sensor', () => {
  const sound: SensorStanding = {
    id: 'a',
    roomId: 'hall',
    name: 'Hall sensor',
    lastAt: NOW,
    temperature: 19,
    humidity: 50,
    jumped: 0,
    doubtful: 0,
    stuck: false,
    hourLate: false,
  };

  it('are none of a sound one, nor of a new one', () => {
    expect(faultsOf(sound, NOW)).toEqual([]);
    expect(faultsOf({ ...sound, lastAt: undefined }, NOW)).toEqual([]);
  });

  it('tell from when on its room goes by others', () => {
    expect(faultsOf({ ...sound, lastAt: NOW - 7 * HOUR }, NOW)).toEqual(['Offline. Using readings from other rooms.']);
  });

  it('are each said', () => {
    const all = { ...sound, lastAt: NOW - 3 * HOUR, jumped: 2, doubtful: 4, stuck: true, hourLate: true };
    expect(faultsOf(all, NOW)).toEqual([
      'silent: its last reading still holds',
      'has said the very same for twelve hours: is it stuck?',
      'its readings arrive an hour old: is its clock an hour behind?',
      'not used because they look like °F sent as °C. Confirm them if they are right: 4',
      'left out this week, as they jump away from their hour: 2',
    ]);
  });
});
