import type { AirMapping } from '@/core/drying/airFile/airTable';
import type { Answer } from '@/core/house/answer';

type ImportAirAction = (input: {
  house: string;
  room: string | null;
  text: string;
  mapping: AirMapping;
}) => Promise<Answer<{ readonly recorded: number; readonly known: number; readonly refused: number }>>;

/** What the page of the air may ask of the server. */
export interface AirActions {
  readonly importAir: ImportAirAction;
  readonly addSensor: (input: {
    house: string;
    room: string | null;
    name: string;
  }) => Promise<Answer<{ readonly key: string }>>;
  readonly moveSensor: (input: { house: string; device: string; room: string | null }) => Promise<Answer<null>>;
  readonly removeSensor: (input: { house: string; device: string }) => Promise<Answer<null>>;
  readonly trustSensor: (input: { house: string; device: string }) => Promise<Answer<null>>;
  readonly setWeather: (input: { house: string; url: string }) => Promise<Answer<null>>;
}
