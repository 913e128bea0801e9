import { describe, expect, it } from 'vitest';
import type { WorkItem } from '../work/workItem';
import type { Assignment } from './planHouse';
import { visitsOf } from './visits';

const START = Date.parse('2031-05-05T07:00:00Z');
const MINUTE_MS = 60_000;

/** An item by its room, round and kind, run by somebody from so many minutes after seven for so many minutes. */
type Row = readonly [item: string, people: string, from: number, minutes: number];

function visitsFrom(rows: readonly Row[], least = 30) {
  const items = new Map(
    rows.map(([id]) => {
      const [room = '', pass = ''] = id.split('/');
      return [id, { id, room, pass: pass.split('.')[0] } as unknown as WorkItem];
    }),
  );
  const assignments = rows.map(
    ([item, people, from, minutes]) =>
      ({
        item,
        people: people.split('+'),
        start: START + from * MINUTE_MS,
        end: START + (from + minutes) * MINUTE_MS,
        hours: (minutes / 60) * people.split('+').length,
      }) as unknown as Assignment,
  );
  const houseOf = ({ room }: WorkItem) => (room.startsWith('far') ? 'far' : 'near');
  return visitsOf(assignments, items, { timeZone: 'UTC', least, markOf: houseOf }).map(({ people, runs }) => [
    people.join('+'),
    runs.map(({ item }) => item.id).join(' '),
  ]);
}

describe('visits', () => {
  const TABLE: readonly (readonly [string, readonly Row[], readonly (readonly string[])[]])[] = [
    ['of nothing are none', [], []],
    [
      'are one for a round through a room, kind after kind',
      [
        ['bath/fill.butt', 'ines', 0, 40],
        ['bath/fill.flat', 'ines', 40, 40],
      ],
      [['ines', 'bath/fill.butt bath/fill.flat']],
    ],
    [
      'are one for a round through a run of rooms',
      [
        ['bath/fill.flat', 'ines', 0, 40],
        ['hall/fill.flat', 'ines', 40, 40],
        ['bath/fill.angle', 'ines', 80, 40],
      ],
      [['ines', 'bath/fill.flat hall/fill.flat bath/fill.angle']],
    ],
    [
      'are one for all that is done in a room, whatever it is',
      [
        ['bath/sand', 'ines', 0, 40],
        ['bath/check', 'ines', 40, 40],
      ],
      [['ines', 'bath/sand bath/check']],
    ],
    [
      'are two for another round in another room',
      [
        ['bath/fill.flat', 'ines', 0, 40],
        ['hall/sand', 'ines', 40, 40],
      ],
      [
        ['ines', 'bath/fill.flat'],
        ['ines', 'hall/sand'],
      ],
    ],
    [
      'are two for two people side by side',
      [
        ['bath/fill.flat', 'ines', 0, 40],
        ['hall/fill.flat', 'petra', 0, 40],
      ],
      [
        ['ines', 'bath/fill.flat'],
        ['petra', 'hall/fill.flat'],
      ],
    ],
    [
      'are three where a pair runs something in between',
      [
        ['bath/fill.flat', 'ines', 0, 40],
        ['hall/fill.butt', 'ines+petra', 40, 40],
        ['bath/fill.angle', 'ines', 80, 40],
      ],
      [
        ['ines', 'bath/fill.flat'],
        ['ines+petra', 'hall/fill.butt'],
        ['ines', 'bath/fill.angle'],
      ],
    ],
    [
      'are two on two days',
      [
        ['bath/fill.flat', 'ines', 0, 40],
        ['bath/fill.angle', 'ines', 1440, 40],
      ],
      [
        ['ines', 'bath/fill.flat'],
        ['ines', 'bath/fill.angle'],
      ],
    ],
    [
      'are two in two houses',
      [
        ['bath/fill.flat', 'ines', 0, 40],
        ['far-hall/fill.flat', 'ines', 40, 40],
      ],
      [
        ['ines', 'bath/fill.flat'],
        ['ines', 'far-hall/fill.flat'],
      ],
    ],
    [
      'take what is short along with the next one, and what follows in its room with that',
      [
        ['bath/mend', 'ines', 0, 12],
        ['hall/fill.flat', 'ines', 12, 40],
        ['hall/mend', 'ines', 52, 12],
        ['bath/fill.flat', 'ines', 64, 40],
      ],
      [
        ['ines', 'bath/mend hall/fill.flat hall/mend'],
        ['ines', 'bath/fill.flat'],
      ],
    ],
    [
      'take what is short along with the one before it, where that is in the room',
      [
        ['bath/fill.flat', 'ines', 0, 40],
        ['bath/seal', 'ines', 40, 8],
        ['hall/sand', 'ines', 48, 40],
      ],
      [
        ['ines', 'bath/fill.flat bath/seal'],
        ['ines', 'hall/sand'],
      ],
    ],
    [
      'leave what is short by itself where nobody could take it along',
      [
        ['bath/seal', 'ines', 0, 8],
        ['hall/fill.butt', 'ines+petra', 8, 40],
      ],
      [
        ['ines', 'bath/seal'],
        ['ines+petra', 'hall/fill.butt'],
      ],
    ],
  ];
  it.each(TABLE)('%s', (_words, rows, visits) => {
    expect(visitsFrom(rows)).toEqual(visits);
  });

  it('are all there where nothing is too short', () => {
    const rows: readonly Row[] = [
      ['bath/seal', 'ines', 0, 8],
      ['hall/sand', 'ines', 8, 8],
    ];
    expect(visitsFrom(rows, 0)).toHaveLength(2);
    expect(visitsFrom(rows, 30)).toEqual([['ines', 'bath/seal hall/sand']]);
  });
});
