import { describe, expect, it } from 'vitest';
import { NO_HOURS, timedRun } from './timedRun';

const DONE = Date.parse('2031-05-06T12:00:00Z');
const at = (hours: number) => new Date(DONE - hours * 3_600_000).toISOString();

describe('how long a job took', () => {
  it.each([
    ['', {}],
    ['1.5', { begun: at(1.5), ended: at(0) }],
    ['1,5 h', { begun: at(1.5), ended: at(0) }],
    ['0:20', { begun: at(1 / 3), ended: at(0) }],
    ['24', { begun: at(24), ended: at(0) }],
    ['0', undefined],
    ['0:00', undefined],
    ['-1', undefined],
    ['25', undefined],
    ['99:00', undefined],
    ['soon', undefined],
  ])('is %j as typed', (typed, run) => {
    expect(timedRun(undefined, typed, DONE)).toEqual(run);
  });

  it('is by the clock where one was started, without its pauses', () => {
    const begun = DONE - 3_600_000;
    expect(timedRun({ begun, paused: 600_000, since: undefined }, '7', DONE)).toEqual({
      begun: at(1),
      ended: at(0),
      paused: 10,
    });
    expect(timedRun({ begun, paused: 0, since: DONE - 1_200_000 }, '', DONE)?.paused).toBe(20);
    expect(timedRun({ begun: DONE + 5_000, paused: 0, since: undefined }, '', DONE)?.begun).toBe(at(0));
  });

  it('is asked for again in a sentence where it is none', () => {
    expect(NO_HOURS).toMatch(/more than 0/);
  });
});
