import { describe, expect, it } from 'vitest';
import { ENTRY_VERSION, liftEntry, liftPayload } from './liftEntry';

const flat = { class: 'flat', key: 'tape' };

describe('an entry of a former version', () => {
  it.each([
    ['a whole coat', 1, 'coat', { ...flat, share: { of: 'all' } }, { ...flat, part: 1 }],
    ['half a coat', 1, 'coat', { ...flat, share: { of: 'half' } }, { ...flat, part: 0.5 }],
    ['a part of a coat', 1, 'coat', { ...flat, share: { of: 'part', part: 0.3 } }, { ...flat, part: 0.3 }],
    ['a coat without a share', 1, 'coat', { ...flat, part: 0.3 }, { ...flat, part: 0.3 }],
    ['something else with a share', 1, 'sanded', { share: { of: 'all' } }, { share: { of: 'all' } }],
    ['a share of the second version', 2, 'coat', { ...flat, share: { of: 'all' } }, { ...flat, share: { of: 'all' } }],
    ['a pass given to one', 2, 'assigned', { pass: 'tape', person: 'a' }, { work: 'tape', people: ['a'] }],
    ['a pass let go', 2, 'assigned', { pass: 'tape', person: null }, { work: 'tape', people: [] }],
    ['a pass given to nobody', 2, 'assigned', { pass: 'tape' }, { work: 'tape', people: [] }],
    ['a pass of the first version', 1, 'assigned', { pass: 'tape', person: 'a' }, { work: 'tape', people: ['a'] }],
    ['work as it is said now', 2, 'assigned', { work: 'tape', people: ['a'] }, { work: 'tape', people: ['a'] }],
    ['a pass of another kind', 2, 'held', { pass: 'tape' }, { pass: 'tape' }],
    ['no payload', 1, 'coat', null, null],
    ['a list', 1, 'coat', [1], [1]],
  ])('says %s', (_words, version, kind, payload, is) => {
    expect(liftPayload(kind, payload, version)).toEqual(is);
  });

  const coat = { kind: 'coat', payload: { ...flat, share: { of: 'half' } } };
  it.each([
    ['the first', { ...coat, version: 1 }, { kind: 'coat', payload: { ...flat, part: 0.5 } }],
    ['none: the first', coat, { kind: 'coat', payload: { ...flat, part: 0.5 } }],
    ['the present', { ...coat, version: ENTRY_VERSION }, coat],
    ['one to come', { ...coat, version: ENTRY_VERSION + 1 }, { ...coat, version: ENTRY_VERSION + 1 }],
    ['nought', { ...coat, version: 0 }, { ...coat, version: 0 }],
    ['half of one', { ...coat, version: 1.5 }, { ...coat, version: 1.5 }],
    ['a word', { ...coat, version: '1' }, { ...coat, version: '1' }],
  ])('of the version %s', (_words, entry, is) => {
    expect(liftEntry(entry)).toEqual(is);
  });

  it('that is none stays as it is', () => {
    expect([liftEntry(null), liftEntry('x'), liftEntry([1])]).toEqual([null, 'x', [1]]);
  });
});
