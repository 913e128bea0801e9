import { type AirClock, driedBetween } from '../air/airClock';
import { effortOfMud } from '../air/dryingHours';
import { type Application, type CoatTrouble, wetnessAt } from '../drying/milestones';
import type { CoatEntry } from '../log/entry';
import type { Coat } from '../method/coat';
import { entryClock } from '../readiness/coatClock';
import { stretchClock } from '../readiness/stretchClock';
import type { RoomSnapshot } from '../snapshot/houseSnapshot';
import type { Stretch } from '../standing/appliedCoats';

/** A coat that is drying, with its curve. */
export interface WetCoat {
  readonly coat: Coat;
  /** The part of the class that it is on, 0–1. */
  readonly share: number;
  readonly since: number;
  readonly until: number;
  /** When setting mud of it is set. */
  readonly setAt: number | undefined;
  /** The water in it now, 1 when it was put on, 0 when dry; of setting mud the reaction that is left too. */
  readonly water: number;
  readonly reaction: number | undefined;
  readonly thickness: number;
  readonly troubles: readonly CoatTrouble[];
  /** What is left to dry, or to set where it waits for that, from being put on until ready; ms since 1970. */
  readonly curve: readonly { readonly at: number; readonly left: number }[];
}

const POINTS = 24;

/** The coats of a room that are not ready yet, the last one last; also those that are on a part of their class only. */
export function wetCoats(room: RoomSnapshot, now: number): readonly WetCoat[] {
  return room.standing.classes
    .flatMap(({ coats }) => coats)
    .flatMap(({ coat, readyAt, setAt, share, troubles }): readonly WetCoat[] => {
      if (readyAt === undefined || readyAt <= now) return [];
      const slowest = slowestOf(coat, room);
      if (!slowest) return [];
      const { air } = room.clock;
      const on = asSlowAs(entryClock(slowest.entry, coat, room.method, room.clock).on, readyAt, slowest.stretch, air);
      return [
        {
          coat,
          share,
          since: on.at,
          until: readyAt,
          setAt,
          ...wetnessAt(on, air, now),
          thickness: on.thickness,
          troubles,
          curve: curveOf(on, Number.isFinite(readyAt) ? readyAt : now, air),
        },
      ];
    })
    .sort((a, b) => a.until - b.until);
}

/** The entry of a coat that is ready last, and where it lies. */
function slowestOf(
  { id }: Coat,
  { applied, method, clock }: RoomSnapshot,
): { readonly entry: CoatEntry; readonly stretch: Stretch } | undefined {
  let [slowest, last]: [ReturnType<typeof slowestOf>, number] = [undefined, Number.NEGATIVE_INFINITY];
  for (const stretch of applied.stretches) {
    const place = stretch.coats.findIndex((one) => one.coat.id === id);
    const on = stretch.coats[place];
    const ready = stretchClock(stretch, place, { method, clock })?.sandAt;
    if (!on || ready === undefined || ready < last) continue;
    const times = (entry: CoatEntry) => entryClock(entry, on.coat, method, clock).times.sandAt;
    const [entry] = on.applications.toSorted((a, b) => times(b) - times(a));
    if (entry) [slowest, last] = [{ entry, stretch }, ready];
  }
  return slowest;
}

/** What was touched dries by what was found: its curve ends when it is ready. */
function asSlowAs(on: Application, readyAt: number, { touched }: Stretch, air: AirClock): Application {
  if (!touched || on.mud.kind === 'setting' || !Number.isFinite(readyAt)) return on;
  const slowness = driedBetween(air, on.at, readyAt) / effortOfMud({ ...on, slowness: 1 });
  return slowness > 0 ? { ...on, slowness } : on;
}

function curveOf(on: Application, end: number, air: AirClock): WetCoat['curve'] {
  const mixed = on.mixedAt ?? on.at;
  const waitsToSet = on.mud.kind === 'setting' && wetnessAt(on, air, end).water > 0;
  return Array.from({ length: POINTS + 1 }, (_, index) => {
    const at = on.at + ((end - on.at) * index) / POINTS;
    return { at, left: waitsToSet ? 1 - (at - mixed) / (end - mixed) : wetnessAt(on, air, at).water };
  });
}
