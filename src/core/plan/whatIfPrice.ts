import type { HousePlan } from './planHouse';
import type { PlanRoom } from './planInput';
import type { WorkTime } from './workTime';

/** What a lead could do about a plan; nothing first. */
export const WHAT_IFS = [
  'asItIs',
  'person',
  'saturday',
  'setting',
  'boxes',
  'knives',
  'fan',
  'heater',
  'released',
] as const;
export type WhatIf = (typeof WHAT_IFS)[number];

/** What a change comes to. */
export interface WhatIfPrice {
  readonly kind: WhatIf;
  /** The kind of work or the room that it is about. */
  readonly about: string | undefined;
  /** The rooms that it is done in. */
  readonly rooms: readonly PlanRoom[];
  readonly plan: HousePlan;
  readonly time: WorkTime;
}
