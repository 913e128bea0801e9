import type { StandInRoom } from './room';

/** The sensors of the demo house: the room, the key that its device has, and what the room is like. */
export const DEMO_SENSORS: readonly {
  readonly room: string;
  readonly key: string;
  readonly sim: Pick<StandInRoom, 'seed' | 'heatedTo'>;
}[] = [
  { room: 'day-room', key: 'oak-demo-day-room', sim: { seed: 11, heatedTo: 19.6 } },
  { room: 'hall', key: 'oak-demo-hall', sim: { seed: 12, heatedTo: 18.4 } },
  { room: 'galley', key: 'oak-demo-galley', sim: { seed: 13, heatedTo: 19 } },
  { room: 'lantern-room', key: 'oak-demo-lantern-room', sim: { seed: 14, heatedTo: 18.2 } },
  { room: 'bunk-room', key: 'oak-demo-bunk-room', sim: { seed: 15, heatedTo: 19.2 } },
  { room: 'bath', key: 'oak-demo-bath', sim: { seed: 16, heatedTo: 20.4 } },
  { room: 'net-loft', key: 'oak-demo-net-loft', sim: { seed: 17, heatedTo: 17.2 } },
];

/** The weather round the demo house. */
export const DEMO_WEATHER_SEED = 1;
export const DEMO_WEATHER_URL = 'http://127.0.0.1:4010/weather';
