import type { HousePlan } from './planHouse';
import type { PlanRoom } from './planInput';

/** What a lead could do about a plan. */
export const WHAT_IFS = ['person', 'saturday', 'setting', 'boxes', 'knives', 'fan', 'heater', 'released'] as const;
export type WhatIf = (typeof WHAT_IFS)[number];

/** What a change comes to. */
export interface WhatIfPrice {
  readonly kind: WhatIf;
  /** The kind of work or the room that it is about. */
  readonly about: string | undefined;
  /** The rooms that it is done in. */
  readonly rooms: readonly PlanRoom[];
  readonly plan: HousePlan;
  /** On how many days how many people come: what is paid for. */
  readonly personDays: number;
}

/** What a fan moves over the walls, m/s. Common practice, no source. */
export const FAN_SPEED = 1;
