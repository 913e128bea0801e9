/** Levels of finish. source: Gypsum Association GA-214; ASTM C840 (from memory) */
export const LEVELS = [0, 1, 2, 3, 4, 5] as const;
export type Level = (typeof LEVELS)[number];
