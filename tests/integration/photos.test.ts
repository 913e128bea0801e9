import { randomUUID } from 'node:crypto';
import sharp from 'sharp';
import { aroundAll, beforeAll, describe, expect, it } from 'vitest';
import { PHOTO_BYTES, PHOTO_EDGE } from '@/contract/limits';
import type { NewEntry } from '@/core/log/entry';
import { demoHouse } from '@/db/demo/demoHouse';
import { appendEntries, listEntries } from '@/db/entries';
import { inFirm } from '@/db/firm';
import { addHouse } from '@/db/houses';
import type { Member } from '@/db/people';
import { findPhoto, keepPhoto } from '@/db/photos';
import { drawnAnew } from '@/server/drawing/drawnAnew';
import { asTestFirm, newFirm } from './asTestFirm';

const AT = '2031-05-06T11:00:00.000Z';
aroundAll(asTestFirm);
let lead: Member;
let house: string;
const within = <Value>(run: () => Promise<Value>) => inFirm(lead.firm, run);
beforeAll(async () => {
  lead = await newFirm();
  house = await within(() => addHouse(demoHouse(), 'UTC'));
});

const SMALL = { bytes: Buffer.from('a picture'), width: 4, height: 3 };
const keep = (id: string, hash = 'a', houseId = house) =>
  within(() => keepPhoto({ id, houseId, by: lead.id, hash }, SMALL));
const item = (payload: Extract<NewEntry, { kind: 'item' }>['payload']): NewEntry => ({
  id: randomUUID(),
  room: 'hall',
  at: AT,
  kind: 'item',
  payload,
});
const said = (entry: NewEntry) => within(() => appendEntries(house, lead, [entry]));
const problemOf = async (entry: NewEntry) => {
  const answer = await said(entry);
  return answer.kind === 'wrong' ? `${answer.problem.path}: ${answer.problem.reason}` : answer.kind;
};

describe('a photo that is sent', () => {
  it('is kept once however often it comes; another one under its id is refused', async () => {
    const id = randomUUID();
    expect([await keep(id), await keep(id)]).toEqual(['kept', 'kept']);
    expect(await keep(id, 'b')).toBe('conflict');
    const other = await within(() => addHouse(demoHouse(), 'UTC'));
    expect(await keep(id, 'a', other)).toBe('conflict');
    expect(await within(() => findPhoto(house, id))).toEqual(SMALL.bytes);
    expect(await within(() => findPhoto(other, id))).toBeUndefined();
  });

  it('is named by entries of its house only, once it is there', async () => {
    const photo = randomUUID();
    expect(await problemOf(item({ photos: [photo] }))).toBe('entries[0].payload.photos[0]: is no photo of this house');
    await keep(photo);
    expect(await problemOf(item({ photos: [photo] }))).toBe('recorded');
  });

  it('is drawn anew: upright, small, and nothing but the picture', async () => {
    // A noisy picture is the worst to make small; taken on its side, with where it was taken.
    const noise = Buffer.from(
      Uint8Array.from({ length: 2400 * 1800 * 3 }, (_, index) => (index * 7919 + (index >> 7) * 31) % 251),
    );
    const taken = await sharp(noise, { raw: { width: 2400, height: 1800, channels: 3 } })
      .withMetadata({ orientation: 6 })
      .withExifMerge({ IFD3: { GPSLatitudeRef: 'N', GPSLatitude: '51/1 30/1 0/1' } })
      .jpeg({ quality: 95 })
      .toBuffer();
    const drawn = await drawnAnew(taken);
    if (!drawn.ok) throw new Error(drawn.why);
    const { width, height, exif, orientation, format } = await sharp(drawn.photo.bytes).metadata();
    expect({ width, height, exif, orientation, format }).toEqual({
      width: (PHOTO_EDGE * 3) / 4,
      height: PHOTO_EDGE,
      exif: undefined,
      orientation: undefined,
      format: 'jpeg',
    });
    expect(drawn.photo).toMatchObject({ width, height });
    expect(drawn.photo.bytes.length).toBeLessThanOrEqual(PHOTO_BYTES);
  });

  it('has at most 16 million pixels as AVIF, which is decoded whole', async () => {
    const avifOf = (edge: number) =>
      sharp({ create: { width: edge, height: edge, channels: 3, background: '#8a6' } })
        .avif({ effort: 0 })
        .toBuffer();
    expect(await drawnAnew(await avifOf(4100))).toEqual({
      ok: false,
      why: 'This photo has too many pixels. Send one with at most 16 million.',
    });
    expect(await drawnAnew(await avifOf(400))).toMatchObject({ ok: true, photo: { width: 400, height: 400 } });
  });

  it('holds nothing that was hidden behind its picture', async () => {
    const picture = await sharp({ create: { width: 40, height: 30, channels: 3, background: '#fff' } })
      .jpeg()
      .toBuffer();
    const drawn = await drawnAnew(Buffer.concat([picture, Buffer.from('<script>alert(1)</script>')]));
    expect(drawn.ok && drawn.photo.bytes.includes('<script>')).toBe(false);
  });
});

describe('something that is wrong', () => {
  it('lies on a face and a piece of its room, a thumb beside the edge at most', async () => {
    expect(await problemOf(item({ defect: 'dent', face: 'w0', place: [300, 300] }))).toBe('recorded');
    expect(await problemOf(item({ defect: 'dent', face: 'w0', place: [-60, 300] }))).toBe('recorded');
    expect(await problemOf(item({ defect: 'dent', face: 'w0', place: [-600, 300] }))).toBe(
      'entries[0].payload.place: lies off its face',
    );
    expect(await problemOf(item({ defect: 'dent', face: 'w9', place: [300, 300] }))).toBe(
      'entries[0].payload.face: the room has no face "w9"',
    );
    expect(await problemOf(item({ defect: 'dent', face: 'w0', piece: 'nowhere' }))).toBe(
      'entries[0].payload.piece: the room has no piece "nowhere"',
    );
  });

  it('is said, as what is sanded, checked or accepted is, of faces that the room has', async () => {
    const saying = (kind: NewEntry['kind'], payload: object, faces = ['w0', 'w9']) =>
      ({ ...item({}), kind, payload: { ...payload, faces } }) as NewEntry;
    for (const entry of [
      saying('accepted', { found: 'good' }),
      saying('between', { how: 'scrape' }),
      saying('sanded', {}),
      saying('checked', { level: 4 }),
    ])
      expect(await problemOf(entry), entry.kind).toBe('entries[0].payload.faces[1]: the room has no face "w9"');
    expect(await problemOf(saying('accepted', { found: 'held' }, ['w0']))).toBe('recorded');
  });

  it('keeps what the clock of the phone said, and is the same entry when it comes again', async () => {
    const entry = { ...item({ text: 'Ridge' }), deviceAt: '2031-05-06T12:10:00.000Z' };
    expect(await said(entry)).toEqual(await said(entry));
    expect((await said({ ...entry, deviceAt: '2031-05-06T12:11:00.000Z' })).kind).toBe('conflict');
    const [kept] = (await within(() => listEntries(house))).filter(({ id }) => id === entry.id);
    expect([kept?.at, kept?.deviceAt]).toEqual([AT, entry.deviceAt]);
  });
});
