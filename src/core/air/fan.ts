/** What a fan moves over the walls, m/s. Common practice, no source. */
export const FAN_SPEED = 1;
