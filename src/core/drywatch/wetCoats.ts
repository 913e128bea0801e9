import type { AirClock } from '../air/airClock';
import { type Application, type CoatTrouble, wetnessAt } from '../drying/milestones';
import type { Coat } from '../method/coat';
import { applicationOf } from '../readiness/coatClock';
import type { RoomSnapshot } from '../snapshot/houseSnapshot';

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
export function wetCoats({ standing, applied, air, method }: RoomSnapshot, now: number): readonly WetCoat[] {
  return standing.classes
    .flatMap(({ coats }) => coats)
    .flatMap(({ coat, readyAt, setAt, share, troubles }): readonly WetCoat[] => {
      const entry = applied.coats.get(coat.id)?.applications.at(-1);
      if (!entry || readyAt === undefined || readyAt <= now) return [];
      const on = applicationOf(entry, coat, method);
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

function curveOf(on: Application, end: number, air: AirClock): WetCoat['curve'] {
  const mixed = on.mixedAt ?? on.at;
  const waitsToSet = on.mud.kind === 'setting' && wetnessAt(on, air, end).water > 0;
  return Array.from({ length: POINTS + 1 }, (_, index) => {
    const at = on.at + ((end - on.at) * index) / POINTS;
    return { at, left: waitsToSet ? 1 - (at - mixed) / (end - mixed) : wetnessAt(on, air, at).water };
  });
}
