import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { demoHouse } from '../db/demo/demoHouse';
import { runOak } from './runOak';

describe('the oak command', () => {
  const folder = mkdtempSync(join(tmpdir(), 'oak-cli-'));
  const file = join(folder, 'house.json');
  const oak = (...args: readonly string[]) => runOak(args);
  beforeAll(() => writeFileSync(file, JSON.stringify(demoHouse())));
  afterAll(() => rmSync(folder, { recursive: true, force: true }));

  it('prints the take-off as JSON', () => {
    const { status, stdout, stderr } = oak('takeoff', file);
    expect([status, stderr]).toEqual([0, '']);
    const report: { unit: string; rooms: { tally: { threeWays: number } }[]; total: { threeWays: number } } =
      JSON.parse(stdout);
    expect(report.unit).toBe('in');
    expect(report.rooms).toHaveLength(demoHouse().rooms.length);
    expect(report.total.threeWays).toBe(report.rooms.reduce((sum, { tally }) => sum + tally.threeWays, 0));
  });

  it('prints a table with --text', () => {
    expect(oak('materials', file, '--text').stdout).toMatch(/^tape +net [\d.]+ {3}withWaste [\d.]+ {3}packs \d+$/m);
  });

  it('refuses a wrong file in one line naming the field, with exit code 2', () => {
    const wrong = join(folder, 'wrong.json');
    const house = demoHouse();
    writeFileSync(
      wrong,
      JSON.stringify({ ...house, rooms: house.rooms.map((room) => ({ ...room, soffits: [{ wall: 0 }] })) }),
    );
    const { status, stdout, stderr } = oak('takeoff', wrong);
    expect([status, stdout]).toEqual([2, '']);
    expect(stderr).toBe('rooms[0].soffits[0].from: is missing\n');
  });

  it.each([
    [['takeoff'], 'takeoff: needs a house file\n'],
    [['takeoff', 'nowhere.json'], 'nowhere.json: there is no such file\n'],
    [['paint', 'a'], 'paint: is no command; there are takeoff, materials, cut, plan, state, line, dry\n'],
    [
      ['constructor', 'house.json'],
      'constructor: is no command; there are takeoff, materials, cut, plan, state, line, dry\n',
    ],
    [['dry', '--temp', '70F', '--rh', '50', 'extra'], 'extra: dry takes options only\n'],
    [['takeoff', 'a.json', '--temp', '70F'], "Unknown option '--temp'\n"],
    [['line', "-5' x 5' x 8'"], 'line, character 1: a length starts with a number\n'],
    [['dry', '--rh', '50'], '--temp: is missing; write 70F or 21C\n'],
    [['dry', '--colour', 'red'], "Unknown option '--colour'\n"],
  ])('refuses %j', (args, message) => {
    expect(oak(...args)).toEqual({ status: 2, stdout: '', stderr: message });
  });

  it('reads a temperature below zero', () => {
    const { status, stdout } = oak('dry', '--temp', '-5C', '--rh', '50');
    expect([status, JSON.parse(stdout).warnings]).toEqual([0, [expect.stringMatching(/^below 10 °C/)]]);
  });

  it('explains itself with --help', () => {
    expect(oak('--help').stdout).toContain('oak takeoff FILE');
    expect(oak('dry', '--help').stdout).toContain('--mud drying|45');
  });
});
