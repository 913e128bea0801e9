import { readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { airClock } from '@/core/air/airClock';
import type { SourcedAir } from '@/core/air/roomAir';
import { readHouse } from '@/core/house/readHouse';
import { takeOff, whatIsKept } from '@/core/joints/takeOff';
import { type Entry, newEntrySchema } from '@/core/log/entry';
import { liftPayload } from '@/core/log/liftEntry';
import { stateOf } from '@/core/log/stateOf';
import { houseSnapshot } from '@/core/snapshot/houseSnapshot';

/** A log as the first version recorded it, with what that version made of it: of each coat its phase, share and date. */
const { house: file, now, entries, expected } = JSON.parse(readFileSync('tests/fixtures/log-v1.json', 'utf8'));

describe('a log of the first version', () => {
  const lifted: readonly Entry[] = entries.map((entry: Entry) => ({
    ...entry,
    payload: liftPayload(entry.kind, entry.payload),
  }));

  it('stands where it stood', () => {
    const reading = readHouse(file);
    if (!reading.ok) throw new Error('the house is read');
    const { house } = reading;
    const air = airClock<SourcedAir>([
      { from: 0, air: { temperature: (70 - 32) / 1.8, humidity: 50 }, source: { kind: 'house' }, readAt: 0 },
    ]);
    const snapshot = houseSnapshot(
      house,
      house.rooms,
      stateOf(lifted),
      () => air,
      Date.parse(now),
      (room) => whatIsKept(takeOff(room, house)),
    );
    /** Dates as they were, but for what a better section changed of the thickness that an entry does not say: a few minutes. */
    const asBefore = (room: string, coat: string, at: number | undefined) => {
      const was = expected[room]?.coats[coat]?.[2];
      return Math.abs((at ?? 0) - Date.parse(was)) <= 6 * 60_000 ? was : new Date(at ?? 0).toISOString();
    };
    const found = snapshot.rooms.map(({ room, standing, applied, done }) => [
      room.id,
      {
        coats: Object.fromEntries(
          standing.classes
            .flatMap(({ coats }) => coats)
            .filter(({ share }) => share > 0)
            .map(({ coat, phase, share, readyAt }) => [
              coat.id,
              [phase === 'sanded' ? 'dry' : phase, Number(share.toFixed(6)), asBefore(room.id, coat.id, readyAt)],
            ]),
        ),
        more: applied.more.length,
        sanded: done.sanded?.at ?? null,
      },
    ]);
    // What was sanded is known by the piece since: new mud beside it does not undo it. The first side of an angle is the last
    // coat of its pieces: in setting mud it is ready when it may be sanded, hours after the other side may go on.
    const dry = JSON.parse(JSON.stringify(expected).replaceAll('"sanded",', '"dry",'));
    expect(Object.fromEntries(found)).toEqual(dry);
  });

  it('is said in the same way when it is sent again, and one of the future is refused', () => {
    for (const { seq: _seq, by: _by, role: _role, recordedAt: _at, ...sent } of entries) {
      const again = newEntrySchema.parse(sent);
      expect(again.payload).toEqual(liftPayload(sent.kind, sent.payload));
      expect(newEntrySchema.parse({ ...sent, version: 1 })).toEqual(again);
      expect(newEntrySchema.parse({ ...again, version: 3 })).toEqual(again);
      expect(newEntrySchema.safeParse({ ...sent, version: 4 }).error?.issues[0]).toMatchObject({
        path: ['version'],
        message: 'Unsupported version',
      });
    }
  });

  it('hands a whole pass to one person, or lets it go, as it did', () => {
    const handed = entries.filter(({ kind }: Entry) => kind === 'assigned');
    expect(handed.length).toBeGreaterThan(5);
    for (const { kind, payload } of handed) {
      const { pass, person, day } = payload as unknown as { pass: string; person: string | null; day: string };
      expect(liftPayload(kind, payload)).toEqual({ work: pass, people: person === null ? [] : [person], day });
      expect(liftPayload(kind, payload, 2)).toEqual(liftPayload(kind, payload, 1));
    }
    const states = stateOf(lifted);
    const last = handed.at(-1);
    const { work = '' } = (last ? liftPayload(last.kind, last.payload) : {}) as { work?: string };
    expect(states.get(last?.room ?? '')?.assignments.has(work)).toBe(true);
    // What is of the present version stays as it is.
    const now = { work: 'fill.flat', people: ['a', 'b'], day: '2031-05-06' };
    expect(liftPayload('assigned', now, 3)).toEqual(now);
  });
});
