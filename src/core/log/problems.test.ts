import { describe, expect, it } from 'vitest';
import { INES, logEntry, MARIT, TOBIN } from '../../../tests/houses/logEntry';
import { batchesOf } from './batch';
import { newEntrySchema } from './entry';
import { HouseLog } from './houseLog';
import { stateOf } from './stateOf';

const PHOTO = '00000000-0000-4000-8000-0000000000aa';
const OTHER = '00000000-0000-4000-8000-0000000000bb';
const ITEM = '00000000-0000-4000-8000-0000000000cc';
const MINUTE = 60_000;

const sent = (payload: object, kind = 'item') =>
  newEntrySchema.safeParse({ id: ITEM, room: 'hall', at: '2031-05-06T11:00:00.000Z', version: 3, kind, payload });
const problemOf = (payload: object, kind?: string) => {
  const { error } = sent(payload, kind);
  return error && [error.issues[0]?.path.join('.'), error.issues[0]?.message];
};

describe('something that is wrong', () => {
  it('is words, a kind or a photo, with its place on a face', () => {
    for (const payload of [
      { text: 'Ridge' },
      { defect: 'bubble', face: 'w0', place: [1200, 900], piece: 'w0#v1219.0@w0' },
      { photos: [PHOTO] },
    ])
      expect(sent(payload).success, JSON.stringify(payload)).toBe(true);
    expect(problemOf({})).toEqual(['payload.text', 'needs words, a kind or a photo']);
    expect(problemOf({ defect: 'bubble', place: [1, 2] })).toEqual([
      'payload.face',
      'must say on which face the place is',
    ]);
    expect(problemOf({ photos: [PHOTO, PHOTO] })?.[1]).toBe('name a photo twice');
    expect(problemOf({ defect: 'wobble' })?.[0]).toBe('payload.defect');
    expect(problemOf({ defect: 'gap', length: 0 })).toEqual(['payload.length', 'must be greater than 0']);
  });

  it('may be read with a knife, which lay across a piece and rocks on what is under it', () => {
    const knife = { length: 305, width: 610, seen: { kind: 'rocks', lift: 4, pivot: 152 } };
    const crown = { defect: 'crown', piece: 'w0#v1219.0@w0' };
    expect(sent({ ...crown, knife }).success).toBe(true);
    expect(problemOf({ defect: 'crown', knife })).toEqual([
      'payload.piece',
      'must say across which piece the knife lay',
    ]);
    expect(problemOf({ ...crown, knife: { ...knife, seen: { kind: 'rocks', lift: 4, pivot: 306 } } })).toEqual([
      'payload.knife.seen.pivot',
      'must lie under the knife',
    ]);
    expect(problemOf({ ...crown, knife: { ...knife, seen: { kind: 'flat' } } })?.[0]).toBe('payload.knife.seen.kind');
    expect(problemOf({ ...crown, knife: { ...knife, seen: { kind: 'ends', gap: 41 } } })?.[1]).toBe(
      'must be at most 40 mm',
    );
    expect(problemOf({ item: ITEM, minutes: -1 }, 'itemClosed')).toEqual(['payload.minutes', 'must be 0 or more']);
  });

  it('is open until it is mended, with who, how long, and the photos of both', () => {
    const entries = [
      logEntry({ kind: 'item', id: ITEM, at: 1, payload: { defect: 'dent', photos: [PHOTO] } }),
      logEntry({ kind: 'itemClosed', at: 2, by: INES, payload: { item: ITEM, minutes: 12, photos: [OTHER] } }),
    ];
    const [opened, closed] = [stateOf(entries.slice(0, 1)).get('room'), stateOf(entries).get('room')];
    expect(opened?.items).toMatchObject([{ id: ITEM, defect: 'dent', who: [TOBIN], closed: undefined }]);
    expect(closed?.items).toMatchObject([{ closed: { who: [INES], minutes: 12, photos: [OTHER] } }]);
    expect(closed?.photos.map(({ id, item }) => [id, item])).toEqual([
      [PHOTO, ITEM],
      [OTHER, ITEM],
    ]);
    const voided = [
      ...entries,
      logEntry({ kind: 'void', by: MARIT, role: 'lead', payload: { target: entries[1]?.id ?? '' } }),
    ];
    expect(stateOf(voided).get('room')?.items).toMatchObject([{ closed: undefined }]);
  });

  it('goes into the hand-over with the photos that were chosen last', () => {
    const entries = [
      logEntry({ kind: 'pictured', at: 1, payload: { photos: [PHOTO, OTHER], text: 'before tape' } }),
      logEntry({ kind: 'shown', at: 2, payload: { photos: [PHOTO] } }),
      logEntry({ kind: 'shown', at: 3, payload: { photos: [OTHER] } }),
    ];
    expect(stateOf(entries).get('room')).toMatchObject({
      photos: [{ id: PHOTO, text: 'before tape' }, { id: OTHER }],
      shown: [OTHER],
    });
  });
});

describe('a batch of setting mud', () => {
  const mixed = (at: number, minutes: number, by = TOBIN) => ({
    ...logEntry({ kind: 'mixed', at, by, payload: { minutes, product: 'twenty' } }),
    room: null,
  });

  it('is of who mixed it, for three times its working time; taken back it is none', () => {
    const log = new HouseLog();
    const entries = [mixed(0, 20), mixed(30 * MINUTE, 45), mixed(31 * MINUTE, 45, INES)];
    log.add(entries as never);
    const at = (minute: number) =>
      batchesOf(log.last(new Set(['mixed']), 9), TOBIN, minute * MINUTE).map(({ minutes }) => minutes);
    expect(at(29)).toEqual([20]);
    expect(at(40)).toEqual([45, 20]);
    expect(at(60)).toEqual([45]);
    expect(at(166)).toEqual([]);
    expect(log.states().size).toBe(0);
    log.add([logEntry({ kind: 'void', payload: { target: entries[1]?.id ?? '' } })]);
    expect(at(40)).toEqual([20]);
  });
});
