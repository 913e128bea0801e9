import { describe, expect, it } from 'vitest';
import { coat, EVERY_COAT, recordedRoom, type Sent } from '../../../tests/houses/recordedRoom';
import { airClock } from '../air/airClock';
import { signedSheetOf } from './signedSheet';

const SANDED: Sent = [120, 'sanded'];
const CHECKED: Sent = [121, 'checked', { level: 4 }];
const READY = [...EVERY_COAT, SANDED, CHECKED];

const roomWith = (sent: readonly Sent[], hours = 130) => recordedRoom(sent, hours).room;
const sheetWith = (sent: readonly Sent[], hours = 130) =>
  JSON.stringify(signedSheetOf(roomWith(sent, hours), () => 'Tobin'));
const READ = sheetWith(READY);

describe('the sheet that a builder signs', () => {
  it.each<[string, readonly Sent[], number]>([
    ['an hour goes by', READY, 131],
    ['the room is handed over', [...READY, [125, 'handedOver']], 130],
    [
      'somebody signs',
      [
        ...READY,
        [
          125,
          'signed',
          {
            name: 'A',
            as: 'builder',
            strokes: [
              [
                [0, 0],
                [1, 1],
              ],
            ],
          },
        ],
      ],
      130,
    ],
  ])('is the same when %s', (_what, sent, hours) => {
    expect(sheetWith(sent, hours)).toBe(READ);
  });

  it.each<[string, readonly Sent[]]>([
    ['a coat is logged', [...READY, coat(125, 'flat.finish', { part: 0.5 })]],
    ['it was checked to another level', [...EVERY_COAT, SANDED, [121, 'checked', { level: 3 }]]],
    ['a problem is noted', [...READY, [125, 'item', { defect: 'pinholes', text: 'By the door' }]]],
    ['it is sealed', [...READY, [125, 'sealed', {}]]],
  ])('is another one when %s', (_what, sent) => {
    expect(sheetWith(sent)).not.toBe(READ);
  });

  it('does not hang on the air that is measured later', () => {
    const room = roomWith(READY);
    const damp = { temperature: 12, humidity: 90 };
    const later = { ...room, air: airClock([{ from: 0, air: damp, source: { kind: 'assumed' as const }, readAt: 0 }]) };
    expect(JSON.stringify(signedSheetOf(later, () => 'Tobin'))).toBe(READ);
  });

  it('names people, and nobody by an id', () => {
    expect(READ).toContain('"who":["Tobin"]');
    expect(READ).not.toMatch(/"who":\["[0-9a-f]{8}-/);
  });
});
