import type { Site } from './siteOf';

/** When the next wet coat of a house becomes ready, ms since 1970; undefined when nothing changes by itself. */
export function nextChange({ rooms }: Pick<Site, 'rooms'>, now: number): number | undefined {
  const instants = rooms.flatMap(({ standing }) =>
    standing.classes.flatMap(({ coats, changesAt }) =>
      [...coats.map(({ readyAt }) => readyAt), changesAt].filter(
        (at): at is number => at !== undefined && at > now && Number.isFinite(at),
      ),
    ),
  );
  return instants.length > 0 ? Math.min(...instants) : undefined;
}
