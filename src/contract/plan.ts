import { z } from 'zod';
import type { HouseFinish } from '../core/plan/houseFinish';
import type { HousePlan } from '../core/plan/planHouse';
import type { PlanInput } from '../core/plan/planInput';
import type { Paces } from '../core/rates/learn';
import type { EnoughUntil, RoundStart } from '../core/stock/enoughUntil';
import { type Crew, crewSchema, memberSchema } from '../core/work/crew';
import type { PaintersDates } from '../core/work/painters';

/** The answer of `GET …/plan/finish`, for everybody whose house it is: dates, and nothing of the people. */
export interface FinishAnswer {
  readonly finish: HouseFinish;
  /** How many rooms of the house are not in the plan, because there are too many. */
  readonly unplanned: number;
  readonly dates: PaintersDates;
  /** The last entry of the log of each house that it depends on and that who asks may see. */
  readonly seen: Readonly<Record<string, number>>;
}

/** The answer of `GET …/plan/goods`, for the crew: until when goods last by the plan. Instants in ms since 1970. */
export interface GoodsAnswer {
  readonly from: number;
  readonly timeZone: string;
  /** Whether any work is left, and whether any of it is planned. */
  readonly open: boolean;
  readonly planned: boolean;
  /** How many rooms of the house are not in the plan, because there are too many. */
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
  /** The last entry of the log of each house that it knows. */
  readonly seen: Readonly<Record<string, number>>;
  /** How many rooms of the houses that are shown are not in the plan, because there are too many. */
  readonly unplanned: number;
  /** How many houses are planned together. */
  readonly houses: number;
  /** How many there are. */
  readonly allHouses: number;
  /** What only a lead is sent. */
  readonly lead?: {
    readonly crew: Crew;
    readonly crewVersion: number;
    /** How fast people are by what they logged. */
    readonly paces: Paces;
  };
}

/** The answer of `GET …/plan/mine`: hours of today's assigned work; null where there is no plan. */
export interface OwnHours {
  readonly hours: number | null;
}

// The fields of these answers, by role. The schemas are strict: the tests hold the answers of every role against them.

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

/** Somebody of the crew for the others: what an hour of theirs costs is not in it. */
const person = memberSchema.omit({ hourCost: true }).extend({
  id: z.string(),
  name: z.string(),
  /** Of others than who asks it is empty, but for a lead. */
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

/** The answer of `GET …/plan` for a lead: with what people cost and how fast each of them is. */
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
