import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { logEntry, MARIT } from '../../../tests/houses/logEntry';
import { coats, EMPTY, HOUR, house, LATE, off, sanded, snapshotAt } from '../../../tests/houses/pantry';
import { smoothing } from '../cost/smoothing';
import type { Entry } from '../log/entry';
import type { OpenItem } from '../log/roomState';
import type { DefectKind } from '../method/defects';
import { LEVELS } from '../room/level';
import { beforeCoat, takenAlong } from './betweenCoats';
import { handOverOf, reworkBy } from './handOver';
import { sandingOf, wetWhenSanded } from './sandable';
import { whyNotSigned } from './signOff';

const not = (entries: readonly Entry[], level: 3 | 4 | 5 = 4, faces?: readonly string[], now = LATE) =>
  whyNotSigned(snapshotAt(entries, now), faces, LEVELS[level], now);

describe('a level is signed off', () => {
  it('when every coat is on, dry, sanded, and nothing is open; never otherwise', () => {
    const all = [...coats(), sanded(LATE - HOUR)];
    expect(not(all)).toBeUndefined();
    expect(not(all, 3)).toBeUndefined();
    expect(not([])).toEqual({ why: 'nothing' });
    expect(not(all, 5)).toEqual({ why: 'tooHigh', level: 4 });
    expect(not(coats())).toMatchObject({ why: 'unsanded' });
    expect(not([...coats(EMPTY.coats.filter((coat) => coat.key !== 'finish')), sanded(LATE - HOUR)])).toMatchObject({
      why: 'missing',
    });
    const [last] = coats(EMPTY.coats.slice(-1));
    if (!last) throw new Error('there is a last coat');
    const fresh = { ...last, at: new Date(LATE - HOUR).toISOString() } as Entry;
    expect(not([...coats(EMPTY.coats.slice(0, -1)), sanded(LATE - HOUR), fresh])).toMatchObject({ why: 'wet' });
  });

  it('face by face: what is open on another one does not matter', () => {
    const item = logEntry({ kind: 'item', at: LATE - HOUR, payload: { defect: 'dent', face: 'w0' } });
    const all = [...coats(), sanded(LATE - 2 * HOUR), item];
    expect(not(all, 4, ['w1'])).toBeUndefined();
    expect(not(all, 4, ['w0'])).toEqual({ why: 'open' });
    expect(not(all, 4)).toEqual({ why: 'open' });
    const mended = logEntry({ kind: 'itemClosed', at: LATE - HOUR, by: MARIT, payload: { item: item.id } });
    expect(not([...all, mended], 4)).toBeUndefined();
    // What is wrong somewhere in the room keeps every face.
    const anywhere = logEntry({ kind: 'item', at: LATE - HOUR, payload: { text: 'Dust' } });
    expect(not([...coats(), sanded(LATE - 2 * HOUR), anywhere], 4, ['w1'])).toEqual({ why: 'open' });
  });
});

describe('what may be sanded', () => {
  const nows = (entries: readonly Entry[], now = LATE) =>
    Object.fromEntries(sandingOf(snapshotAt(entries, now), now).classes.map((own) => [own.class, own.now.kind]));

  it('is what is dry to its last coat in a room without wet mud', () => {
    const kinds = Object.keys(nows(coats()));
    expect(new Set(Object.values(nows(coats())))).toEqual(new Set(['go']));
    expect(kinds).toContain('flat');
    // One fresh coat in the room keeps the dust of all others.
    const fresh = coats().map((entry, index, all) =>
      index === all.length - 1 ? ({ ...entry, at: new Date(LATE - HOUR).toISOString() } as Entry) : entry,
    );
    const wet = nows(fresh);
    expect(Object.values(wet)).not.toContain('go');
    expect(Object.values(wet).filter((kind) => kind === 'wet')).toHaveLength(1);
    expect(Object.values(wet)).toContain('beside');
    expect(nows(coats(EMPTY.coats.filter(({ class: kind }) => kind !== 'flat'))).flat).toBe('coats');
  });

  it('takes its hours and its paper by what is left, by hand for one room', () => {
    const flat = sandingOf(snapshotAt(coats(), LATE), LATE).classes.find((own) => own.class === 'flat');
    // 200 ft an hour, and a sheet for 100 ft² of mud as wide as the last knife. Common practice, no source.
    const feet = (flat?.amount ?? 0) / 304.8;
    const width = EMPTY.coats.findLast((coat) => coat.class === 'flat')?.tool.width ?? 0;
    expect(flat?.hours).toBeCloseTo(feet / 200, 9);
    expect(flat?.paper).toBeCloseTo((feet * (width / 304.8)) / 100, 9);
    const half = sandingOf(snapshotAt([...coats(), sanded(LATE - HOUR, { classes: ['flat'] })], LATE), LATE).classes;
    expect(half.find((own) => own.class === 'flat')).toMatchObject({ sanded: 1, hours: 0, now: { kind: 'sanded' } });
    expect(half.find((own) => own.class === 'fasteners')?.sanded).toBe(0);
  });
});

describe('what a room is handed over with', () => {
  it('is what the log says, whatever the method says later', () => {
    const anyCoat = fc.record({
      coat: fc.constantFrom(...EMPTY.coats),
      hour: fc.integer({ min: 0, max: 400 }),
    });
    const anySchool = fc.constantFrom({}, { angles: 'both' }, { coats: 'one' }, { order: 'boxes', tools: 'boxes' });
    fc.assert(
      fc.property(fc.array(anyCoat, { maxLength: 15 }), anySchool, (said, choices) => {
        const entries = said.map(({ coat: { class: kind, key, side }, hour }) =>
          logEntry({
            kind: 'coat',
            at: hour * HOUR,
            payload: { class: kind, key, ...(side ? { side } : {}), part: 1, mud: { kind: 'drying' } },
          }),
        );
        const other = { ...house, method: { ...house.method, ...choices } } as typeof house;
        const snapshot = snapshotAt(entries, LATE, other);
        const told = handOverOf(snapshot).coats.map(({ class: kind, key, side, at, who }) => [
          kind,
          key,
          side,
          at,
          who,
        ]);
        const logged = entries.map(({ payload, at, by }) => {
          const { class: kind, key, side } = payload as { class: string; key: string; side?: string };
          return [kind, key, side, at, [by]];
        });
        const sorted = (rows: readonly unknown[]) => rows.map((row) => JSON.stringify(row)).toSorted();
        expect(sorted(told)).toEqual(sorted(logged));
      }),
      { numRuns: 200 },
    );
  });

  it('tells the minutes of mending by what it was', () => {
    const item = (defect: DefectKind, minutes: number | undefined): OpenItem => ({
      id: defect,
      after: 3,
      at: '',
      who: [],
      defect,
      photos: [],
      closed: { at: '', who: [], minutes, photos: [] },
    });
    const items = [
      item('dent', 10),
      item('bubble', 25),
      item('dent', undefined),
      { ...item('dent', 5), closed: undefined },
    ];
    expect(reworkBy(items, ({ defect }) => defect ?? '')).toEqual([
      { key: 'bubble', minutes: 25, count: 1 },
      { key: 'dent', minutes: 10, count: 3 },
    ]);
  });
});

describe('what it takes to be smooth', () => {
  it('is scraping before each coat, and sanding, by hand for one room', () => {
    const made = smoothing([EMPTY]);
    // A pantry of 7′6″ × 5′ × 8′: scraped at 600 ft an hour before each coat after the tape; the two sides of an angle are
    // scraped side by side, half of it each.
    const feet = (kind: 'flat' | 'angle') => EMPTY.tally.classes[kind].length / 304.8;
    const after = (kind: 'flat' | 'angle') => EMPTY.coats.filter((coat) => coat.class === kind && coat.key !== 'tape');
    const rounds = (kind: 'flat' | 'angle') => new Set(after(kind).map(({ key }) => key)).size;
    expect(EMPTY.tally.classes.butt.length + EMPTY.tally.classes.bead.length).toBe(0);
    expect(made.between).toBeCloseTo((feet('flat') * rounds('flat') + feet('angle') * rounds('angle')) / 600, 9);
    const sand = EMPTY.tasks.find(({ pass }) => pass === 'sand')?.hours ?? 0;
    expect(made.sanding).toBe(sand);
    expect(made.share).toBeCloseTo(sand / EMPTY.tasks.reduce((sum, { hours }) => sum + hours, 0), 9);
    expect(smoothing([])).toEqual({ between: 0, sanding: 0, share: 0 });
  });
});

describe('what is said to be sanded', () => {
  const flats = coats(EMPTY.coats.filter((coat) => coat.class === 'flat'));
  const last = Date.parse(flats.at(-1)?.at ?? '');
  const wet = (entries: readonly Entry[], at: number, classes?: readonly ('flat' | 'angle')[]) =>
    wetWhenSanded(snapshotAt(entries, LATE), { classes, faces: undefined }, at);

  it('was wet for some hours after its last coat, and then no more', () => {
    expect(wet(flats, last + HOUR)).toBe('flat');
    expect(wet(flats, last + HOUR, ['flat'])).toBe('flat');
    expect(wet(flats, last + HOUR, ['angle'])).toBeUndefined();
    expect(wet(flats, last + 200 * HOUR)).toBeUndefined();
  });

  it('is not wet by what went on after it was said, nor where a thumb found it white', () => {
    expect(wet(flats, last - HOUR)).toBeUndefined();
    const soon = last + 10 * HOUR;
    expect(wet(flats, soon)).toBe('flat');
    const white = [1, 2, 3].map((minutes) =>
      logEntry({ kind: 'touched', at: soon - minutes * 60_000, payload: { class: 'flat', found: 'white' } }),
    );
    expect(wet([...flats, ...white], soon)).toBeUndefined();
  });
});

describe('what comes before the next coat', () => {
  const tape = coats(EMPTY.coats.filter(({ key }) => key === 'tape'));
  const between = (at: number, classes?: ('flat' | 'angle')[]) =>
    logEntry({ kind: 'between', at, payload: { how: 'scrape', ...(classes ? { classes } : {}) } });
  const [fill] = coats(EMPTY.coats.filter((coat) => coat.class === 'flat' && coat.key === 'fill'));

  it('is done when somebody said so after the coat that is on, for all of the classes', () => {
    const before = (key: 'fill' | 'finish') => (['flat', 'angle'] as const).map((kind) => ({ class: kind, key }));
    const at = (entries: readonly Entry[], key: 'fill' | 'finish' = 'fill') =>
      beforeCoat(snapshotAt(entries, LATE), before(key)).done;
    expect(at(tape)).toBeUndefined();
    expect(at([...tape, between(LATE - HOUR)])).toBeDefined();
    expect(at([...tape, between(LATE - HOUR, ['flat'])])).toBeUndefined();
    expect(at([...tape, between(LATE - HOUR, ['flat', 'angle'])])).toBeDefined();
    if (!fill) throw new Error('flats are filled');
    const later = { ...fill, at: new Date(LATE - HOUR).toISOString() } as Entry;
    // What of that coat is on does not ask for it again; the next coat does.
    expect(at([...tape, between(LATE - 2 * HOUR), later])).toBeDefined();
    expect(at([...tape, between(LATE - 2 * HOUR), later], 'finish')).toBeUndefined();
  });

  it('names what shows through if it is covered, on those classes', () => {
    const [flat] = off.pieces.filter((piece) => piece.class === 'flat');
    const wrong = (defect: DefectKind, piece?: string) =>
      logEntry({ kind: 'item', at: LATE - HOUR, payload: { defect, ...(piece ? { piece } : {}) } });
    const marks = (...items: readonly Entry[]) =>
      beforeCoat(snapshotAt([...tape, ...items], LATE), [{ class: 'angle', key: 'fill' }]).marks.map(
        ({ defect }) => defect,
      );
    expect(marks(wrong('ridge'), wrong('heavyBottom'), wrong('hollow'))).toEqual(['ridge', 'heavyBottom']);
    expect(marks(wrong('ridge', flat?.id))).toEqual([]);
  });

  it('is told by the last of what was done, in the order of the classes', () => {
    const [first, then] = [between(LATE - 2 * HOUR, ['flat']), between(LATE - HOUR, ['angle'])];
    const done = beforeCoat(
      snapshotAt([...tape, first, then], LATE),
      (['flat', 'angle'] as const).map((kind) => ({ class: kind, key: 'fill' })),
    ).done;
    expect(done?.at).toBe(then.at);
  });
});

describe('what the next coat of a class takes along', () => {
  const [flat] = off.pieces.filter((piece) => piece.class === 'flat');
  const [angle] = off.pieces.filter((piece) => piece.class === 'angle');
  const ITEM = logEntry({ kind: 'item', at: LATE - HOUR, payload: { defect: 'hollow', piece: flat?.id ?? '' } });
  const closed = logEntry({ kind: 'itemClosed', at: LATE - HOUR / 2, payload: { item: ITEM.id } });
  const found = (payload: object) => [
    logEntry({ kind: 'item', at: LATE - HOUR, payload: payload as { text: string } }),
  ];
  it.each([
    ['a hollow in a flat', [ITEM], 1],
    ['a hollow in a flat that was mended', [ITEM, closed], 0],
    ['a hollow in an angle', found({ defect: 'hollow', piece: angle?.id }), 0],
    ['a hollow that names no joint', found({ defect: 'hollow' }), 0],
    ['a ridge: it is scraped off before', found({ defect: 'ridge', piece: flat?.id }), 0],
    ['a bubble: it is mended now', found({ defect: 'bubble', piece: flat?.id }), 0],
    ['what has no name', found({ text: 'Odd', piece: flat?.id }), 0],
  ] as const)('%s: %#', (_words, entries, count) => {
    expect(takenAlong(snapshotAt(entries, LATE), 'flat')).toHaveLength(count);
  });
});
