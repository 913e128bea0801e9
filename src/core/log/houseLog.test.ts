import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import type { Entry } from './entry';
import { HouseLog } from './houseLog';
import { stateOf } from './stateOf';

const PEOPLE = ['00000000-0000-4000-8000-00000000000a', '00000000-0000-4000-8000-00000000000b'] as const;
const idOf = (index: number) => `00000000-0000-4000-8000-${String(index).padStart(12, '0')}`;

/** What somebody logs: a coat, a note, a sanding, of no room that something came, or that an entry is taken back, also one that comes later or never. */
const anySaid = fc.record({
  kind: fc.constantFrom(
    'coat' as const,
    'item' as const,
    'sanded' as const,
    'held' as const,
    'stock' as const,
    'void' as const,
  ),
  room: fc.constantFrom('bath', 'hall', 'den'),
  hour: fc.integer({ min: 0, max: 50 }),
  by: fc.constantFrom(...PEOPLE),
  role: fc.constantFrom('lead' as const, 'finisher' as const),
  target: fc.nat({ max: 40 }),
});
type Said = typeof anySaid extends fc.Arbitrary<infer Value> ? Value : never;

function entryOf({ kind, room, hour, by, role, target }: Said, index: number): Entry {
  const at = new Date(hour * 3_600_000).toISOString();
  const own = { id: idOf(index), at, seq: index + 1, by, role, recordedAt: at };
  switch (kind) {
    case 'coat':
      return {
        ...own,
        room,
        kind,
        payload: { class: 'flat', key: 'tape', part: 0.5, mud: { kind: 'drying' } },
      };
    case 'item':
      return { ...own, room, kind, payload: { text: `note ${index}` } };
    case 'sanded':
      return { ...own, room, kind, payload: {} };
    case 'held':
      return { ...own, room, kind, payload: { why: 'wait' } };
    case 'stock':
      return { ...own, room: null, kind, payload: { good: 'paper', what: 'delivered', amount: 1 } };
    case 'void':
      return { ...own, room: null, kind, payload: { target: idOf(target) } };
  }
}

describe('the log of a house', () => {
  it('folds to the same whether it comes at once, one by one or in batches, asked for in between or not', () => {
    const batches = fc.array(fc.record({ many: fc.integer({ min: 1, max: 6 }), ask: fc.boolean() }), { minLength: 40 });
    fc.assert(
      fc.property(fc.array(anySaid, { maxLength: 40, size: 'max' }), batches, (said, sizes) => {
        const entries = said.map(entryOf);
        const log = new HouseLog();
        let from = 0;
        for (const { many, ask } of sizes) {
          // What has come already comes again with what is new, as for two requests at one moment.
          log.add(entries.slice(Math.max(0, from - 1), from + many));
          from += many;
          if (ask) log.states();
        }
        const whole = stateOf(entries);
        expect(log.size).toBe(entries.length);
        expect(entries.every(({ id, kind }) => log.has(id) === (kind !== 'void'))).toBe(true);
        for (const room of ['bath', 'hall', 'den']) expect(log.states().get(room)).toEqual(whole.get(room));
      }),
      { numRuns: 300 },
    );
  });

  it('tells the last entries that stand, the last one recorded first', () => {
    fc.assert(
      fc.property(fc.array(anySaid, { maxLength: 40, size: 'max' }), (said) => {
        const entries = said.map(entryOf);
        const log = new HouseLog();
        log.add(entries);
        const isTakenBack = ({ id, by }: Entry) =>
          entries.some(
            (entry) =>
              entry.kind === 'void' && entry.payload.target === id && (entry.role === 'lead' || entry.by === by),
          );
        const expected = entries
          .filter((entry) => (entry.kind === 'coat' || entry.kind === 'sanded') && !isTakenBack(entry))
          .reverse()
          .slice(0, 5);
        expect(log.last(new Set(['coat', 'sanded']), 5)).toEqual(expected);
      }),
      { numRuns: 200 },
    );
  });
});
