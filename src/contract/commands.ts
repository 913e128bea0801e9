import { z } from 'zod';
import { MOST_DRAWN_ROOMS } from '../core/dxf/mostRooms';
import { companySchema } from '../core/house/company';
import { houseHeadSchema, MOST_ROOMS } from '../core/house/schema';
import { SECRET_KINDS, SHOWN } from '../core/log/choices';
import { ROLES, type Role } from '../core/log/person';
import { catalogueSchema } from '../core/materials/catalogueSchema';
import { daySchema } from '../core/measure/instant';
import { MIRRORINGS } from '../core/room/copyRoom';
import { choicesSchema, methodSchema } from '../core/room/methodSchema';
import { hangSchema, ROOM_PARTS, type Room, roomSchema } from '../core/room/schema';
import { crewSchema } from '../core/work/crew';
import type { Answer } from './answer';
import { changeSchema as change } from './change';
import { MOST_READINGS } from './limits';
import { timeZoneSchema } from './timeZone';

/** What a command takes, the least role that may send it, and (in its type only) what it answers. */
export interface Command<Schema extends z.ZodType, Value> {
  readonly schema: Schema;
  readonly role: Role | 'anyone';
  readonly answers?: Value;
}

const command =
  <Value>() =>
  <Schema extends z.ZodType>(role: Role | 'anyone', schema: Schema): Command<Schema, Value> => ({ role, schema });
/** For commands that answer no more than that they were carried out. */
const plain = command<null>();

/** A room and the version that a save makes or meets. */
export interface VersionedRoom {
  readonly room: Room;
  readonly version: number;
}
/** A save went through, or met a newer version, which is shown and never overwritten. */
export type RoomSaved =
  | { readonly kind: 'saved'; readonly version: number }
  | { readonly kind: 'stale'; readonly theirs: VersionedRoom };

const MOST_COPIES = 60;
const MOST_CHARACTERS = 4_000_000;

const house = z.uuid('must be a house').toLowerCase();
const person = z.uuid('must be a person').toLowerCase();
const room = z.string().min(1).max(60);
/** Null is the house itself. */
const place = z.string().max(60).nullable();
const device = z.uuid('must be a sensor').toLowerCase();
const version = z.int();
const onPlan = z.number().min(-1e6).max(1e6);
const personName = z.string().trim().min(1, 'needs a name').max(80, 'must be at most 80 characters');
const firmName = z.string().trim().max(80, 'must be at most 80 characters').default('');
const newPassword = z.string().min(8, 'must have at least 8 characters').max(200, 'must be at most 200 characters');
const name = z.string().trim().min(1, 'needs a name').max(60, 'must be at most 60 characters');
/** °C and %, at an instant in ms since 1970. */
const reading = z.strictObject({ at: z.int(), temperature: z.number(), humidity: z.number() });
const file = z.string().max(MOST_CHARACTERS, 'is larger than 4 MB: split the file');

/**
 * Everything that changes something but the log and the readings of devices, sent as `POST /api/commands/NAME`. Server and
 * pages read this one table.
 */
export const COMMANDS = {
  signIn: plain(
    'anyone',
    z.strictObject({
      name: personName,
      password: z.string().min(1, 'needs the password').max(200),
      /** Where several firms work with one server. */
      firm: firmName,
    }),
  ),
  /** Makes the firm and its lead's account in an empty application. */
  setUp: plain('anyone', z.strictObject({ name: personName, password: newPassword, firm: firmName })),
  signOut: plain('anyone', z.strictObject({})),
  /** Ends every other sign-in of the person. */
  changePassword: plain(
    'viewer',
    z.strictObject({ password: z.string().min(1, 'needs the password').max(200), next: newPassword }),
  ),
  /** One's own, or as a lead anybody's. */
  endSession: plain('viewer', z.strictObject({ session: z.uuid('must be a sign-in').toLowerCase() })),
  /** A lead gives a new password to somebody else, and ends all their sign-ins. */
  resetPassword: plain('lead', z.strictObject({ person, password: newPassword })),
  removePerson: plain('lead', z.strictObject({ person })),
  /** Lets a viewer into a house, or no more. */
  letIn: plain('lead', z.strictObject({ house, person })),
  shutOut: plain('lead', z.strictObject({ house, person })),
  /** The head of the company's sheets. */
  saveCompany: plain('lead', companySchema),
  invite: plain('lead', z.strictObject({ name: personName, role: z.enum(ROLES), password: newPassword })),

  createHouse: command<{ readonly id: string }>()(
    'lead',
    houseHeadSchema.pick({ name: true, unit: true }).extend({ timeZone: timeZoneSchema }),
  ),
  /** Takes a house file in whole, or refuses it whole with every problem's place and reason. */
  importHouse: command<{ readonly id: string }>()(
    'lead',
    z.strictObject({ text: file, turn: z.boolean(), timeZone: timeZoneSchema }),
  ),
  /** How every room is hung that does not say otherwise; refused when a room could not be hung so. */
  saveHang: plain('lead', z.strictObject({ house, version, hang: hangSchema })),

  /** How the house is finished. What contradicts itself so that it cannot be kept is refused with the reason. */
  saveMethod: command<{ readonly version: number }>()(
    'lead',
    z.strictObject({ house, version, change, method: methodSchema }),
  ),
  /** How one room is finished; null goes by the house again. */
  saveRoomMethod: command<{ readonly version: number }>()(
    'lead',
    z.strictObject({ house, room, version, change, method: choicesSchema.nullable() }),
  ),
  /** Keeps a method under a name, to start other houses from. */
  keepMethod: plain('lead', z.strictObject({ name, unit: z.enum(['in', 'mm']), choices: choicesSchema })),
  dropMethod: plain('lead', z.strictObject({ id: z.uuid('must be a method').toLowerCase() })),

  /** Adds rooms: all of them, or none. Their ids come back in their order. */
  addRooms: command<{ readonly ids: readonly string[] }>()(
    'lead',
    z.strictObject({
      house,
      rooms: z
        .array(roomSchema.omit({ id: true }))
        .min(1, 'needs at least one room')
        .max(MOST_DRAWN_ROOMS, `must be at most ${MOST_DRAWN_ROOMS}`),
    }),
  ),
  /** What was chosen of a house file, over the versions that were seen: all of it, or nothing. */
  mergeHouse: command<{ readonly rooms: number }>()(
    'lead',
    z.strictObject({
      house,
      added: z.array(roomSchema.omit({ id: true })).max(MOST_ROOMS, 'are too many'),
      /** `parts`: what is taken of the room, all but its place and its method where it is left out. */
      changed: z
        .array(z.strictObject({ room: roomSchema, version, parts: z.array(z.enum(ROOM_PARTS)).optional() }))
        .max(MOST_ROOMS, 'are too many'),
      removed: z.array(z.strictObject({ room, version })).max(MOST_ROOMS, 'are too many'),
      head: z.strictObject({ version, method: methodSchema.optional(), hang: hangSchema.optional() }).optional(),
    }),
  ),
  saveRoom: command<RoomSaved>()('lead', z.strictObject({ house, version, room: roomSchema })),
  /** What covers and lights a room and its faces, and the levels chosen for them. */
  saveRoomFinish: command<RoomSaved>()(
    'lead',
    z.strictObject({ house, room, version, finish: roomSchema.shape.finish.unwrap() }),
  ),
  /** Copies a room as often as asked, plain or as mirror images, next to it in the list. */
  copyRoom: command<{ readonly ids: readonly string[] }>()(
    'lead',
    z.strictObject({
      house,
      room,
      times: z.int().min(1, 'must be at least 1').max(MOST_COPIES, `must be at most ${MOST_COPIES}`),
      mirror: z.enum(MIRRORINGS),
    }),
  ),
  removeRoom: plain('lead', z.strictObject({ house, room })),
  restoreRoom: plain('lead', z.strictObject({ house, room })),
  /** The rooms in a new order, each with the floor that it is on. */
  arrangeRooms: plain(
    'lead',
    z.strictObject({
      house,
      change,
      order: z.array(z.strictObject({ room, floor: roomSchema.shape.floor.unwrap() })).max(MOST_ROOMS),
    }),
  ),
  /** A room's place on the floor's plan, in the house's unit. */
  placeRoom: plain('lead', z.strictObject({ house, room, change, at: z.tuple([onPlan, onPlan]) })),

  /** How the crew works: its people, days and tools, for all houses. */
  saveCrew: command<{ readonly version: number }>()('lead', z.strictObject({ version, crew: crewSchema })),
  /** What the firm buys and for how much, for all houses. */
  saveCatalogue: command<{ readonly version: number }>()(
    'lead',
    z.strictObject({ version, catalogue: catalogueSchema }),
  ),
  /** The secret address of one's own calendar, in the answer this once; the one before ends. */
  makeCalendar: command<{ readonly secret: string }>()('finisher', z.strictObject({})),
  /** The key of one's own laser measure, in the answer this once; the one before is paired no more. */
  makeLaser: command<{ readonly key: string }>()('lead', z.strictObject({})),
  /** Ends a secret of one's own, or as a lead of anybody. */
  endSecret: plain('finisher', z.strictObject({ kind: z.enum(SECRET_KINDS), person: person.optional() })),
  /** Lets somebody sign in again who is locked out by wrong passwords. */
  unlockSignIn: plain('lead', z.strictObject({ person })),
  /**
   * A secret address under which a hand-over, or the list of the hanger, is shown for some days, in the answer this once; taken
   * back it ends.
   */
  showHouse: command<{ readonly secret: string }>()(
    'lead',
    z.strictObject({
      house,
      what: z.enum(SHOWN),
      days: z.int().min(1, 'must be at least a day').max(365, 'must be at most a year'),
    }),
  ),
  hideHouse: plain('lead', z.strictObject({ house, address: z.uuid('must be an address').toLowerCase() })),
  /** When the painters come to the house, or to one room; null when nobody knows. */
  /** Forgets the plan, so that the next one is made from nothing. */
  planAnew: plain('lead', z.strictObject({})),
  setPainters: plain('lead', z.strictObject({ house, room: place, day: daySchema.nullable() })),

  /** A thermometer read by hand; °C and %. Without a room it is the air of the house. */
  recordAir: plain('finisher', z.strictObject({ house, room: place, temperature: z.number(), humidity: z.number() })),
  /** Takes in readings of a file, part by part; one that cannot be, or that says other than what is known, is left out. */
  importAir: command<{ readonly recorded: number; readonly known: number; readonly refused: number }>()(
    'lead',
    z.strictObject({ house, room: place, readings: z.array(reading).min(1, 'are none').max(MOST_READINGS) }),
  ),
  /** A new sensor. Its key is in the answer, this once. */
  addSensor: command<{ readonly key: string }>()('lead', z.strictObject({ house, room: place, name })),
  moveSensor: plain('lead', z.strictObject({ house, device, room: place })),
  removeSensor: plain('lead', z.strictObject({ house, device })),
  /** What a sensor said that looked like °F counts after all. */
  trustSensor: plain('lead', z.strictObject({ house, device })),
  /** Where the weather is asked for; it is asked at once. An empty address asks no more. */
  setWeather: plain(
    'lead',
    z.strictObject({
      house,
      url: z.union([z.literal(''), z.url({ protocol: /^https?$/, error: 'must be an address such as http://…' })]),
    }),
  ),
} as const;

export type CommandName = keyof typeof COMMANDS;
/** What a page sends with a command. */
export type InputOf<Name extends CommandName> = z.input<(typeof COMMANDS)[Name]['schema']>;
/** The same as the server reads it, defaults filled in. */
export type CheckedInputOf<Name extends CommandName> = z.output<(typeof COMMANDS)[Name]['schema']>;
export type ValueOf<Name extends CommandName> =
  (typeof COMMANDS)[Name] extends Command<z.ZodType, infer Value> ? Value : never;
export type AnswerOf<Name extends CommandName> = Answer<ValueOf<Name>>;

export const isCommandName = (name: string): name is CommandName => Object.hasOwn(COMMANDS, name);
