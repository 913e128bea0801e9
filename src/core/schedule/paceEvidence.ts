import type { CoatEntry, Entry } from '../log/entry';
import { whoDid } from '../log/whoDid';
import { groupBy } from '../measure/groupBy';
import { memoizeLast } from '../measure/memoizeLast';
import type { Evidence } from '../rates/learn';
import type { RoomSnapshot } from '../snapshot/houseSnapshot';
import { lengthCovered } from '../standing/coveredBy';
import { rateOfCoat } from '../work/rateOfCoat';
import { coatHours } from '../work/tasksOf';

const HOUR_MS = 3_600_000;
const MINUTES = 60;

/**
 * What the log of a house says about how long people take: what was put on between begun and ended, less the pauses, beside
 * what it takes by the usual rates. What was logged together took its time together.
 */
export const evidenceIn = (rooms: readonly RoomSnapshot[]): readonly Evidence[] =>
  rooms.flatMap(({ state, coats, method }) => cachedEvidence(state.applied, coats, method));

/** Of a room of which nothing changed since it was asked last the evidence is the same. */
const cachedEvidence = memoizeLast(evidenceInRoom);

function evidenceInRoom(
  applied: RoomSnapshot['state']['applied'],
  coats: RoomSnapshot['coats'],
  method: RoomSnapshot['method'],
): readonly Evidence[] {
  const timed = applied.filter(({ payload: { begun, ended } }) => begun !== undefined && ended !== undefined);
  const passes = groupBy(timed, (entry) => `${entry.payload.begun} ${entry.payload.ended} ${whoDid(entry).join(' ')}`);
  return [...passes.values()].flatMap((entries) => {
    const [first] = entries;
    const people = first ? whoDid(first) : [];
    const took = hoursOf(first) * people.length;
    const parts = entries.flatMap((entry) => {
      const coat = coats.find(
        ({ class: kind, key, side }) =>
          kind === entry.payload.class && key === entry.payload.key && side === entry.payload.side,
      );
      return coat
        ? [{ rate: rateOfCoat(coat), usual: coatHours({ ...coat, amount: amountOf(entry, coat.amount) }, method) }]
        : [];
    });
    const usual = parts.reduce((sum, part) => sum + part.usual, 0);
    if (usual === 0) return [];
    return [...groupBy(parts, ({ rate }) => rate)].map(([rate, own]): Evidence => {
      const part = own.reduce((sum, one) => sum + one.usual, 0);
      return { people, rate, usual: part, took: (took * part) / usual, weight: part / usual };
    });
  });
}

function hoursOf(entry: Entry | undefined): number {
  if (!entry || !('begun' in entry.payload)) return 0;
  const { begun, ended, paused = 0 } = entry.payload;
  if (begun === undefined || ended === undefined) return 0;
  return (Date.parse(ended) - Date.parse(begun)) / HOUR_MS - paused / MINUTES;
}

/** How much of a coat an entry put on: what it lay on when it was recorded, else its part of what there is. */
function amountOf({ payload: { class: kind, on, part } }: CoatEntry, whole: number): number {
  if (!on) return whole * part;
  if (kind === 'fasteners' || kind === 'surface') return on.reduce((sum, { amount }) => sum + amount, 0);
  return lengthCovered(on);
}
