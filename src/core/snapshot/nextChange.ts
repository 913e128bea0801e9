import { sealerDryAt } from '../drying/sealer';
import { heldAt } from '../log/roomState';
import type { HouseSnapshot } from './houseSnapshot';

/** When the next wet coat or sealer of a house becomes ready or the next held room is free, or boxed butts may be centered, ms since 1970; undefined when nothing changes by itself. */
export function nextChange({ rooms }: Pick<HouseSnapshot, 'rooms'>, now: number): number | undefined {
  const free = rooms.flatMap(({ state }) => {
    const until = heldAt(state, now)?.until;
    return until === undefined ? [] : [Date.parse(until)];
  });
  const ready = rooms.flatMap(({ standing }) =>
    standing.classes.flatMap(({ coats, changesAt }) =>
      [...coats.map(({ readyAt }) => readyAt), changesAt].filter(
        (at): at is number => at !== undefined && at > now && Number.isFinite(at),
      ),
    ),
  );
  const sealed = rooms
    .flatMap((room) => [...room.sealed.faces.values()].map((sealing) => sealerDryAt(sealing, room.air)))
    .filter((at) => at > now && Number.isFinite(at));
  const centered = rooms
    .flatMap(({ uncentered }) => uncentered.flatMap(({ from, until }) => [from, until]))
    .filter((at) => at > now && Number.isFinite(at));
  const instants = [...ready, ...free, ...sealed, ...centered];
  return instants.length > 0 ? Math.min(...instants) : undefined;
}
