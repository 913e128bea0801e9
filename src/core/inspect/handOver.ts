import type { Air } from '../air/air';
import { firstAfter } from '../air/airClock';
import { sealerDryAt } from '../drying/sealer';
import type { CoatEntry } from '../log/entry';
import type { Mark, OpenItem, RoomState, Signature } from '../log/roomState';
import { whoDid } from '../log/whoDid';
import { seals } from '../materials/loadList';
import { COATED_CLASSES, type CoatedClass, type CoatId, type CoatKey, type Side } from '../method/coat';
import { coatsFor } from '../method/coatsFor';
import { methodOn, type RoomCoat } from '../method/roomCoats';
import type { RoomNow } from '../readiness/whatNow';
import type { Level } from '../room/level';
import { roomForBuilder } from '../snapshot/forBuilder';
import type { RoomSnapshot } from '../snapshot/houseSnapshot';
import { isOnGone } from '../standing/alikePieces';
import { amountCovered } from '../standing/coveredBy';
import { facesToSign } from '../standing/finished';

/** A coat as it was really put on. */
export interface RanCoat extends Mark {
  readonly class: CoatedClass;
  readonly key: CoatKey;
  readonly side: Side | undefined;
  /** mm of joint, fasteners by count, mm² of surface; undefined where nobody found out. */
  readonly amount: number | undefined;
  /** The coats that the room's method asks for now and that it counts for; of none it stays what was done. */
  readonly counts: readonly CoatId[];
  /** Whether any joint that it was put on still exists. */
  readonly isThere: boolean;
  /** 0–1, of what it was said to be on. */
  readonly part: number;
  readonly mud: CoatEntry['payload']['mud'];
  readonly product: string | undefined;
  readonly batch: string | undefined;
  readonly tool: string | undefined;
  /** The mean of its first day, °C and %; undefined where it was never measured. */
  readonly air: Air | undefined;
}

/** A coat that the room's method asks for, and how much of it is on. */
export interface AskedCoat extends Pick<RoomCoat, 'id' | 'class' | 'key' | 'side' | 'sides' | 'trimmed' | 'amount'> {
  /** 0–1 */
  readonly share: number;
}

/**
 * What a room is handed over with, for the sheet on screen, on paper and under a secret address, and for the record as JSON: all of it
 * from the log, nothing from a choice that can be made anew.
 */
export interface HandOver {
  readonly id: string;
  readonly name: string;
  readonly floor: string;
  /** What comes next in it. */
  readonly now: RoomNow;
  /** mm² of board. */
  readonly boardArea: number;
  readonly agreed: Level;
  readonly met: (Mark & { readonly level: Level }) | undefined;
  readonly faces: readonly (Partial<Mark> & {
    readonly face: string;
    readonly place: string;
    readonly level: Level | undefined;
    readonly light: string | undefined;
    /** When it may be painted or textured, ISO; undefined while it is not checked, or to be sealed first. */
    readonly paintFrom: string | undefined;
  })[];
  readonly asked: readonly AskedCoat[];
  readonly coats: readonly RanCoat[];
  readonly prefilled: Mark | undefined;
  readonly sanded: Mark | undefined;
  readonly sandings: RoomState['sandings'];
  readonly sealed: Mark | undefined;
  readonly items: readonly OpenItem[];
  readonly photos: readonly string[];
  readonly signatures: readonly Signature[];
  readonly handedOver: Mark | undefined;
  /** What the painters are to know: it is not sealed, and paper and mud take paint differently. */
  readonly sealFirst: boolean;
}

/** A coat is dry within this, as a rule: the air of that time is what it dried in. */
const FIRST_DAY_MS = 24 * 3_600_000;

/** Returns the facts of a room's hand-over, as a builder reads them: words that are only for the crew are left out. */
export function handOverOf(room: RoomSnapshot): HandOver {
  return factsOf(roomForBuilder(room));
}

function factsOf(snapshot: RoomSnapshot): HandOver {
  const { room, level, state, done, applied, faces, pieces, tally, standing } = snapshot;
  const more = new Set(applied.more);
  const there = new Map(pieces.map((piece) => [piece.id, piece]));
  const toSign = new Set(facesToSign(applied));
  return {
    id: room.id,
    name: room.name,
    floor: room.floor,
    now: standing.now,
    boardArea: tally.boardArea,
    agreed: level,
    met: done.checked,
    faces: faces
      .filter(({ id }) => toSign.has(id) || done.checkedFaces.has(id))
      .map(({ id, place }) => {
        const check = done.checkedFaces.get(id);
        return {
          face: id,
          place,
          level: check?.level,
          at: check?.at,
          who: check?.who,
          light: check?.light,
          paintFrom: paintFrom(id, snapshot),
        };
      }),
    asked: snapshot.coats
      .map(({ id, class: kind, key, side, sides, trimmed, amount }): AskedCoat => {
        const share = applied.coats.get(id)?.share ?? 0;
        return { id, class: kind, key, side, sides, trimmed, amount, share };
      })
      .sort((a, b) => COATED_CLASSES.indexOf(a.class) - COATED_CLASSES.indexOf(b.class)),
    coats: state.applied
      .map((entry): RanCoat => {
        const { class: kind, key, side, mud, product, batch, tool, on, part } = entry.payload;
        return {
          class: kind,
          key,
          side,
          amount: on && amountCovered({ on, side }),
          counts: more.has(entry)
            ? []
            : [...applied.coats].flatMap(([id, own]) => (own.applications.includes(entry) ? [id] : [])),
          isThere:
            !on ||
            on.some(({ id }) => {
              const piece = there.get(id);
              return piece !== undefined && !isOnGone(piece, entry.gone ?? []);
            }),
          part,
          mud,
          product,
          batch,
          tool,
          at: entry.at,
          who: whoDid(entry),
          air: meanAir(snapshot, Date.parse(entry.at)),
        };
      })
      .sort(
        (a, b) =>
          COATED_CLASSES.indexOf(a.class) - COATED_CLASSES.indexOf(b.class) || Date.parse(a.at) - Date.parse(b.at),
      ),
    prefilled: markOf(state.prefills.at(-1)),
    sanded: markOf(done.sanded),
    sandings: state.sandings,
    sealed: snapshot.sealed.whole,
    items: state.items,
    photos: state.shown,
    signatures: state.signatures,
    handedOver: state.handedOver,
    sealFirst: snapshot.sealed.whole === undefined && level >= 3,
  };
}

/** When a face may be painted: once it is checked, and its sealer is dry where the method seals it and no skim does that. */
function paintFrom(face: string, { done, sealed, method, room, air }: RoomSnapshot): string | undefined {
  const checked = done.checkedFaces.get(face);
  if (!checked) return undefined;
  const isSkimmed = coatsFor('surface', methodOn([face], method, room.finish)).length > 0;
  if (!seals(method) || isSkimmed) return checked.at;
  const sealing = sealed.faces.get(face);
  if (!sealing) return undefined;
  const dryAt = sealerDryAt(sealing, air);
  if (!Number.isFinite(dryAt)) return undefined;
  return new Date(Math.max(Date.parse(checked.at), dryAt)).toISOString();
}

const markOf = (mark: Mark | undefined): Mark | undefined => mark && { at: mark.at, who: mark.who };

/** The air of the day after an instant, by how long each step of it lasted. */
function meanAir({ air: { steps } }: RoomSnapshot, from: number): Air | undefined {
  const until = from + FIRST_DAY_MS;
  let [warmth, damp, time] = [0, 0, 0];
  for (let index = Math.max(0, firstAfter(steps, from) - 1); index < steps.length; index += 1) {
    const step = steps[index];
    if (!step || step.from >= until) break;
    if (step.source.kind === 'assumed') continue;
    const lasted = Math.min(until, steps[index + 1]?.from ?? until) - Math.max(from, step.from);
    warmth += step.air.temperature * lasted;
    damp += step.air.humidity * lasted;
    time += lasted;
  }
  return time > 0 ? { temperature: warmth / time, humidity: damp / time } : undefined;
}

/** What it cost to mend, in minutes, by what it was and by whose account. */
export interface Rework {
  readonly key: string;
  readonly minutes: number;
  readonly count: number;
}

/** Minutes of mending by some key of each item, most first; items of which nobody said how long count, with none. */
export function reworkBy(items: readonly OpenItem[], keyOf: (item: OpenItem) => string): readonly Rework[] {
  const sums = new Map<string, { minutes: number; count: number }>();
  for (const item of items) {
    const sum = sums.get(keyOf(item)) ?? { minutes: 0, count: 0 };
    sums.set(keyOf(item), { minutes: sum.minutes + (item.closed?.minutes ?? 0), count: sum.count + 1 });
  }
  return [...sums].map(([key, sum]) => ({ key, ...sum })).sort((a, b) => b.minutes - a.minutes || b.count - a.count);
}

/** The record of a house for those who keep it by themselves: names in the place of ids. */
export const recordOf = (house: string, rooms: readonly RoomSnapshot[], nameOf: (id: string) => string): object => ({
  house,
  rooms: rooms.map((room) =>
    JSON.parse(
      JSON.stringify(handOverOf(room), (key, value: unknown) =>
        key === 'who' && Array.isArray(value) ? value.map((id) => nameOf(String(id))) : value,
      ),
    ),
  ),
});
