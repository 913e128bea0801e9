import { describe, expect, it } from 'vitest';
import { logEntry as entry } from '../../../tests/houses/logEntry';
import { oneRoomSnapshot } from '../../../tests/houses/oneRoomSnapshot';
import { SCHOOLS } from '../../../tests/plans/anyPlan';
import type { Entry } from '../log/entry';
import { randomFrom } from '../plan/improve';
import { openWork } from './planInputOf';

const NOW = Date.parse('2031-05-06T11:00:00Z');
const HOUR_MS = 3_600_000;
const ROUNDS = ['tape', 'fill', 'finish', 'extra', 'sides'];
const ROOMS = [
  "A 12' x 10' x 8', door 32x80 wall 1 bead",
  "A 20' x 14' x 9', window 36x48 wall 2 bead, opening 60x84 wall 1",
].map((line) => oneRoomSnapshot(line, NOW));

/** A room somewhere in the middle of its work: coats put on in order but for some, some in part, the last ones wet, some spoiled. */
function anyStanding(seed: number) {
  const random = randomFrom(seed);
  const upTo = (most: number) => Math.floor(random() * (most + 1));
  const snapshot = ROOMS[upTo(ROOMS.length - 1)];
  if (!snapshot) throw new Error('there is a room');
  const { roomWith, taken } = snapshot;
  const method = SCHOOLS[upTo(SCHOOLS.length - 1)];
  const coats = [...roomWith([], method).coats].sort((a, b) => ROUNDS.indexOf(a.key) - ROUNDS.indexOf(b.key));
  const entries: Entry[] = [];
  let at = NOW - (4 + upTo(80)) * HOUR_MS;
  for (const { class: kind, key, side, settingMinutes } of coats.slice(0, upTo(coats.length))) {
    if (random() < 0.1) continue;
    at = Math.min(NOW, at + random() * 10 * HOUR_MS);
    const part = random() < 0.75 ? 1 : 0.05 + 0.9 * random();
    const mud =
      settingMinutes === undefined
        ? ({ kind: 'drying' } as const)
        : ({ kind: 'setting', minutes: settingMinutes } as const);
    entries.push(entry({ kind: 'coat', at, payload: { class: kind, key, ...(side ? { side } : {}), part, mud } }));
  }
  const piece = taken.pieces[upTo(taken.pieces.length - 1)]?.id ?? '';
  if (random() < 0.3) entries.push(entry({ kind: 'item', at, payload: { defect: 'bubble', piece } }));
  return roomWith(entries, method);
}

describe('what can go now, and what is planned', () => {
  it('say the same in 400 rooms: what can go waits for nothing to dry, and what is wet is not begun', () => {
    let [going, wet] = [0, 0];
    for (let seed = 1; seed <= 400; seed += 1) {
      const room = anyStanding(seed);
      const items = openWork(room, NOW);
      for (const { class: kind, now } of room.standing.classes) {
        const itemOf = (id: string) => items.find(({ coats }) => coats.includes(id));
        // What can go on some of its pieces is planned when it can on all.
        for (const { coat, pieces } of now.kind === 'go' ? now.ready : []) {
          const item = itemOf(coat.id);
          expect(item, `seed ${seed}, ${coat.id}`).toBeDefined();
          if (pieces) continue;
          expect(item?.from ?? 0, `seed ${seed}, ${coat.id}`).toBeLessThanOrEqual(NOW);
          expect(item?.after.filter(({ until }) => until === 'recoat' || until === 'sand')).toEqual([]);
          going += 1;
        }
        if (now.kind === 'wet' && now.next) {
          const item = itemOf(now.next.id);
          const begins = item && item.after.length > 0 ? Number.POSITIVE_INFINITY : (item?.from ?? 0);
          expect(begins, `seed ${seed}, ${now.next.id}`).toBeGreaterThanOrEqual(now.until);
          wet += 1;
        }
        if (now.kind === 'dry' || now.kind === 'sanded')
          expect(items.filter(({ coats }) => coats.some((id) => id.startsWith(`${kind}.`)))).toEqual([]);
      }
    }
    expect(Math.min(going, wet)).toBeGreaterThan(200);
  });
});
