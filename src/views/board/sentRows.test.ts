import { describe, expect, it } from 'vitest';
import type { BoardRow } from './boardRows';
import { receivedRows, sentRows } from './sentRows';

const room = (id: string, share: number): BoardRow => ({
  id,
  name: `Room ${id}`,
  level: 4,
  method: 0,
  way: '',
  progress: share / 2,
  tooLarge: false,
  held: share === 0 ? 'no heat' : undefined,
  over: false,
  faces: [
    { id: 'w0', words: 'wall 1', ceiling: false },
    { id: 'c0', words: 'ceiling', ceiling: true },
  ],
  cells: [
    {
      class: 'flat',
      now: 'go',
      words: { mark: 'go', title: 'Go', detail: 'fill coat' },
      coats: [
        { key: 'tape', phase: 'dry', share: 1 },
        { key: 'fill', phase: 'part', share },
      ],
      on: [0, 1],
      amount: 3048.5,
    },
    {
      class: 'butt',
      now: 'dry',
      words: { mark: 'quiet', title: 'Dry' },
      coats: [],
      on: [1],
      amount: 0,
      catchUp: { key: 'fill', setting: { minutes: 45, hoursWon: 3 }, fanHours: 2 },
    },
  ],
});

describe('the rows of the board on their way', () => {
  it('arrive as they were sent', () => {
    const rows = [room('den', 0.25), room('hall', 0.25), room('bath', 0)];
    // What is undefined is not sent.
    expect(receivedRows(sentRows(rows))).toEqual(JSON.parse(JSON.stringify(rows)));
    expect(receivedRows(sentRows([]))).toEqual([]);
  });

  it('name what many rooms say once', () => {
    const [one, alike, other] = [1, 40, 40].map((count, which) =>
      sentRows(Array.from({ length: count }, (_, index) => room(`r${index}`, which === 2 ? index / 40 : 0.25))),
    );
    const times = (text = '') => text.split('wall 1').length - 1;
    expect([times(one), times(alike), times(other)]).toEqual([1, 1, 1]);
    expect((alike ?? '').split('"part"').length - 1).toBe(1);
    expect((other ?? '').split('"part"').length - 1).toBe(40);
  });

  it('are refused where a number names nothing', () => {
    const sent = sentRows([room('den', 0.25)]).replace('"faces":0', '"faces":7');
    expect(() => receivedRows(sent)).toThrow('nothing of number 7');
  });
});
