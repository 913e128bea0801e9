/** When a crew works, hours of the day where the house stands. Common practice, no source. */
export const SHIFT = { from: 7, to: 16 } as const;
