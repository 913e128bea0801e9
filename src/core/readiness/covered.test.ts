import { describe, expect, it } from 'vitest';
import { TOBIN } from '../../../tests/houses/logEntry';
import { EVERY_COAT, recordedRoom, type Sent } from '../../../tests/houses/recordedRoom';
import { dueItems, mendedBefore } from './mending';

const ITEM = '00000000-0000-4000-8000-0000000000f1';

describe('what was covered before it was fixed', () => {
  const bubble: Sent = [30, 'item', { defect: 'bubble', face: 'w0', piece: 'w0#v1219.0@w0' }, ITEM];
  const why = 'a closet; the builder agrees';
  const over = EVERY_COAT.map(
    (sent): Sent => (sent[0] === 40 ? [sent[0], sent[1], { ...sent[2], covers: { items: [ITEM], why } }] : sent),
  );
  const roomAt = (hours: number) =>
    recordedRoom(
      [...over.slice(0, 3), bubble, ...over.slice(3)].filter(([at]) => at <= hours),
      hours,
    ).room;

  it('is open, with who covered it and why', () => {
    expect(roomAt(31).state.items).toMatchObject([{ closed: undefined }]);
    expect(roomAt(41).state.items).toMatchObject([
      { closed: undefined, covered: { who: [TOBIN], why, at: '2031-05-06T23:00:00.000Z' } },
    ]);
  });

  it('holds up no other coat, and is due when the last one is on', () => {
    expect(dueItems(roomAt(31))).toHaveLength(1);
    expect(dueItems(roomAt(79))).toEqual([]);
    expect(mendedBefore(roomAt(79), ['flat'])).toEqual([]);
    expect(dueItems(roomAt(119))).toHaveLength(1);
    expect(roomAt(119).standing.now.kind).toBe('fix');
  });
});
