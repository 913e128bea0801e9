import Papa from 'papaparse';
import { describe, expect, it } from 'vitest';
import { airClock } from '@/core/air/airClock';
import type { SourcedAir } from '@/core/air/roomAir';
import { takeOff, whatIsKept } from '@/core/joints/takeOff';
import { houseSnapshot } from '@/core/snapshot/houseSnapshot';
import { houseOf } from '../../tests/houses/readRooms';
import { csvOf } from './csv';

const house = houseOf(["A 12' x 10' x 8', door 32x80 wall 1 bead", "B 20' x 14' x 9'"]);
const AIR = airClock<SourcedAir>([
  { from: 0, air: { temperature: 21, humidity: 50 }, source: { kind: 'house' }, readAt: 0 },
]);
const snapshotWith = (name: string) => {
  const rooms = house.rooms.map((room, index) => (index === 0 ? { ...room, name } : room));
  return houseSnapshot(
    house,
    rooms,
    new Map(),
    () => AIR,
    0,
    (room) => whatIsKept(takeOff(room, house)),
  );
};
const read = (text: string) => Papa.parse<Record<string, string>>(text, { header: true }).data;

describe('a house as a table', () => {
  it('has a row for each room, and what its rows add up to is the tally', () => {
    const snapshot = snapshotWith('A');
    const rows = read(csvOf('rooms', snapshot));
    expect(rows.map((row) => row.Room)).toEqual(['A', 'B']);
    const flats = rows.reduce((sum, row) => sum + Number(row['Flats (in)']), 0);
    expect(flats).toBeCloseTo(snapshot.tally.classes.flat.length / 25.4, 6);
  });

  it('has what each room takes, which adds up to what the house takes', () => {
    const snapshot = snapshotWith('A');
    const rows = read(csvOf('load', snapshot));
    expect(rows.map((row) => row.Room)).toEqual(['A', 'B']);
    const sum = (field: string) => rows.reduce((all, row) => all + Number(row[field]), 0);
    expect(sum('Paper tape (ft)')).toBeCloseTo(snapshot.load.tape.net / 304.8, 1);
    expect(sum('Screws')).toBeCloseTo(snapshot.load.screws.net, 6);
    const taping = snapshot.load.mud.find(({ product }) => product === 'taping');
    expect(taping?.net).toBeGreaterThan(0);
    expect(sum('Taping mud (gal)')).toBeCloseTo((taping?.net ?? 0) / 3.785411784, 1);
    const bead = snapshot.load.bead.reduce((all, { net }) => all + net, 0);
    expect(sum('Bead and trim (ft)')).toBeCloseTo(bead / 304.8, 1);
  });

  it('has a row for each piece: of a seam one, of an angle its two sides', () => {
    const snapshot = snapshotWith('A');
    const rows = read(csvOf('pieces', snapshot));
    const sum = (kind: string) =>
      rows.filter((row) => row.Class === kind).reduce((all, row) => all + Number(row['Length (in), or how many']), 0);
    expect(sum('Flats')).toBeCloseTo(snapshot.tally.classes.flat.length / 25.4, 4);
    expect(sum('Inside angles')).toBeCloseTo((2 * snapshot.tally.classes.angle.length) / 25.4, 4);
    expect(sum('Fasteners')).toBe(snapshot.tally.fasteners);
  });

  it('says where each piece lies on its face: courses from the top, butts from the left, edges by what they meet', () => {
    const rows = read(csvOf('pieces', snapshotWith('A')));
    const places = (kind: string) => new Set(rows.filter((row) => row.Class === kind).map((row) => row['Place (in)']));
    for (const place of places('Flats'))
      expect(place).toMatch(/^\d+(\.\d+)? from the (top|left), \d+(\.\d+)? from the (left|top)$/);
    expect(rows.find((row) => row.Class === 'Flats' && row.Face === 'wall 1')?.['Place (in)']).toMatch(
      /^48 from the top/,
    );
    for (const place of places('Inside angles')) expect(place).toMatch(/^with (wall \d|ceiling|opening 1)/);
    expect(places('Fasteners')).toEqual(new Set(['']));
  });

  it('is text where a name looks like a formula, and holds commas and quotation marks', () => {
    for (const name of ['=1+1', '@now', '-5', 'Hall, "upper"']) {
      const [row] = read(csvOf('rooms', snapshotWith(name)));
      expect(row?.Room?.replace(/^'/, '')).toBe(name);
      if (/^[=@-]/.test(name)) expect(csvOf('rooms', snapshotWith(name))).toContain(`'${name}`);
    }
  });
});
