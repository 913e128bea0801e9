/** What works without a server. */
export const AWAY_STATIONS = ['my-day', 'board', 'walk', 'guide'] as const;
export type AwayStation = (typeof AWAY_STATIONS)[number];

/** Whether the page at a path is one of them. */
export const isAwayPath = (path: string): boolean => {
  const [, h, house, station, more] = path.split('/');
  return h === 'h' && Boolean(house) && more === undefined && AWAY_STATIONS.some((own) => own === station);
};
