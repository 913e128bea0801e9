import { z } from 'zod';
import type { Role } from '../core/log/person';
import { crewPlanSchema, finishAnswerSchema, goodsAnswerSchema, leadPlanSchema, ownHoursSchema } from './plan';

const person = z.strictObject({ id: z.string(), name: z.string(), role: z.string(), left: z.literal(true).optional() });
const { unit, text, list, table } = {
  unit: z.enum(['in', 'mm']),
  text: z.string(),
  list: z.array(z.unknown()),
  table: z.record(z.string(), z.unknown()),
};

/** A house as devices keep it for use offline. */
const away = z.strictObject({
  id: text,
  made: z.number(),
  timeZone: text,
  me: person,
  people: z.array(person),
  head: z.strictObject({ name: text, unit }).catchall(z.unknown()),
  rooms: list,
  takeOffs: table,
  entries: list,
  airs: list,
  airOf: z.record(text, z.number()),
  hasCalendar: z.boolean(),
});

const record = z.strictObject({ house: text, rooms: list });
const pieces = z.strictObject({ box: table, text: z.number(), faces: list, pieces: list });
const marks = z.record(text, z.strictObject({ seq: z.number(), air: z.number(), rooms: z.number() }));
const everybody = <Schema extends z.ZodType>(schema: Schema) => ({ viewer: schema, finisher: schema, lead: schema });

/** Schemas of all JSON answers to `GET`, by route and role. Other roles get 403. Tests check the answers against them. */
export const ANSWERS: Readonly<Record<string, Readonly<Partial<Record<Role, z.ZodType>>>>> = {
  '/h/[house]/plan': { finisher: crewPlanSchema, lead: leadPlanSchema },
  '/h/[house]/plan/finish': everybody(finishAnswerSchema),
  '/h/[house]/plan/goods': { finisher: goodsAnswerSchema, lead: goodsAnswerSchema },
  '/h/[house]/plan/mine': { finisher: ownHoursSchema, lead: ownHoursSchema },
  '/h/[house]/record': everybody(record),
  '/h/[house]/seen': { finisher: away, lead: away },
  '/h/[house]/pieces': everybody(pieces),
  '/api/live/marks': everybody(marks),
};
