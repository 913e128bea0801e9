/** An L of 20 ft legs, 10 ft broad, in inches; its outside corner is where walls 2 and 3 meet. */
export const L: readonly (readonly [number, number])[] = [
  [0, 0],
  [240, 0],
  [240, 120],
  [120, 120],
  [120, 240],
  [0, 240],
];
