import { describe, expect, it } from 'vitest';
import { problemsFromZod } from '../room/problem';
import { newEntrySchema } from './entry';

const at = (minutes: number) => new Date(Date.parse('2031-05-05T12:00:00Z') + minutes * 60_000).toISOString();
const PIECE = 'w0#v1219.0@w0';

/** Why an entry at noon is refused, or that it is taken. */
function verdict(kind: string, payload: object, more: object = {}): string {
  const id = '00000000-0000-4000-8000-000000000001';
  const parsed = newEntrySchema.safeParse({ id, room: 'room', at: at(0), kind, payload, ...more });
  if (parsed.success) return 'taken';
  const [first] = problemsFromZod(parsed.error);
  return `${first?.path}: ${first?.reason}`;
}
const coat = (more: object) => verdict('coat', { class: 'flat', key: 'tape', ...more });
const knife = (length: number, seen: object) =>
  verdict('item', { defect: 'crown', piece: PIECE, knife: { length, width: 300, seen } });

describe('the clocks of two phones', () => {
  it.each([
    ['mixed at the minute of the coat', { mixedAt: at(0) }, 'taken'],
    ['mixed a minute after it, by another clock', { mixedAt: at(1) }, 'taken'],
    ['mixed five minutes after it', { mixedAt: at(5) }, 'taken'],
    ['mixed six minutes after it', { mixedAt: at(6) }, 'payload.mixedAt: must lie in the day before the coat'],
    ['mixed a day before', { mixedAt: at(-24 * 60) }, 'taken'],
    ['mixed longer ago', { mixedAt: at(-24 * 60 - 1) }, 'payload.mixedAt: must lie in the day before the coat'],
    ['begun and ended at once', { begun: at(-30), ended: at(-30) }, 'taken'],
    [
      'ended before it was begun',
      { begun: at(-30), ended: at(-31) },
      'payload.ended: must not lie before it was begun',
    ],
    ['ended five minutes after the entry', { begun: at(-30), ended: at(5) }, 'taken'],
    [
      'ended six minutes after it',
      { begun: at(-30), ended: at(6) },
      'payload.ended: must not lie after the entry itself',
    ],
    ['begun after the entry', { begun: at(6) }, 'payload.ended: must not lie after the entry itself'],
  ])('allow what was %s, or not', (_words, more, is) => {
    expect(coat(more)).toBe(is);
    if (!('mixedAt' in more)) expect(verdict('sanded', more)).toBe(is);
  });
});

describe('a coat on pieces', () => {
  const pieces = [{ id: PIECE }];
  it.each([
    ['on pieces', { pieces }, 'taken'],
    ['on faces', { faces: ['w0'] }, 'taken'],
    ['a half of it', { part: 0.5 }, 'taken'],
    ['on pieces and faces', { pieces, faces: ['w0'] }, 'payload.pieces: say by themselves on which faces and how much'],
    ['a half of pieces', { pieces, part: 0.5 }, 'payload.pieces: say by themselves on which faces and how much'],
    ['on no piece', { pieces: [] }, 'payload.pieces: need at least one'],
    ['twice on one piece', { pieces: [...pieces, ...pieces] }, 'payload.pieces: name a piece twice'],
  ])('%s', (_words, more, is) => {
    expect(coat(more)).toBe(is);
  });
});

describe('a knife reading', () => {
  it.each([
    ['rocks a little', 300, { kind: 'rocks', lift: 3, pivot: 150 }, 'taken'],
    [
      'pivots beyond its end',
      300,
      { kind: 'rocks', lift: 3, pivot: 301 },
      'payload.knife.seen.pivot: must lie under the knife',
    ],
    ['pivots at its end', 300, { kind: 'rocks', lift: 3, pivot: 300 }, 'taken'],
    ['lifts by the most that is taken', 100, { kind: 'rocks', lift: 40, pivot: 60 }, 'taken'],
    [
      'lifts higher, or than it is long',
      100,
      { kind: 'rocks', lift: 41, pivot: 50 },
      'payload.knife.seen.lift: must be at most 40 mm',
    ],
    ['shows light at its ends', 300, { kind: 'ends', gap: 2 }, 'taken'],
    [
      'shows more light than a hand is wide',
      300,
      { kind: 'light', gap: 41 },
      'payload.knife.seen.gap: must be at most 40 mm',
    ],
  ])('%s', (_words, length, seen, is) => {
    expect(knife(length, seen)).toBe(is);
  });
});

describe('something that is wrong', () => {
  it.each([
    ['a kind', { defect: 'hollow' }, 'taken'],
    ['words', { text: 'odd' }, 'taken'],
    ['nothing', {}, 'payload.text: needs words, a kind or a photo'],
    ['a length', { defect: 'gap', length: 600 }, 'taken'],
    ['a width alone', { defect: 'gap', width: 6 }, 'payload.length: must say how long it is, where it says how wide'],
    ['a place on a face', { defect: 'gap', face: 'w0', place: [1, 2] }, 'taken'],
    ['a place on no face', { defect: 'gap', place: [1, 2] }, 'payload.face: must say on which face the place is'],
    [
      'a knife on no piece',
      { defect: 'crown', knife: { length: 300, width: 300, seen: { kind: 'ends', gap: 2 } } },
      'payload.piece: must say across which piece the knife lay',
    ],
  ])('says %s', (_words, payload, is) => {
    expect(verdict('item', payload)).toBe(is);
  });
});

describe('what is too little and too much', () => {
  const ID = '00000000-0000-4000-8000-0000000000aa';
  const ids = (count: number) =>
    Array.from({ length: count }, (_, at) => ID.slice(0, -3) + String(at).padStart(3, '0'));
  const points = (count: number) => Array.from({ length: count }, () => [1, 2]);
  const sign = (strokes: readonly unknown[]) => ({ name: 'Harbor Homes', as: 'builder', strokes });
  const on = (pieces: number) => ({
    found: 'grey',
    pieces: Array.from({ length: pieces }, (_, at) => `w${at}#v0.0@w${at}`),
  });
  const flat = { class: 'flat', key: 'tape' };
  /** A kind, and a payload for a value; the least and the most that is taken, and what lies beyond. */
  const BOUNDS: readonly (readonly [
    words: string,
    kind: string,
    of: (value: never) => object,
    taken: readonly unknown[],
    refused: readonly unknown[],
  ])[] = [
    ['metres a second of a fan', 'fan', (speed: number) => ({ speed }), [0, 5, 10], [-0.1, 10.1]],
    ['the label of setting mud', 'mixed', (minutes: number) => ({ minutes }), [0.5, 45, 360], [0, 361]],
    ['litres of mixed mud', 'mixed', (amount: number) => ({ minutes: 45, amount }), [0.1, 20, 200], [0, 201]],
    [
      'minutes of mud on a wall',
      'coat',
      (minutes: number) => ({ ...flat, mud: { kind: 'setting', minutes } }),
      [5, 360],
      [0, 361],
    ],
    ['mm of a coat', 'coat', (thickness: number) => ({ ...flat, thickness }), [0.1, 50], [0, 51]],
    ['the name of a tool', 'coat', (tool: string) => ({ ...flat, tool }), ['', 'x'.repeat(80)], ['x'.repeat(81)]],
    [
      'the name of a mud',
      'coat',
      (product: string) => ({ ...flat, product }),
      ['x', 'x'.repeat(80)],
      [' ', 'x'.repeat(81)],
    ],
    ['a part of a coat', 'coat', (part: number) => ({ ...flat, part }), [0.1, 1], [0, 1.1]],
    ['who ran a coat', 'coat', (count: number) => ({ ...flat, ranBy: ids(count) }), [1, 2, 6], [0, 7]],
    ['one who ran it twice', 'coat', (who: readonly string[]) => ({ ...flat, ranBy: who }), [[ID]], [[ID, ID]]],
    ['minutes of a pause', 'coat', (paused: number) => ({ ...flat, paused }), [0, 14_400], [-1, 14_401]],
    ['the last entry seen', 'coat', (seen: number) => ({ ...flat, seen }), [0, 7], [-1, 0.5]],
    ['grit of the paper', 'sanded', (grit: number) => ({ grit }), [40, 150, 600], [39, 601]],
    [
      'classes sanded',
      'sanded',
      (classes: readonly string[]) => ({ classes }),
      [['flat'], ['flat', 'angle']],
      [[], ['flat', 'flat']],
    ],
    ['grit between coats', 'between', (grit: number) => ({ how: 'sand', grit }), [40, 600], [39, 601]],
    [
      'classes scraped',
      'between',
      (classes: readonly string[]) => ({ how: 'scrape', classes }),
      [['flat'], ['flat', 'angle']],
      [[], ['flat', 'flat']],
    ],
    [
      'people of a job',
      'assigned',
      (count: number) => ({ work: 'tape', people: ids(count), day: '2031-05-06' }),
      [0, 1, 2],
      [3],
    ],
    [
      'the last entry seen by who assigns',
      'assigned',
      (seen: number) => ({ work: 'tape', people: [], day: '2031-05-06', seen }),
      [0, 7],
      [-1],
    ],
    ['points of a stroke', 'signed', (count: number) => sign([points(count)]), [2, 500], [1, 501]],
    [
      'strokes of a signature',
      'signed',
      (count: number) => sign(Array.from({ length: count }, () => points(2))),
      [1, 60],
      [0, 61],
    ],
    ['joints touched', 'touched', on, [1, 2, 50], [0, 51]],
    ['minutes of fixing', 'itemClosed', (minutes: number) => ({ item: ID, minutes }), [0, 1440], [-1, 1441]],
    ['photos shown', 'shown', (count: number) => ({ photos: ids(count) }), [0, 2, 60], [61]],
    [
      'words of what is wrong',
      'item',
      (text: string) => ({ text }),
      ['x', 'x'.repeat(500)],
      ['', ' ', 'x'.repeat(501)],
    ],
    ['mm of a gap', 'item', (length: number) => ({ defect: 'gap', length }), [1, 30_000], [0, 30_001]],
    ['mm across a gap', 'item', (width: number) => ({ defect: 'gap', length: 9, width }), [1, 300], [0, 301]],
    [
      'litres delivered',
      'stock',
      (amount: number) => ({ good: 'taping', what: 'delivered', amount }),
      [0.1, 1e8],
      [0, 1e8 + 1],
    ],
    ['litres counted', 'stock', (amount: number) => ({ good: 'taping', what: 'counted', amount }), [0, 0.5, 1e8], [-1]],
  ];
  it.each(BOUNDS)('%s', (_words, kind, of, taken, refused) => {
    const more = ['mixed', 'stock'].includes(kind) ? { room: null } : {};
    const isTaken = (value: unknown) => verdict(kind, of(value as never), more) === 'taken';
    expect(taken.map(isTaken)).toEqual(taken.map(() => true));
    expect(refused.map(isTaken)).toEqual(refused.map(() => false));
  });
});
