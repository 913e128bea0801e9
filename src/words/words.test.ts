import { describe, expect, it } from 'vitest';
import { dayAfter } from '../core/measure/dayOf';
import { airWords } from './airWords';
import { areaWords, lengthWords, roughLength, sizeWords } from './lengthWords';
import { dayWords, instantWords, spanWords, untilWords } from './when';

const at = (text: string) => Date.parse(text);
const NOW = at('2031-05-06T06:52:00Z');

describe('lengths in proper type', () => {
  it.each([
    [3771.9, '12′ 4 ½″'],
    [3657.6, '12′ 0″'],
    [38.1, '1 ½″'],
    [12.7, '½″'],
    [25.4 * (3 / 16), '³⁄₁₆″'],
    [25.4 * (12 * 3482 + 11 / 16), '3,482′ ¹¹⁄₁₆″'],
    [-38.1, '−1 ½″'],
    [0, '0″'],
  ])('%f mm is %s', (mm, words) => {
    expect(lengthWords(mm, 'in')).toBe(words);
  });

  it('keeps millimetres as millimetres', () => {
    expect(lengthWords(3766.4, 'mm')).toBe('3,766 mm');
  });

  it('rounds where inches do not matter', () => {
    expect(roughLength(3482 * 304.8 + 100, 'in')).toBe('3,482 ft');
    expect(roughLength(1_061_400, 'mm')).toBe('1,061 m');
    expect(areaWords(442.2 * 304.8 ** 2, 'in')).toBe('442 ft²');
    expect(areaWords(41_080_000, 'mm')).toBe('41.1 m²');
    expect(sizeWords(1219.2, 3657.6, 'in')).toBe('4′\u00a0×\u00a012′');
  });

  it('says air in the unit of the house', () => {
    expect(airWords({ temperature: 18.9, humidity: 58.2 }, 'in')).toBe('66 °F · 58 %');
    expect(airWords({ temperature: 18.9, humidity: 58.2 }, 'mm')).toBe('18.9 °C · 58 %');
  });
});

describe('times where the house stands', () => {
  it.each([
    ['2031-05-06T09:08:00Z', '9:10'],
    ['2031-05-07T06:00:00Z', 'tomorrow 6:00'],
    ['2031-05-08T14:00:00Z', 'Thu 14:00'],
    ['2031-05-20T14:00:00Z', '20 May'],
  ])('until %s reads %s', (instant, words) => {
    expect(untilWords(at(instant), NOW, 'UTC')).toBe(words);
  });

  it('follow the time zone of the house, not of the server', () => {
    expect(untilWords(at('2031-05-06T09:00:00Z'), NOW, 'America/New_York')).toBe('5:00');
    expect(untilWords(at('2031-05-07T02:00:00Z'), NOW, 'America/New_York')).toBe('22:00');
    expect(instantWords(NOW, 'Asia/Tokyo')).toBe('Tue 6 May, 15:52');
    expect(dayAfter(at('2031-05-06T23:30:00Z'), 1, 'Asia/Tokyo')).toBe('2031-05-08');
    // The days on which clocks change are 25 and 23 hours long: the first came twice, the second not at all.
    const days = (text: string) => [0, 1, 2].map((later) => dayAfter(at(text), later, 'America/New_York'));
    expect(days('2026-11-01T04:30:00Z')).toEqual(['2026-11-01', '2026-11-02', '2026-11-03']);
    expect(days('2026-03-08T04:30:00Z')).toEqual(['2026-03-07', '2026-03-08', '2026-03-09']);
    expect(days('2032-02-28T12:00:00Z')).toEqual(['2032-02-28', '2032-02-29', '2032-03-01']);
    expect(days('2031-12-31T12:00:00Z')).toEqual(['2031-12-31', '2032-01-01', '2032-01-02']);
  });

  it('say what never dries', () => {
    expect(untilWords(Number.POSITIVE_INFINITY, NOW, 'UTC')).toBe('the air is drier');
  });

  it('say stretches of time as people do', () => {
    expect([0.75, 1, 7.3333, 26.5].map(spanWords)).toEqual(['45 min', '1 h', '7 h 20', '26 h 30']);
    expect(dayWords('2031-11-24')).toBe('Mon 24 Nov');
  });
});
