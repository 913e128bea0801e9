import { describe, expect, it } from 'vitest';
import { INES, logEntry, TOBIN } from '../../../tests/houses/logEntry';
import { batchesOf } from './batch';
import { isOfCrew } from './person';

const MINUTE = 60_000;
const mixed = (minute: number, minutes: number, by = TOBIN) =>
  logEntry({ kind: 'mixed', at: minute * MINUTE, by, payload: { minutes, product: `label ${minutes}`, amount: 4 } });

describe('setting mud that somebody may be using', () => {
  const log = [mixed(0, 45), mixed(60, 90), mixed(30, 20, INES), logEntry({ kind: 'released', payload: {} })];
  const at = (minute: number, who = TOBIN) => batchesOf(log, who, minute * MINUTE).map(({ minutes }) => minutes);
  it.each([
    ['before it is mixed', -1, []],
    ['at the minute in which it is', 0, [45]],
    ['with a second one, the last first', 60, [90, 45]],
    ['until three times its label', 134, [90, 45]],
    ['and no longer', 135, [90]],
    ['hours later', 400, []],
  ] as const)('%s', (_words, minute, is) => {
    expect(at(minute)).toEqual(is);
  });

  it('is theirs alone, with what is on its label', () => {
    expect(at(40, INES)).toEqual([20]);
    const [own] = batchesOf(log, INES, 40 * MINUTE);
    expect(own).toMatchObject({ by: INES, at: 30 * MINUTE, minutes: 20, product: 'label 20', amount: 4 });
  });
});

describe('who is of the crew', () => {
  it.each([
    ['lead', undefined, true],
    ['finisher', undefined, true],
    ['viewer', undefined, false],
    ['finisher', true, false],
    ['lead', true, false],
  ] as const)('a %s (left: %s): %s', (role, left, is) => {
    expect(isOfCrew({ role, ...(left && { left }) })).toBe(is);
  });
});
