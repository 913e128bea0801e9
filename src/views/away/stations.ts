/** What works without a server. */
export const AWAY_STATIONS = ['my-day', 'board', 'walk'] as const;
export type AwayStation = (typeof AWAY_STATIONS)[number];

export const STATION_NAMES: Readonly<Record<AwayStation, string>> = {
  'my-day': 'My day',
  board: 'Coat board',
  walk: 'Morning walk',
};
