/** How far ahead the strip of the house and the charts of its rooms look. */
export const HORIZON_MS = 72 * 3_600_000;
