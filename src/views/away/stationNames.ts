import type { AwayStation } from '@/client/away/stations';

export const STATION_NAMES: Readonly<Record<AwayStation, string>> = {
  'my-day': 'My day',
  board: 'Coat board',
  walk: 'Morning walk',
  guide: 'Field guide',
};
