import type { Air } from './air';

/** The speed of the air at the walls of a room with a fan in it, m/s. Common practice, no source. */
export const FAN_SPEED = 1;

/** Returns the air of a room with a fan in it. */
export const withFan = (air: Air): Air => ({ ...air, speed: Math.max(FAN_SPEED, air.speed ?? 0) });
