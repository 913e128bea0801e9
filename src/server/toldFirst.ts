import { wetWhenSanded } from '../core/inspect/sandable';
import { whyNotSigned } from '../core/inspect/signOff';
import type { NewEntry } from '../core/log/entry';
import { movedIn, STOCK } from '../core/stock/stock';
import { findHouse } from '../db/houses';
import { notSignedWords, wetWords } from '../words/signWords';
import { loadSnapshot } from './loadSnapshot';
import { refuse } from './refuse';

/** A pail holds a little more than it says. */
const COUNT_SLACK = 1.05;

/**
 * A level is signed off for what is on, dry, sanded and mended only, what is wet is not sanded, and what somebody mended is mended
 * once; sent again it is what it was.
 */
export async function toldFirst(house: string, entries: readonly NewEntry[]): Promise<Response | undefined> {
  const checks = entries.flatMap((entry) => (entry.kind === 'checked' ? [entry] : []));
  const sandings = entries.flatMap((entry) => (entry.kind === 'sanded' ? [entry] : []));
  const mends = entries.flatMap((entry) => (entry.kind === 'itemClosed' ? [entry] : []));
  const counts = entries.flatMap((entry) =>
    entry.kind === 'stock' && entry.payload.what === 'counted' ? [entry] : [],
  );
  if (checks.length + sandings.length + mends.length + counts.length === 0 || !(await findHouse(house)))
    return undefined;
  const { snapshot, log, people } = await loadSnapshot(house);
  for (const { id, payload } of counts) {
    if (log.has(id)) continue;
    const moves = movedIn(log.last(STOCK, Number.POSITIVE_INFINITY)).filter(({ good }) => good === payload.good);
    const came = moves.reduce((sum, { kind, amount }) => (kind === 'delivered' ? sum + amount : sum), 0);
    if (payload.amount > came * COUNT_SLACK)
      return refuse(409, 'That is more than was ever said to have come: say what was delivered first.');
  }
  for (const { id, room, payload } of mends) {
    const { state } = snapshot.rooms.find((candidate) => candidate.room.id === room) ?? {};
    const closed = state?.items.find((item) => item.id === payload.item)?.closed;
    if (!closed || log.has(id)) continue;
    const names = people.filter((person) => closed.who.includes(person.id)).map(({ name }) => name);
    return refuse(409, `${names.join(' and ') || 'Somebody'} has mended it already.`);
  }
  for (const { id, room, payload, at } of sandings) {
    const own = snapshot.rooms.find((candidate) => candidate.room.id === room);
    const wet =
      own && !log.has(id) && wetWhenSanded(own, { classes: payload.classes, faces: payload.faces }, Date.parse(at));
    if (wet) return refuse(409, `${own.room.name} is not sanded. ${wetWords(wet)}`);
  }
  for (const { id, room, payload, at } of checks) {
    const own = snapshot.rooms.find((candidate) => candidate.room.id === room);
    if (!own || log.has(id)) continue;
    const not = whyNotSigned(own, payload.faces, payload.level, Date.parse(at));
    if (not) return refuse(409, `${own.room.name} is not signed off. ${notSignedWords(not)}`);
  }
  return undefined;
}
