import { describe, expect, it } from 'vitest';
import { coat, EVERY_COAT, recordedRoom, type Sent } from '../../../tests/houses/recordedRoom';
import type { Moved } from '../stock/stock';
import { refusalOf } from './entryRules';

const ITEM = '00000000-0000-4000-8000-0000000000f1';
const SANDED: Sent = [120, 'sanded'];
const CHECKED: Sent = [121, 'checked', { level: 4 }];
const DONE = [...EVERY_COAT, SANDED, CHECKED];
const HOLLOW: Sent = [122, 'item', { defect: 'hollow', face: 'w0' }, ITEM];
const FURRED: Sent = [122, 'item', { defect: 'furred' }, ITEM];
const TAPE = EVERY_COAT.slice(0, 3);
const level5 = { method: { level: 5 } };

const BUBBLE: Sent = [30, 'item', { defect: 'bubble', face: 'w0', piece: 'w0#v1219.0@w0' }, ITEM];
const CRACK: Sent = [30, 'item', { defect: 'crack', face: 'w0' }, ITEM];
const POPPED: Sent = [30, 'item', { defect: 'screwPop' }, ITEM];
const GAP: Sent = [1, 'item', { defect: 'gap', face: 'w0', length: 600 }, ITEM];
const TAPE_LATER = coat(6, 'flat.tape');
const FIXED: Sent = [31, 'itemClosed', { item: ITEM }];
const COVERS = { items: [ITEM], why: 'a closet; the builder agrees' };
const FILL = coat(40, 'flat.fill');
const COVERED = [...TAPE, BUBBLE, coat(40, 'flat.fill', { covers: COVERS })];

describe('an entry', () => {
  const TABLE: readonly (readonly [
    words: string,
    before: readonly Sent[],
    sent: Sent,
    why: string | undefined,
    head?: object,
  ])[] = [
    ['sanded while the finish is wet', EVERY_COAT, [81, 'sanded'], 'wet'],
    ['sanded once all is dry', EVERY_COAT, [119, 'sanded'], undefined],
    [
      'angles sanded while flats are wet',
      [...TAPE, coat(40, 'flat.fill')],
      [41, 'sanded', { classes: ['angle'] }],
      undefined,
    ],
    ['flats sanded while they are wet', [...TAPE, coat(40, 'flat.fill')], [41, 'sanded', { classes: ['flat'] }], 'wet'],
    [
      'a wall sanded while the ceiling is wet',
      [...TAPE, coat(40, 'flat.fill', { faces: ['c0'] })],
      [41, 'sanded', { classes: ['flat'], faces: ['w0'] }],
      undefined,
    ],
    [
      'the ceiling sanded while it is wet',
      [...TAPE, coat(40, 'flat.fill', { faces: ['c0'] })],
      [41, 'sanded', { classes: ['flat'], faces: ['c0'] }],
      'wet',
    ],
    ['checked before a coat is on', [], [1, 'checked', { level: 4 }], 'notSigned'],
    ['checked with coats to come', TAPE, [60, 'checked', { level: 4 }], 'notSigned'],
    ['checked while wet', EVERY_COAT, [81, 'checked', { level: 4 }], 'notSigned'],
    ['checked before it is sanded', EVERY_COAT, [119, 'checked', { level: 4 }], 'notSigned'],
    ['checked once it is sanded', [...EVERY_COAT, SANDED], CHECKED, undefined],
    ['checked to less than was agreed', [...EVERY_COAT, SANDED], [121, 'checked', { level: 3 }], undefined],
    ['checked to more than was agreed', [...EVERY_COAT, SANDED], [121, 'checked', { level: 5 }], 'notSigned'],
    ['checked with a hollow open', [...EVERY_COAT, SANDED, HOLLOW], [123, 'checked', { level: 4 }], 'notSigned'],
    [
      'another face checked with a hollow open',
      [...EVERY_COAT, SANDED, HOLLOW],
      [123, 'checked', { level: 4, faces: ['w1'] }],
      undefined,
    ],
    [
      'its face checked with a hollow open',
      [...EVERY_COAT, SANDED, HOLLOW],
      [123, 'checked', { level: 4, faces: ['w0'] }],
      'notSigned',
    ],
    [
      'checked with a furred patch: sealer closes it',
      [...EVERY_COAT, SANDED, FURRED],
      [123, 'checked', { level: 4 }],
      undefined,
    ],
    ['handed over before it is checked', [...EVERY_COAT, SANDED], [122, 'handedOver'], 'notFinished'],
    ['handed over unsealed: the painters may seal it', DONE, [122, 'handedOver'], undefined],
    ['handed over while its sealer is wet', [...DONE, [122, 'sealed']], [122.5, 'handedOver'], 'notFinished'],
    ['handed over sealed', [...DONE, [122, 'sealed']], [124, 'handedOver'], undefined],
    ['a face that is not there, sealed', DONE, [122, 'sealed', { faces: ['w9'] }], 'nothingToSeal'],
    ['handed over with a hollow', [...DONE, HOLLOW], [123, 'handedOver'], 'notFinished'],
    ['handed over with a furred patch', [...DONE, FURRED], [123, 'handedOver'], 'notFinished'],
    ['handed over while held', [...DONE, [122, 'held', { why: 'tile' }]], [123, 'handedOver'], 'notFinished'],
    ['handed over twice', [...DONE, [122, 'handedOver']], [123, 'handedOver'], undefined],
    ['handed over at level 5 with no skim', [...EVERY_COAT, SANDED], [122, 'handedOver'], 'notFinished', level5],
    ['a hollow fixed', [...DONE, HOLLOW], [123, 'itemClosed', { item: ITEM }], undefined],
    [
      'a hollow fixed twice',
      [...DONE, HOLLOW, [123, 'itemClosed', { item: ITEM }]],
      [124, 'itemClosed', { item: ITEM }],
      'alreadyFixed',
    ],
    ['touched before a coat is on', [], [1, 'touched', { found: 'grey' }], 'nothingOn'],
    [
      'touched before the coat went on: a phone a day behind',
      [coat(30, 'flat.tape')],
      [6, 'touched', { found: 'grey', class: 'flat' }],
      'nothingOn',
    ],
    [
      'angles touched where only flats are on',
      [coat(0, 'flat.tape')],
      [1, 'touched', { found: 'grey', class: 'angle' }],
      'nothingOn',
    ],
    ['flats touched', [coat(0, 'flat.tape')], [1, 'touched', { found: 'grey', class: 'flat' }], undefined],
    [
      'a joint touched that is gone',
      [coat(0, 'flat.tape')],
      [1, 'touched', { found: 'grey', pieces: ['w9#v0.0@w9'] }],
      'noSuchJoint',
    ],
    ['the same coat once more while it is wet', TAPE, [1, 'coat', { class: 'flat', key: 'tape' }], 'sameCoat'],
    ['once more, said to be the same', TAPE, [1, 'coat', { class: 'flat', key: 'tape', repeat: 'same' }], undefined],
    ['once more, said to be the next', TAPE, [1, 'coat', { class: 'flat', key: 'tape', repeat: 'next' }], undefined],
    ['the next coat while the first is wet', TAPE, [1, 'coat', { class: 'flat', key: 'fill' }], undefined],
    [
      'the same coat on the other half',
      [coat(0, 'flat.tape', { faces: ['c0'] })],
      [1, 'coat', { class: 'flat', key: 'tape', faces: ['w0', 'w1', 'w2', 'w3'] }],
      undefined,
    ],
    ['the same coat once more when it is dry', TAPE, [60, 'coat', { class: 'flat', key: 'tape' }], undefined],
    ['a coat over a bubble', [...TAPE, BUBBLE], FILL, 'fixFirst'],
    ['the same with the bubble fixed', [...TAPE, BUBBLE, FIXED], FILL, undefined],
    ['covered all the same, with a reason', [...TAPE, BUBBLE], coat(40, 'flat.fill', { covers: COVERS }), undefined],
    ['the next coat over what was covered', [...COVERED], coat(80, 'flat.finish'), undefined],
    ['another class than that of the bubble', [...TAPE, BUBBLE], coat(40, 'angle.fill.first'), undefined],
    ['a coat on another face', [...TAPE, BUBBLE], coat(40, 'flat.fill', { faces: ['c0'] }), undefined],
    ['a coat that was on before the bubble was found', [...TAPE, BUBBLE], coat(29, 'flat.fill'), undefined],
    [
      'the rest of a coat beside a bubble on what is filled',
      [...TAPE, coat(29, 'flat.fill', { faces: ['w0'] }), BUBBLE],
      FILL,
      undefined,
    ],
    ['over a hollow: the coat takes it along', [...TAPE, [30, 'item', { defect: 'hollow' }, ITEM]], FILL, undefined],
    ['over a crack that names no joint', [...TAPE, CRACK], FILL, 'fixFirst'],
    ['the same crack, the ceiling alone', [...TAPE, CRACK], coat(40, 'flat.fill', { faces: ['c0'] }), undefined],
    ['flats where a screw popped somewhere', [...TAPE, POPPED], FILL, undefined],
    ['fasteners where a screw popped somewhere', [...TAPE, POPPED], coat(40, 'fasteners.fill'), 'fixFirst'],
    ['tape over a gap', [GAP], TAPE_LATER, 'fixFirst'],
    [
      'tape over a gap that was filled',
      [GAP, [2, 'prefilled', { mud: { kind: 'setting', minutes: 45 } }]],
      TAPE_LATER,
      undefined,
    ],
    ['a hold', [], [1, 'held', { why: 'tile' }], undefined],
  ];
  it.each(TABLE.map(([words, ...row]) => [words, row] as const))('%s', (_words, [before, sent, why, head]) => {
    const { refused } = recordedRoom([...before, sent], sent[0], head ? { head } : {});
    expect(refused.slice(0, -1).filter(Boolean)).toEqual([]);
    expect(refused.at(-1)?.why).toBe(why);
  });

  it('says what it waits for', () => {
    const refusals = (before: readonly Sent[], sent: Sent) => recordedRoom([...before, sent], sent[0]).refused.at(-1);
    expect(refusals([...DONE, HOLLOW], [123, 'handedOver'])).toEqual({ why: 'notFinished', now: { kind: 'fix' } });
    expect(refusals(TAPE, [60, 'checked', { level: 4 }])).toMatchObject({ not: { why: 'missing', class: 'flat' } });
    expect(refusals(EVERY_COAT, [81, 'checked', { level: 4 }])).toMatchObject({ not: { why: 'wet' } });
    expect(refusals(EVERY_COAT, [119, 'checked', { level: 4 }])).toMatchObject({
      not: { why: 'unsanded', class: 'flat' },
    });
    expect(refusals([...EVERY_COAT, SANDED], [121, 'checked', { level: 5 }])).toMatchObject({
      not: { why: 'tooHigh', level: 4 },
    });
    expect(refusals([...EVERY_COAT, SANDED, HOLLOW], [123, 'checked', { level: 4 }])).toMatchObject({
      not: { why: 'open' },
    });
    expect(refusals([], [1, 'checked', { level: 4 }])).toMatchObject({ not: { why: 'nothing' } });
  });

  const delivered = (amount: number, good: Moved['good'] = 'taping'): Moved => ({
    good,
    at: 0,
    kind: 'delivered',
    amount,
  });
  it.each([
    ['as much as came', [delivered(17)], 17, undefined],
    ['a pail holds a little more than it says', [delivered(100)], 105, undefined],
    ['more than came', [delivered(100)], 105.1, 'overCounted'],
    ['more than came of that good', [delivered(100, 'topping')], 1, 'overCounted'],
    ['nothing ever came', [], 1, 'overCounted'],
    ['two deliveries', [delivered(10), delivered(7)], 17, undefined],
  ] as const)('counts what is on hand: %s', (_words, moves, amount, why) => {
    const at = '2031-05-05T07:00:00Z';
    const id = '00000000-0000-4000-8000-000000000001';
    const entry = { id, room: null, at, kind: 'stock', payload: { good: 'taping', what: 'counted', amount } } as const;
    expect(refusalOf(entry, undefined, moves)?.why).toBe(why);
    expect(refusalOf({ ...entry, payload: { ...entry.payload, what: 'thrown' } }, undefined, moves)).toBeUndefined();
  });
});
