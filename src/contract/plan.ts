import { z } from 'zod';
import type { HouseFinish } from '../core/plan/houseFinish';
import type { HousePlan } from '../core/plan/planHouse';
import type { PlanInput } from '../core/plan/planInput';
import type { Paces } from '../core/rates/learn';
import type { EnoughUntil, RoundStart } from '../core/stock/enoughUntil';
import { type Crew, crewSchema, memberSchema } from '../core/work/crew';
import type { PaintersDates } from '../core/work/painters';

/** The answer of `GET …/plan/finish`, for every role: dates without people. */
export interface FinishAnswer {
  readonly finish: HouseFinish;
  /** Number of rooms left out because the plan is full. */
  readonly unplanned: number;
  readonly dates: PaintersDates;
  /** Number of the last log entry of each house it depends on, as far as the reader may see them. */
  readonly seen: Readonly<Record<string, number>>;
}

/** The answer of `GET …/plan/goods`, for the crew: how long goods last. Instants in ms since 1970. */
export interface GoodsAnswer {
  readonly from: number;
  readonly timeZone: string;
  /** True while work is left. */
  readonly open: boolean;
  /** True if any of that work is planned. */
  readonly planned: boolean;
  /** Number of rooms left out because the plan is full. */
  readonly unplanned: number;
  readonly enough: readonly EnoughUntil[];
  readonly starts: readonly RoundStart[];
  readonly seen: Readonly<Record<string, number>>;
}

/** The answer of `GET …/plan`, for the crew: what the house is planned from, its plan, and what a lead may change. */
export interface PlanGroundAnswer {
  readonly input: PlanInput;
  /** The plan of the house as it stands; undefined where the input is only what if. */
  readonly plan?: HousePlan | undefined;
  /** Number of the last log entry of each house it depends on. */
  readonly seen: Readonly<Record<string, number>>;
  /** Number of rooms of the houses shown that are left out because the plan is full. */
  readonly unplanned: number;
  /** How many houses are planned together. */
  readonly houses: number;
  /** How many there are. */
  readonly allHouses: number;
  /** Sent to leads only. */
  readonly lead?: {
    readonly crew: Crew;
    readonly crewVersion: number;
    /** Paces learned from the log. */
    readonly paces: Paces;
  };
}

/** The answer of `GET …/plan/mine`: hours of today's assigned work; null where there is no plan. */
export interface OwnHours {
  readonly hours: number | null;
}

// Strict schemas by role. Tests check the answers of every role against them.

const instant = z.number();
const days = z.record(z.string(), z.string());
const painters = z.strictObject({ house: z.string().optional(), rooms: days });

export const finishAnswerSchema = z.strictObject({
  finish: z.strictObject({
    from: instant,
    timeZone: z.string(),
    finish: instant,
    open: z.boolean(),
    exceptHeld: z.boolean(),
    rooms: z.array(
      z.strictObject({
        id: z.string(),
        name: z.string(),
        end: instant.optional(),
        whole: z.boolean(),
        due: instant.optional(),
        late: z.number(),
        last: z.boolean(),
      }),
    ),
  }),
  unplanned: z.number(),
  dates: painters,
  seen: z.record(z.string(), z.number()),
});

const mud = z.strictObject({
  mud: z.union([
    z.strictObject({ kind: z.literal('drying') }),
    z.strictObject({ kind: z.literal('setting'), minutes: z.number() }),
  ]),
  thickness: z.number(),
  substrate: z.string(),
  lies: z.unknown().optional(),
  slowness: z.number().optional(),
});

const ofBlock = z.strictObject({
  part: z.number(),
  hours: z.number(),
  between: z.number(),
  from: instant.optional(),
});

const item = ofBlock.extend({
  id: z.string(),
  room: z.string(),
  work: z.string(),
  kind: z.string(),
  pass: z.string(),
  coats: z.array(z.string()),
  scrapes: z.boolean(),
  rate: z.string(),
  people: z.number(),
  skill: z.string(),
  tool: z.string().optional(),
  after: z.array(z.strictObject({ item: z.string(), until: z.string(), muds: z.array(mud) })),
  run: z.string().optional(),
  muds: z.array(mud),
  block: z.string().optional(),
  blocks: z.strictObject({ walls: ofBlock, ceiling: ofBlock }).optional(),
});

const room = z.strictObject({
  id: z.string(),
  house: z.string(),
  room: z.string(),
  name: z.string(),
  nameInHouse: z.string(),
  houseName: z.string(),
  floor: z.string(),
  air: z.number(),
  space: z.number(),
  due: instant.optional(),
  held: z.strictObject({ until: instant.optional() }).optional(),
  heldFaces: z.number().optional(),
});

/** A crew member without the hourly cost. */
const person = memberSchema.omit({ hourCost: true }).extend({
  id: z.string(),
  name: z.string(),
  /** Empty for everyone but the person who asks, unless a lead asks. */
  pace: z.record(z.string(), z.number()),
});

const why = z.strictObject({
  kind: z.enum(['chain', 'work', 'tool', 'room', 'nothing']),
  items: z.array(z.string()).optional(),
  hours: z.number().optional(),
  people: z.array(z.string()).optional(),
  tool: z.string().optional(),
  room: z.string().optional(),
});

const plan = z.strictObject({
  start: instant,
  finish: instant,
  bound: instant,
  why,
  assignments: z.array(
    z.strictObject({
      item: z.string(),
      people: z.array(z.string()),
      start: instant,
      end: instant,
      hours: z.number(),
      ready: instant.optional(),
      place: z.number(),
      given: z.string().optional(),
      why: z.strictObject({ cause: z.string(), item: z.string().optional() }),
    }),
  ),
  chain: z.array(z.string()),
  leftOut: z.array(z.strictObject({ item: z.string(), why: z.string() })),
  last: z.array(z.string()),
  withHeld: z.strictObject({ finish: instant }).optional(),
  houses: z.record(z.string(), z.strictObject({ bound: instant, why })),
});

/** The answer of `GET …/plan` for a finisher. */
export const crewPlanSchema = z.strictObject({
  input: z.strictObject({
    from: instant,
    timeZone: z.string(),
    rooms: z.array(room),
    airs: z.array(z.array(z.strictObject({ from: instant, air: z.record(z.string(), z.number()) }))),
    items: z.array(item),
    people: z.array(person),
    crew: crewSchema.omit({ hourCost: true, people: true }),
    handed: z.record(
      z.string(),
      z.strictObject({
        people: z.array(z.string()),
        day: z.string(),
        order: z.tuple([z.number(), z.number()]).optional(),
      }),
    ),
  }),
  plan: plan.optional(),
  unplanned: z.number(),
  seen: z.record(z.string(), z.number()),
  houses: z.number(),
  allHouses: z.number(),
});

/** The answer of `GET …/plan` for a lead: adds hourly costs and paces. */
export const leadPlanSchema = crewPlanSchema.extend({
  input: crewPlanSchema.shape.input.extend({ people: z.array(person.extend({ hourCost: z.number().optional() })) }),
  lead: z.strictObject({
    crew: crewSchema,
    crewVersion: z.number(),
    paces: z.record(
      z.string(),
      z.record(z.string(), z.strictObject({ pace: z.number(), passes: z.number(), within: z.number() })),
    ),
  }),
});

/** The answer of `GET …/plan/goods`. */
export const goodsAnswerSchema = z.strictObject({
  from: instant,
  timeZone: z.string(),
  open: z.boolean(),
  planned: z.boolean(),
  unplanned: z.number(),
  enough: z.array(
    z.strictObject({
      good: z.string(),
      onHand: z.number(),
      takes: z.number(),
      out: instant.optional(),
      orderBy: z.string().optional(),
    }),
  ),
  starts: z.array(z.strictObject({ room: z.string(), round: z.string(), at: instant, who: z.array(z.string()) })),
  seen: z.record(z.string(), z.number()),
});

/** The answer of `GET …/plan/mine`. */
export const ownHoursSchema = z.strictObject({ hours: z.number().nullable() });
