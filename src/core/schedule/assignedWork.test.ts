import { describe, expect, it } from 'vitest';
import { MARIT, TOBIN } from '../../../tests/houses/logEntry';
import { coat, recordedRoom, type Sent } from '../../../tests/houses/recordedRoom';
import { assignedDays } from './assignedDays';
import { handedPasses } from './assignedWork';

const given = (hours: number, work: string, day: string, people: readonly string[] = [TOBIN]): Sent => [
  hours,
  'assigned',
  { work, people, day },
];
const TAPED = ['flat.tape', 'angle.tape', 'fasteners.tape'].map((of) => coat(10, of));
const ON_MONDAY = given(0, 'tape', '2031-05-05');

describe('what is handed out for a day', () => {
  const TABLE: readonly (readonly [
    words: string,
    sent: readonly Sent[],
    today: string,
    expected: readonly string[],
  ])[] = [
    ['is on that day', [ON_MONDAY], '2031-05-05', ['tape 2031-05-05']],
    ['is not there the day before', [given(0, 'tape', '2031-05-06')], '2031-05-05', ['tape 2031-05-06']],
    ['is left on the next day', [ON_MONDAY], '2031-05-06', ['tape 2031-05-06, left from 2031-05-05']],
    ['and a week later', [ON_MONDAY], '2031-05-12', ['tape 2031-05-12, left from 2031-05-05']],
    ['is left in part', [ON_MONDAY, coat(10, 'flat.tape')], '2031-05-06', ['tape 2031-05-06, left from 2031-05-05']],
    ['is not left when it is done', [ON_MONDAY, ...TAPED], '2031-05-06', ['tape 2031-05-05']],
    ['is not left when it was taken off', [ON_MONDAY, given(1, 'tape', '2031-05-05', [])], '2031-05-06', []],
    [
      'is not left when it was handed out anew',
      [ON_MONDAY, given(1, 'tape', '2031-05-08')],
      '2031-05-06',
      ['tape 2031-05-08'],
    ],
    [
      'is not left with who lost it',
      [ON_MONDAY, given(1, 'tape', '2031-05-05', [MARIT])],
      '2031-05-06',
      ['tape 2031-05-06, left from 2031-05-05'],
    ],
  ];
  it.each(TABLE.map((row) => ({ words: row[0], row })))('$words', ({ row: [, sent, today, expected] }) => {
    const { room, refused } = recordedRoom(sent, 12);
    expect(refused.filter(Boolean)).toEqual([]);
    const passes = handedPasses([room], today).map(
      ({ task, day, leftFrom }) => `${task.pass} ${day}${leftFrom ? `, left from ${leftFrom}` : ''}`,
    );
    expect(passes).toEqual(expected);
  });

  it('stands first on the list of who has it, with the hours that are left of it', () => {
    const sent = [ON_MONDAY, coat(10, 'flat.tape'), given(11, 'fill', '2031-05-06')];
    const { room } = recordedRoom(sent, 12);
    const days = assignedDays([room], '2031-05-06');
    const { passes, left } = days.dayOf(TOBIN, '2031-05-06');
    expect(passes.map(({ task }) => task.pass)).toEqual(['tape', 'fill']);
    const [tape, fill] = passes;
    if (!tape || !fill) throw new Error('both are on the list');
    expect(days.hoursOf(tape, TOBIN)).toBeLessThan(tape.task.hours);
    expect(left).toBeCloseTo(days.hoursOf(tape, TOBIN) + fill.task.hours + 0.5, 9);
    expect(days.dayOf(TOBIN, '2031-05-05').passes).toEqual([]);
  });
});
