/** The stations of the work, in order; the number is its key. */
export const STATIONS = [
  { path: '', name: 'House' },
  { path: 'tally', name: 'Tally' },
  { path: 'coats', name: 'Coats' },
  { path: 'load', name: 'Load' },
  { path: 'run', name: 'Run sheet' },
  { path: 'board', name: 'Coat board' },
  { path: 'dry', name: 'Dry watch' },
  { path: 'sand', name: 'Sand & light' },
  { path: 'hand-over', name: 'Hand-over' },
] as const;
export type StationPath = (typeof STATIONS)[number]['path'];

/** The one live fact of a station; `urgent` ones are in brick. */
export interface StationFact {
  readonly text: string;
  readonly urgent?: boolean;
}
