import { describe, expect, it } from 'vitest';
import { coat, EVERY_COAT, hoursIn, recordedRoom, type Sent } from '../../../tests/houses/recordedRoom';
import type { RoomSnapshot } from '../snapshot/houseSnapshot';

const TAPE = EVERY_COAT.slice(0, 3);
const SANDED: Sent = [120, 'sanded'];
const CHECKED: Sent = [121, 'checked', { level: 4 }];
const DONE = [...EVERY_COAT, SANDED, CHECKED];
const HELD: Sent = [122, 'held', { why: 'electrician' }];
const item = (hours: number, defect: string, more: object = {}): Sent => [
  hours,
  'item',
  { defect, ...more },
  '00000000-0000-4000-8000-0000000000f1',
];
const FIXED: Sent = [123, 'itemClosed', { item: '00000000-0000-4000-8000-0000000000f1' }];
const GAP = item(0, 'gap', { face: 'w0', length: 600 });
const classOf = ({ standing }: RoomSnapshot, kind: string) => standing.classes.find((own) => own.class === kind);
const nowOf = (room: RoomSnapshot, kind: string) => classOf(room, kind)?.now;

describe('what comes next in a room', () => {
  const TABLE: readonly (readonly [
    words: string,
    sent: readonly Sent[],
    hours: number,
    kind: string,
    head?: object,
  ])[] = [
    ['nothing is on', [], 1, 'go'],
    ['it is finished to level 0', [], 1, 'nothing', { method: { level: 0 } }],
    ['its tape is on and wet', TAPE, 1, 'wet'],
    ['some of it is dry', TAPE, 30, 'go'],
    ['flats are bare, angles are wet', [TAPE[1] as Sent], 1, 'go'],
    ['every coat is on, the last is wet', EVERY_COAT, 81, 'wet'],
    ['every coat is on and dry', EVERY_COAT, 119, 'sand'],
    ['it is sanded', [...EVERY_COAT, SANDED], 121, 'check'],
    ['a class was sanded', [...EVERY_COAT, [120, 'sanded', { classes: ['flat'] }]], 121, 'sand'],
    ['it is checked', DONE, 122, 'seal'],
    ['a face was checked', [...EVERY_COAT, SANDED, [121, 'checked', { level: 4, faces: ['w0'] }]], 122, 'check'],
    ['it is checked, and nobody seals', DONE, 122, 'handOver', { method: { level: 4, last: 'none' } }],
    ['it is sealed, and that is wet', [...DONE, [122, 'sealed']], 122.9, 'wet'],
    ['it is sealed and dry', [...DONE, [122, 'sealed']], 123.1, 'handOver'],
    ['its sealer takes four hours by its label', [...DONE, [122, 'sealed', { dryHours: 4 }]], 125.9, 'wet'],
    ['it has had them', [...DONE, [122, 'sealed', { dryHours: 4 }]], 126.1, 'handOver'],
    ['one face is sealed', [...DONE, [122, 'sealed', { faces: ['w0'] }]], 124, 'seal'],
    [
      'the others are sealed later',
      [...DONE, [122, 'sealed', { faces: ['w0'] }], [123, 'sealed', { faces: ['w1', 'w2', 'w3', 'c0'] }]],
      124.1,
      'handOver',
    ],
    ['it is handed over unsealed', [...DONE, [122, 'handedOver']], 123, 'done'],
    ['it is handed over sealed', [...DONE, [122, 'sealed'], [124, 'handedOver']], 125, 'done'],
    ['it is held before tape', [[0, 'held', { why: 'electrician' }]], 1, 'stuck'],
    ['it is held while wet', [...TAPE, [1, 'held', { why: 'electrician' }]], 2, 'stuck'],
    ['it is held before sanding', [...EVERY_COAT, [119, 'held', { why: 'electrician' }]], 120, 'stuck'],
    ['it is held before hand-over', [...DONE, HELD], 123, 'stuck'],
    ['it was held and released', [...DONE, HELD, [123, 'released']], 124, 'seal'],
    ['it is held after hand-over', [...DONE, [122, 'handedOver'], [123, 'held', { why: 'painter' }]], 124, 'done'],
    ['a hollow, and coats to come', [item(0, 'hollow')], 1, 'go'],
    ['a hollow, and all is on', [...EVERY_COAT, item(118, 'hollow')], 119, 'fix'],
    ['a hollow after the check', [...DONE, item(122, 'hollow')], 123, 'fix'],
    ['a hollow, fixed without mud', [...DONE, item(122, 'hollow'), FIXED], 124, 'seal'],
    ['a hollow after hand-over', [...DONE, [122, 'handedOver'], item(123, 'hollow')], 124, 'fix'],
    ['a furred patch after the check: sealer closes it', [...DONE, item(122, 'furred')], 123, 'seal'],
    ['a furred patch, sealed over', [...DONE, item(122, 'furred'), [123, 'sealed']], 125, 'handOver'],
    ['a furred patch, and it is sealed already', [...DONE, [122, 'sealed'], item(123, 'furred')], 124, 'fix'],
    [
      'a furred patch, and nobody seals',
      [...DONE, item(122, 'furred')],
      123,
      'fix',
      { method: { level: 4, last: 'none' } },
    ],
    ['a bubble, and the rest can be filled', [...TAPE, item(30, 'bubble', { face: 'w0' })], 31, 'go'],
    ['a bubble, and nothing else can go', [...EVERY_COAT, item(118, 'bubble')], 119, 'fix'],
    ['everybody waits for the hanging', [], 1, 'stuck', { method: { level: 4, acceptance: 'walk' } }],
    [
      'one face is found good',
      [[0, 'accepted', { found: 'good', faces: ['w0'] }]],
      1,
      'go',
      { method: { level: 4, acceptance: 'walk' } },
    ],
    ['it is to be skimmed, and joints are dry', EVERY_COAT, 119, 'go', { method: { level: 5 } }],
  ];
  it.each(TABLE.map(([words, ...row]) => [words, row] as const))('%s', (_words, [sent, hours, kind, head]) => {
    const { room, refused } = recordedRoom(sent, hours, head ? { head } : {});
    expect(refused.filter(Boolean)).toEqual([]);
    expect(room.standing.now.kind).toBe(kind);
  });
});

describe('what comes next on a class', () => {
  const wet = (hours: number) => expect.objectContaining({ kind: 'wet', until: hours });
  it('is wet until the last of it is ready, and says when the first is', () => {
    const sent = [
      ...TAPE,
      coat(40, 'flat.fill', { faces: ['c0'] }),
      coat(44, 'flat.fill', { faces: ['w0', 'w1', 'w2', 'w3'] }),
    ];
    const { room } = recordedRoom(sent, 45);
    const now = nowOf(room, 'flat');
    if (now?.kind !== 'wet') throw new Error('flats are wet');
    expect(now.allBy - now.until).toBeCloseTo(hoursIn(4) - hoursIn(0), 0);
    expect(classOf(room, 'flat')).toMatchObject({ wetUntil: now.allBy, changesAt: now.until });
    expect(room.standing).toMatchObject({ wetUntil: now.allBy, now: { kind: 'go' } });
  });

  it('goes on the part that is ready', () => {
    const sent = [coat(0, 'flat.tape', { faces: ['w0', 'w1', 'w2', 'w3'] }), coat(29, 'flat.tape', { faces: ['c0'] })];
    const { room } = recordedRoom(sent, 30);
    const ceiling = room.pieces.filter(({ class: kind, face }) => kind === 'flat' && face === 'c0');
    const walls = room.pieces.filter(({ class: kind, face }) => kind === 'flat' && face !== 'c0');
    const amount = (of: typeof walls) => of.reduce((all, piece) => all + piece.amount, 0);
    const now = nowOf(room, 'flat');
    if (now?.kind !== 'go') throw new Error('the walls can be filled');
    expect(now.coat.key).toBe('fill');
    const [ready] = now.ready;
    expect([...(ready?.pieces ?? [])].sort()).toEqual(walls.map(({ id }) => id).sort());
    expect(ready?.part).toBeCloseTo(amount(walls) / (amount(walls) + amount(ceiling)), 6);
  });

  it('waits for the other side of an angle until that is dry', () => {
    const first = [coat(0, 'angle.tape'), coat(30, 'angle.fill.first')];
    expect(nowOf(recordedRoom(first, 31).room, 'angle')).toMatchObject({ kind: 'wet' });
    expect(nowOf(recordedRoom(first, 60).room, 'angle')).toMatchObject({ kind: 'go', coat: { side: 'second' } });
    const some = [coat(0, 'angle.tape'), coat(30, 'angle.fill.first', { part: 0.5 })];
    expect(nowOf(recordedRoom(some, 60).room, 'angle')).toMatchObject({ kind: 'go', coat: { side: 'first' } });
  });

  it('waits for the filler of gaps to be firm, and only its tape', () => {
    const filled = [GAP, [1, 'prefilled', { mud: { kind: 'setting', minutes: 90 } }]] as const;
    const { room } = recordedRoom(filled, 2);
    expect(nowOf(room, 'flat')).toEqual(wet(hoursIn(2.5)));
    expect(classOf(room, 'flat')).toMatchObject({ wetUntil: hoursIn(2.5), changesAt: hoursIn(2.5) });
    expect(nowOf(recordedRoom(filled, 2.5).room, 'flat')).toMatchObject({ kind: 'go' });
  });

  it('waits over an angle that was filled for it to be firm, and says so', () => {
    const sent = [...TAPE, coat(40, 'angle.fill.first')];
    const partAt = (hours: number) => {
      const now = nowOf(recordedRoom(sent, hours).room, 'flat');
      return now?.kind === 'go' ? now.ready[0]?.part : 0;
    };
    // The walls whose side of the corner is still to come go on.
    expect(partAt(40.2)).toBeGreaterThan(0);
    expect(partAt(40.2)).toBeLessThan(1);
    expect(classOf(recordedRoom(sent, 40.2).room, 'flat')?.changesAt).toBe(hoursIn(40.5));
    expect(partAt(40.5)).toBe(1);
  });

  it('crosses what was taped just now', () => {
    const { room } = recordedRoom([coat(0, 'angle.tape')], 0.1);
    expect(nowOf(room, 'flat')).toMatchObject({ kind: 'go', coat: { key: 'tape' } });
  });

  it('of the skim is stuck until the joints are dry', () => {
    const head = { method: { level: 5 } };
    expect(nowOf(recordedRoom(EVERY_COAT, 81, { head }).room, 'surface')).toMatchObject({
      kind: 'stuck',
      why: { kind: 'joints' },
    });
    expect(nowOf(recordedRoom(EVERY_COAT, 119, { head }).room, 'surface')).toMatchObject({ kind: 'go' });
  });

  it('keeps its phase: planned, part, wet, dry, sanded', () => {
    const phases = (sent: readonly Sent[], hours: number) =>
      classOf(recordedRoom(sent, hours).room, 'flat')?.coats.map(({ phase, share }) => [phase, share]);
    const part = [coat(0, 'flat.tape', { part: 0.5 })];
    expect(phases([], 1)).toEqual([
      ['planned', 0],
      ['planned', 0],
      ['planned', 0],
    ]);
    expect(phases(part, 1)).toEqual([
      ['part', expect.closeTo(0.5, 6)],
      ['planned', 0],
      ['planned', 0],
    ]);
    expect(phases(TAPE, 1)).toEqual([
      ['wet', 1],
      ['planned', 0],
      ['planned', 0],
    ]);
    expect(phases(TAPE, 30)).toEqual([
      ['dry', 1],
      ['planned', 0],
      ['planned', 0],
    ]);
    expect(phases([...EVERY_COAT, SANDED], 121)).toEqual([
      ['sanded', 1],
      ['sanded', 1],
      ['sanded', 1],
    ]);
  });
});

describe('when a room or a class can be worked on again', () => {
  const readyAt = (sent: readonly Sent[], hours: number, kind: string, place: number) =>
    classOf(recordedRoom(sent, hours).room, kind)?.coats[place]?.readyAt ?? 0;
  const hoursSince = (at: number) => (at - hoursIn(0)) / 3_600_000;

  it('is when the first of its classes is ready, and all of it by when the last one is', () => {
    const sent = [coat(0, 'flat.tape'), coat(3, 'angle.tape'), coat(1, 'fasteners.tape')];
    const { now } = recordedRoom(sent, 4).room.standing;
    const each = ['flat', 'angle', 'fasteners'].map((kind) => readyAt(sent, 4, kind, 0));
    expect(now).toEqual({ kind: 'wet', until: Math.min(...each), allBy: Math.max(...each) });
  });

  it('is exactly then: wet a moment before, dry at it', () => {
    const ready = readyAt(TAPE, 1, 'flat', 0);
    const at = (moment: number) => recordedRoom(TAPE, hoursSince(moment)).room;
    expect(classOf(at(ready - 60_000), 'flat')?.coats[0]?.phase).toBe('wet');
    expect(classOf(at(ready), 'flat')).toMatchObject({ coats: [{ phase: 'dry' }, {}, {}], wetUntil: undefined });
    expect(nowOf(at(ready), 'flat')).toMatchObject({ kind: 'go', coat: { key: 'fill' }, share: 0 });
  });

  it('is never told of what waits for nothing', () => {
    expect(classOf(recordedRoom(TAPE, 60).room, 'flat')?.changesAt).toBeUndefined();
    const damp = { air: { temperature: 21, humidity: 100 } };
    const never = classOf(recordedRoom(TAPE, 60, damp).room, 'flat');
    expect(never).toMatchObject({ now: { kind: 'wet' }, changesAt: undefined });
  });

  it('in the cold is not while coats are to come, and is for what needs no mud', () => {
    const cold = { air: { temperature: 8, humidity: 40 } };
    const stuck = { kind: 'stuck', why: { kind: 'cold' } };
    expect(recordedRoom([], 1, cold).room.standing.now).toEqual(stuck);
    expect(recordedRoom(TAPE, 1, cold).room.standing.now).toEqual(stuck);
    expect(recordedRoom(EVERY_COAT, 400, cold).room.standing.now).toEqual({ kind: 'sand' });
  });

  it('of setting mud is by its label, and of the last coat when it can be sanded', () => {
    const setting = { mud: { kind: 'setting', minutes: 90 } };
    const sent = ['flat.tape', 'flat.fill', 'flat.finish'].map((of, place) => coat(place * 40, of, setting));
    expect(readyAt(sent, 81, 'flat', 0)).toBe(hoursIn(1.5 * 1.5));
    // Set and dry: longer than the label.
    expect(readyAt(sent, 81, 'flat', 2)).toBeGreaterThan(hoursIn(80 + 1.5 * 1.5 + 1));
  });

  it('after the filler of gaps is when that is firm, beside what is on', () => {
    const sent = [
      coat(0, 'flat.tape', { faces: ['c0'] }),
      GAP,
      [1, 'prefilled', { mud: { kind: 'setting', minutes: 90 } }],
    ] as const;
    const { room } = recordedRoom(sent, 2);
    const flat = classOf(room, 'flat');
    expect(flat?.now).toMatchObject({
      kind: 'wet',
      until: hoursIn(2.5),
      allBy: hoursIn(2.5),
      prefill: true,
      crossed: false,
    });
    expect(flat?.changesAt).toBe(hoursIn(2.5));
    expect(flat?.wetUntil).toBe(readyAt([sent[0]], 2, 'flat', 0));
  });
});

describe('a class is sanded', () => {
  const kindAt = (sent: readonly Sent[], hours: number, options: Parameters<typeof recordedRoom>[2] = {}) =>
    nowOf(recordedRoom(sent, hours, options).room, 'flat')?.kind;
  it.each([
    ['dry, not sanded', EVERY_COAT, 'dry'],
    ['some of its faces', [...EVERY_COAT, [120, 'sanded', { faces: ['w0'] }]], 'dry'],
    ['all of it', [...EVERY_COAT, [120, 'sanded', { classes: ['flat'] }]], 'sanded'],
    ['all but one face', [...EVERY_COAT, [120, 'sanded', { faces: ['w0', 'w1', 'w2', 'c0'] }]], 'dry'],
  ] as const)('%s: %#', (_words, sent, kind) => {
    expect(kindAt(sent as readonly Sent[], 121)).toBe(kind);
  });

  it('where a face gets no coat, without it', () => {
    const room = { finish: { faces: { w0: { level: 0 } } } };
    const sanded: Sent = [120, 'sanded', { faces: ['w1', 'w2', 'w3', 'c0'] }];
    expect(kindAt([...EVERY_COAT, sanded], 121, { room })).toBe('sanded');
  });

  it('and a coat that a face does not get is no part of what is to come', () => {
    const room = { finish: { faces: { w0: { level: 3 }, w1: { level: 3 }, w2: { level: 3 }, w3: { level: 3 } } } };
    const two = [coat(0, 'flat.tape'), coat(40, 'flat.fill')];
    const now = nowOf(recordedRoom(two, 80, { room }).room, 'flat');
    // The ceiling alone is finished to level 4.
    expect(now).toMatchObject({ kind: 'go', coat: { key: 'finish' }, ready: [{ part: 1, pieces: undefined }] });
  });

  it('keeps the skim waiting until all joints are dry', () => {
    const head = { method: { level: 5 } };
    const flats = EVERY_COAT.filter(([, , payload]) => (payload as { class: string }).class === 'flat');
    expect(nowOf(recordedRoom(flats, 119, { head }).room, 'surface')).toMatchObject({
      kind: 'stuck',
      why: { kind: 'joints' },
    });
  });
});

describe('a room whose joints are all covered with trim', () => {
  const method = { level: 1, classes: { flat: { hard: 'trim' }, angle: { hard: 'trim' } } };
  const taped = [coat(0, 'flat.tape'), coat(0, 'angle.tape')];
  it.each([
    ['is wet while its tape dries', taped, 2, 'wet'],
    ['is looked at then: there is nothing to sand', taped, 60, 'check'],
    ['is handed over when it met its level', [...taped, [60, 'checked', { level: 1 }]], 61, 'handOver'],
  ] as const)('%s', (_words, sent, hours, kind) => {
    const { room, refused } = recordedRoom(sent as readonly Sent[], hours, { head: { method } });
    expect(refused.filter(Boolean)).toEqual([]);
    expect(room.standing.now.kind).toBe(kind);
  });
});
