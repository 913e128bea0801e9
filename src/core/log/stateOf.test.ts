import { describe, expect, it } from 'vitest';
import { INES, logEntry, MARIT, TOBIN } from '../../../tests/houses/logEntry';
import { HOUR, iso, type Said, told } from '../../../tests/houses/roomLog';
import type { Entry } from './entry';
import { handedIn, type RoomState } from './roomState';
import { stateOf } from './stateOf';

const ITEM = '00000000-0000-4000-8000-0000000000f1';

const COAT: Said = [0, 'coat', { class: 'flat', key: 'tape', part: 1, mud: { kind: 'drying' } }];
const DEFECT = (defect: string, more: object = {}): Said => [1, 'item', { defect, ...more }, { id: ITEM }];
const openItems = (state: RoomState) => state.items.filter(({ closed }) => !closed).length;

describe('what happened to a room, by its log', () => {
  const TABLE: readonly (readonly [
    words: string,
    said: readonly Said[],
    of: (state: RoomState) => unknown,
    is: unknown,
  ])[] = [
    ['a coat is put on', [COAT], ({ applied }) => applied.length, 1],
    [
      'coats count in the order in which they were put on',
      [[5, 'coat', { class: 'flat', key: 'fill' }], COAT],
      ({ applied }) => applied.map(({ payload }) => payload.key),
      ['tape', 'fill'],
    ],
    [
      'at one instant the one recorded first comes first',
      [[0, 'coat', { class: 'flat', key: 'fill' }], COAT],
      ({ applied }) => applied.map(({ payload }) => payload.key),
      ['fill', 'tape'],
    ],
    ['sealed stays sealed', [COAT, [1, 'sealed']], ({ sealings }) => sealings.at(-1)?.at, iso(1)],
    [
      'a coat opens a sealed room again',
      [[1, 'sealed'], [2, ...COAT.slice(1)] as unknown as Said],
      ({ sealings }) => sealings.at(-1),
      undefined,
    ],
    [
      'a coat opens a room that was handed over',
      [[1, 'handedOver'], [2, ...COAT.slice(1)] as unknown as Said],
      ({ handedOver }) => handedOver,
      undefined,
    ],
    [
      'a coat makes a signature void',
      [[1, 'signed', { name: 'Harbor Homes', strokes: [] }], [2, ...COAT.slice(1)] as unknown as Said],
      ({ signatures }) => signatures.length,
      0,
    ],
    [
      'a signature after it counts',
      [COAT, [1, 'signed', { name: 'Harbor Homes', strokes: [] }]],
      ({ signatures }) => signatures.length,
      1,
    ],
    [
      'sanding knows how many coats were on',
      [COAT, [1, 'sanded', { classes: ['flat'] }]],
      ({ sandings }) => sandings.map(({ after: on, classes, faces }) => [on, classes, faces]),
      [[1, ['flat'], undefined]],
    ],
    [
      'a check knows it too',
      [COAT, [1, 'checked', { level: 4, light: 'lamp' }]],
      ({ checks }) => checks.map(({ after: on, level, light, faces }) => [on, level, light, faces]),
      [[1, 4, 'lamp', undefined]],
    ],
    [
      'scraping between coats knows it too',
      [COAT, [1, 'between', { how: 'scrape', faces: ['w0'] }]],
      ({ betweens }) => betweens.map(({ after: on, how, faces }) => [on, how, faces]),
      [[1, 'scrape', ['w0']]],
    ],
    [
      'faces are found good, then held',
      [
        [0, 'accepted', { found: 'good' }],
        [1, 'accepted', { found: 'held', faces: ['w1'] }],
      ],
      ({ acceptances }) => acceptances.map(({ found, faces }) => [found, faces]),
      [
        ['good', undefined],
        ['held', ['w1']],
      ],
    ],
    ['something is wrong', [DEFECT('hollow')], openItems, 1],
    ['what is wrong knows how many coats were on', [COAT, DEFECT('hollow')], ({ items }) => items[0]?.after, 1],
    [
      'it is fixed',
      [DEFECT('hollow'), [2, 'itemClosed', { item: ITEM, minutes: 5 }]],
      ({ items }) => [items[0]?.closed?.at, items[0]?.closed?.minutes],
      [iso(2), 5],
    ],
    [
      'who fixed it first has fixed it',
      [
        DEFECT('hollow'),
        [2, 'itemClosed', { item: ITEM }, { by: INES }],
        [3, 'itemClosed', { item: ITEM }, { by: MARIT }],
      ],
      ({ items }) => items[0]?.closed?.who,
      [INES],
    ],
    [
      'another one is not fixed by it',
      [DEFECT('hollow'), [2, 'itemClosed', { item: '00000000-0000-4000-8000-0000000000f2' }]],
      openItems,
      1,
    ],
    ['sealing closes what shows through', [DEFECT('showThrough'), [2, 'sealed']], openItems, 0],
    ['sealing leaves a hollow open', [DEFECT('hollow'), [2, 'sealed']], openItems, 1],
    [
      'sealing leaves open what has no name',
      [
        [1, 'item', { text: 'odd' }],
        [2, 'sealed'],
      ],
      openItems,
      1,
    ],
    ['what shows through after sealing is open', [[0, 'sealed'], DEFECT('showThrough')], openItems, 1],
    [
      'pre-filling closes a gap',
      [DEFECT('gap'), [2, 'prefilled', { mud: { kind: 'setting', minutes: 45 } }]],
      openItems,
      0,
    ],
    [
      'pre-filling one wall leaves the gap on another one open',
      [DEFECT('gap', { face: 'w0' }), [2, 'prefilled', { faces: ['w1'], mud: { kind: 'drying' } }]],
      openItems,
      1,
    ],
    [
      'and closes the one on it',
      [DEFECT('gap', { face: 'w1' }), [2, 'prefilled', { faces: ['w1'], mud: { kind: 'drying' } }]],
      openItems,
      0,
    ],
    [
      'but not one of which nobody knows where',
      [DEFECT('gap'), [2, 'prefilled', { faces: ['w1'], mud: { kind: 'drying' } }]],
      openItems,
      1,
    ],
    [
      'pre-filling leaves a popped screw open',
      [DEFECT('screwPop'), [2, 'prefilled', { mud: { kind: 'drying' } }]],
      openItems,
      1,
    ],
    [
      'pre-filling knows what it closed',
      [DEFECT('gap'), [2, 'prefilled', { mud: { kind: 'drying' } }]],
      ({ prefills }) => prefills[0]?.items,
      [ITEM],
    ],
    [
      'setting mud is firm so long after it was mixed',
      [[2, 'prefilled', { mud: { kind: 'setting', minutes: 45 }, mixedAt: iso(1) }]],
      ({ prefills }) => prefills[0]?.firmAt,
      1.75 * HOUR,
    ],
    [
      'or after it went on where nobody says when',
      [[2, 'prefilled', { mud: { kind: 'setting', minutes: 45 } }]],
      ({ prefills }) => prefills[0]?.firmAt,
      2.75 * HOUR,
    ],
    [
      'drying mud half an hour after it ended',
      [[3, 'prefilled', { mud: { kind: 'drying' }, ended: iso(2) }]],
      ({ prefills }) => prefills[0]?.firmAt,
      2.5 * HOUR,
    ],
    ['a room is held', [[1, 'held', { why: 'electrician' }]], ({ held }) => held?.why, 'electrician'],
    [
      'and released',
      [
        [1, 'held', { why: 'electrician' }],
        [2, 'released'],
      ],
      ({ held }) => held,
      undefined,
    ],
    [
      'a fan runs, then stops',
      [
        [1, 'fan', { speed: 2 }],
        [2, 'fan', { speed: 0 }],
      ],
      ({ fans }) => fans,
      [
        { from: HOUR, speed: 2 },
        { from: 2 * HOUR, speed: 0 },
      ],
    ],
    [
      'a thumb finds flats grey',
      [[1, 'touched', { class: 'flat', found: 'grey' }]],
      ({ touched }) => touched.map((own) => [own.class, own.found, own.at]),
      [['flat', 'grey', iso(1)]],
    ],
    [
      'work is assigned, then to somebody else',
      [
        [1, 'assigned', { work: 'tape', people: [TOBIN], day: '2031-05-06' }],
        [2, 'assigned', { work: 'tape', people: [INES], day: '2031-05-07' }],
      ],
      (state) => [state.handed, handedIn(state, 'tape', 'tape')?.people, handedIn(state, 'tape', 'tape')?.nth],
      [2, [INES], 1],
    ],
    [
      'photos are shown: those chosen last',
      [
        [1, 'shown', { photos: ['a', 'b'] }],
        [2, 'shown', { photos: ['b'] }],
      ],
      ({ shown }) => shown,
      ['b'],
    ],
    [
      'a photo of a defect is a photo of the room',
      [DEFECT('hollow', { photos: ['p'] })],
      ({ photos }) => photos.map(({ id, item }) => [id, item]),
      [['p', ITEM]],
    ],
    [
      'one when it was fixed too',
      [DEFECT('hollow'), [2, 'itemClosed', { item: ITEM, photos: ['q'] }]],
      ({ photos }) => photos.map(({ id, item }) => [id, item]),
      [['q', ITEM]],
    ],
    [
      'a photo of the room has no defect',
      [[1, 'pictured', { photos: ['r'], text: 'north' }]],
      ({ photos }) => photos.map(({ id, item, text }) => [id, item, text]),
      [['r', undefined, 'north']],
    ],
  ];
  it.each(TABLE)('%s', (_words, said, of, is) => {
    expect(of(told(...said))).toEqual(is);
  });

  const VOIDS: readonly (readonly [words: string, by: string, role: Entry['role'], first: boolean, left: number])[] = [
    ['its author takes it back', TOBIN, 'finisher', false, 0],
    ['a lead takes it back', MARIT, 'lead', false, 0],
    ['another finisher does not', INES, 'finisher', false, 1],
    ['the void came before it', TOBIN, 'finisher', true, 0],
    ['that of somebody else came before it', INES, 'finisher', true, 1],
  ];
  it.each(VOIDS)('an entry does not count any more when %s', (_words, by, role, first, left) => {
    const coat = logEntry({ kind: 'coat', payload: COAT[2] as never });
    const back = logEntry({ at: HOUR, kind: 'void', payload: { target: coat.id }, by, role });
    const other = logEntry({ kind: 'released', payload: {} });
    const state = stateOf(first ? [back, other, coat] : [coat, other, back]).get('room');
    expect(state?.applied.length).toBe(left);
  });

  it('what is said of no room is in none', () => {
    const house = {
      ...logEntry({ kind: 'stock', payload: { good: 'paper', what: 'delivered', amount: 1 } }),
      room: null,
    };
    expect(stateOf([house as Entry]).size).toBe(0);
  });

  it('one of two voids is enough', () => {
    const coat = logEntry({ kind: 'coat', payload: COAT[2] as never });
    const voids = [INES, TOBIN].map((by) => logEntry({ at: HOUR, kind: 'void', payload: { target: coat.id }, by }));
    expect(stateOf([coat, ...voids, logEntry({ kind: 'released', payload: {} })]).get('room')?.applied).toEqual([]);
  });
});
