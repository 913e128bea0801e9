/** A sensor with how it behaves. */
export interface SensorStanding {
  readonly id: string;
  /** Where it hangs; null for the house. */
  readonly roomId: string | null;
  readonly name: string;
  /** Its last reading; ms since 1970. */
  readonly lastAt: number | undefined;
  readonly temperature: number | undefined;
  readonly humidity: number | undefined;
  /** Readings of the last week that jumped, and those that wait for somebody's word. */
  readonly jumped: number;
  readonly doubtful: number;
  /** It has said the very same for twelve hours. */
  readonly stuck: boolean;
  /** Its newest readings keep arriving an hour old. */
  readonly hourLate: boolean;
}
