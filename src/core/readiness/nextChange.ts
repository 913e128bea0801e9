import type { Site } from './siteOf';

/** When the next wet coat of a house becomes ready, ms since 1970; undefined when nothing changes by itself. */
export function nextChange({ rooms }: Pick<Site, 'rooms'>, now: number): number | undefined {
  const instants = rooms.flatMap(({ standing }) =>
    standing.classes.flatMap(({ coats }) =>
      coats.flatMap(({ readyAt }) =>
        readyAt !== undefined && readyAt > now && Number.isFinite(readyAt) ? [readyAt] : [],
      ),
    ),
  );
  return instants.length > 0 ? Math.min(...instants) : undefined;
}
