import { describe, expect, it } from 'vitest';
import type { SensorStanding } from '@/core/air/sensorStanding';
import { worksAt } from './ArrivalList';
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

describe('what can be worked on at an hour', () => {
  const hall = room({
    classes: [
      { class: 'flat', at: 0, round: 'fill' },
      { class: 'butt', at: NOW + 2 * HOUR, round: 'finish' },
      { class: 'bead', at: NOW + 9 * HOUR, round: 'finish' },
    ],
    first: NOW + 2 * HOUR,
    all: NOW + 9 * HOUR,
  });
  const bath = room({ name: 'Bath', classes: [{ class: 'flat', at: NOW + HOUR, round: undefined }] });

  it('is told by pass in the order of the work, with the classes that are ready by then', () => {
    expect(worksAt([hall, bath], NOW + 3 * HOUR)).toEqual([
      { pass: 'fill', rooms: [{ name: 'Hall', classes: ['flats'] }] },
      { pass: 'finish', rooms: [{ name: 'Hall', classes: ['butts'] }] },
      { pass: 'sand', rooms: [{ name: 'Bath', classes: [] }] },
    ]);
  });

  it('leaves out what is wet then, rooms that are stuck and rooms that are done', () => {
    expect(worksAt([bath], NOW)).toEqual([]);
    expect(
      worksAt(
        [
          { ...hall, stuck: 'plumber' },
          { ...bath, done: true },
        ],
        NOW + 99 * HOUR,
      ),
    ).toEqual([]);
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
    expect(faultsOf({ ...sound, lastAt: NOW - 7 * HOUR }, NOW)).toEqual(['silent: its room borrows the air of others']);
  });

  it('are each said', () => {
    const all = { ...sound, lastAt: NOW - 3 * HOUR, jumped: 2, doubtful: 4, stuck: true, hourLate: true };
    expect(faultsOf(all, NOW)).toEqual([
      'silent: its last reading still holds',
      'has said the very same for twelve hours: is it stuck?',
      'its readings arrive an hour old: is its clock an hour behind?',
      'left out until somebody says that they are right, as they look like °F sent as °C: 4',
      'left out this week, as they jump away from their hour: 2',
    ]);
  });
});
