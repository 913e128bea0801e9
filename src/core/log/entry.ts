import { z } from 'zod';
import { FOUND } from '../drying/touch';
import { GOODS } from '../materials/goods';
import { daySchema, instantSchema } from '../measure/instant';
import { COATED_CLASSES, type MudProduct } from '../method/coat';
import { levelSchema } from '../room/levelSchema';
import { WORK_NAMES } from '../work/workName';
import { BOARDS_ARE, HUNG, LIGHTS_OF_CHECK, SIGN_AS, STOCK_WHAT } from './choices';
import { liftEntry } from './liftEntry';
import {
  betweenPayload,
  centeredPayload,
  coatPayload,
  itemPayload,
  noTwice,
  photos,
  prefilledPayload,
  sandedPayload,
  sealedPayload,
  shortText,
  someFaces,
  someText,
  strokesSchema,
  uuid,
} from './payloads';
import type { Role } from './person';

const nothing = z.strictObject({});
const base = {
  id: uuid('must be a UUID'),
  at: instantSchema,
  /** What the clock of the device said, where that is off. */
  deviceAt: instantSchema.optional(),
  // Those that are known were lifted.
  version: z.never('Unsupported version').optional(),
};
const inRoom = { ...base, room: z.string().min(1, 'needs a room').max(60) };

const DAY_MS = 86_400_000;
/** Clocks of two phones may differ by so much. */
const SLACK_MS = 5 * 60_000;

/** Whether mud that was mixed then can have gone on at that instant. */
function isMixedFor(mixedAt: string, at: string): boolean {
  const before = Date.parse(at) - Date.parse(mixedAt);
  return before >= -SLACK_MS && before <= DAY_MS;
}

interface Run {
  readonly at: string;
  readonly payload: { readonly begun?: string | undefined; readonly ended?: string | undefined };
}
const inOrder = ({ payload: { begun, ended } }: Run): boolean =>
  begun === undefined || ended === undefined || Date.parse(begun) <= Date.parse(ended);
const byThen = ({ at, payload: { begun, ended } }: Run): boolean =>
  Date.parse(ended ?? begun ?? at) <= Date.parse(at) + SLACK_MS;
const ORDER = { path: ['payload', 'ended'], error: 'must not lie before it was begun' };
const BY_THEN = { path: ['payload', 'ended'], error: 'must not lie after the entry itself' };

const sentEntry = z.discriminatedUnion('kind', [
  z
    .strictObject({ ...inRoom, kind: z.literal('coat'), payload: coatPayload })
    .refine(({ at, payload: { mixedAt } }) => mixedAt === undefined || isMixedFor(mixedAt, at), {
      path: ['payload', 'mixedAt'],
      error: 'must lie in the day before the coat',
    })
    .refine(({ payload: { pieces, faces, part } }) => !pieces || (!faces && part === 1), {
      path: ['payload', 'pieces'],
      error: 'say by themselves on which faces and how much',
    })
    .refine(inOrder, ORDER)
    .refine(byThen, BY_THEN),
  z
    .strictObject({ ...inRoom, kind: z.literal('sanded'), payload: sandedPayload })
    .refine(inOrder, ORDER)
    .refine(byThen, BY_THEN),
  z
    .strictObject({ ...inRoom, kind: z.literal('prefilled'), payload: prefilledPayload })
    .refine(({ at, payload: { mixedAt } }) => mixedAt === undefined || isMixedFor(mixedAt, at), {
      path: ['payload', 'mixedAt'],
      error: 'must lie in the day before it was filled',
    })
    .refine(inOrder, ORDER)
    .refine(byThen, BY_THEN),
  z
    .strictObject({ ...inRoom, kind: z.literal('centered'), payload: centeredPayload })
    .refine(inOrder, ORDER)
    .refine(byThen, BY_THEN),
  z
    .strictObject({ ...inRoom, kind: z.literal('between'), payload: betweenPayload })
    .refine(inOrder, ORDER)
    .refine(byThen, BY_THEN),
  z
    .strictObject({ ...inRoom, kind: z.literal('sealed'), payload: sealedPayload })
    .refine(inOrder, ORDER)
    .refine(byThen, BY_THEN),
  z.strictObject({
    ...inRoom,
    kind: z.literal('checked'),
    payload: z.strictObject({ level: levelSchema, faces: someFaces, light: z.enum(LIGHTS_OF_CHECK).optional() }),
  }),
  z.strictObject({ ...inRoom, kind: z.literal('handedOver'), payload: nothing }),
  /** How the boards of faces are hung: good to be taped, or held until the hanger was there again. */
  z.strictObject({
    ...inRoom,
    kind: z.literal('accepted'),
    payload: z.strictObject({ faces: someFaces, found: z.enum(HUNG) }),
  }),
  /** The joints of faces moved under coats, and whether new boards are why. */
  z.strictObject({
    ...inRoom,
    kind: z.literal('boards'),
    payload: z.strictObject({ faces: someFaces.unwrap(), are: z.enum(BOARDS_ARE) }),
  }),
  /** Somebody signed for a room on the screen: what they drew, in thousandths of its width and height. */
  z.strictObject({
    ...inRoom,
    kind: z.literal('signed'),
    payload: z.strictObject({
      name: shortText(80),
      as: z.enum(SIGN_AS),
      strokes: strokesSchema,
      /** On a share link: the link, and the hash (SHA-256, hex) of the sheet that was read. Only the server writes these. */
      link: uuid('must be a link').optional(),
      sheet: z
        .string()
        .regex(/^[0-9a-f]{64}$/, 'must be a sheet')
        .optional(),
    }),
  }),
  z.strictObject({
    ...inRoom,
    kind: z.literal('assigned'),
    payload: z.strictObject({
      /** A whole pass, or one kind of its work. */
      work: z.string().refine((work) => WORK_NAMES.has(work), 'is no work of a room'),
      /** Two for a box; nobody where it is let go. */
      people: z
        .array(uuid('must be a person'))
        .max(2, 'are too many for one job')
        .refine(noTwice, 'name somebody twice'),
      day: daySchema,
      /** The last entry that was seen: what somebody handed out after it is not handed out again. */
      seen: z.int().min(0).optional(),
    }),
  }),
  z.strictObject({
    ...inRoom,
    kind: z.literal('held'),
    payload: z.strictObject({
      why: someText,
      /** Where somebody knows how long. */
      until: instantSchema.optional(),
      /** Whether the builder can read `why`. */
      forBuilder: z.boolean().optional(),
    }),
  }),
  z.strictObject({ ...inRoom, kind: z.literal('released'), payload: nothing }),
  /** Air set moving over the walls, m/s; 0 when the fan is taken away. */
  z.strictObject({
    ...inRoom,
    kind: z.literal('fan'),
    payload: z.strictObject({ speed: z.number().min(0, 'must be 0 or more').max(10, 'must be at most 10 m/s') }),
  }),
  /** A touch check on a wet coat: of a class, or of the whole room. */
  z.strictObject({
    ...inRoom,
    kind: z.literal('touched'),
    payload: z.strictObject({
      class: z.enum(COATED_CLASSES).optional(),
      /** On which joints. */
      pieces: z
        .array(z.string().min(1, 'must be a piece').max(160))
        .min(1, 'need at least one')
        .max(50, 'are too many')
        .refine(noTwice, 'name a piece twice')
        .optional(),
      found: z.enum(FOUND),
    }),
  }),
  z.strictObject({ ...inRoom, kind: z.literal('item'), payload: itemPayload }),
  z.strictObject({
    ...inRoom,
    kind: z.literal('itemClosed'),
    payload: z.strictObject({
      item: uuid('must be an item'),
      /** What it took, where somebody says so. */
      minutes: z.number().min(0, 'must be 0 or more').max(1440, 'must be at most a day').optional(),
      photos,
    }),
  }),
  /** How a room looks, for whoever asks later. */
  z.strictObject({
    ...inRoom,
    kind: z.literal('pictured'),
    payload: z.strictObject({ photos: photos.unwrap(), text: someText.optional() }),
  }),
  /** Which photos of a room go into its hand-over: those that were said last. */
  z.strictObject({
    ...inRoom,
    kind: z.literal('shown'),
    payload: z.strictObject({ photos: z.array(uuid('must be a photo')).max(60, 'are too many').refine(noTwice) }),
  }),
  /** Setting mud was mixed: its clock runs from then, on whatever it goes. */
  z.strictObject({
    ...base,
    room: z.null().default(null),
    kind: z.literal('mixed'),
    payload: z.strictObject({
      /** On the label. */
      minutes: z.number().gt(0, 'must be greater than 0').max(360, 'must be at most 360'),
      product: shortText(80).optional(),
      /** Litres of mud. */
      amount: z.number().gt(0, 'must be greater than 0').max(200, 'must be at most 200 litres').optional(),
    }),
  }),
  /** Goods came, were thrown away, or were counted: litres, of tape mm. */
  z.strictObject({
    ...base,
    room: z.null().default(null),
    kind: z.literal('stock'),
    payload: z
      .strictObject({
        good: z.enum(GOODS),
        what: z.enum(STOCK_WHAT),
        amount: z.number().min(0, 'must be 0 or more').max(1e8, 'is more than any house takes'),
      })
      .refine(({ what, amount }) => what === 'counted' || amount > 0, {
        path: ['amount'],
        error: 'must be greater than 0',
      }),
  }),
  z.strictObject({
    ...base,
    room: z.null().default(null),
    kind: z.literal('void'),
    payload: z.strictObject({
      target: uuid('must be an entry'),
      /** The coat that is kept instead, where two logged the same one. */
      for: uuid('must be an entry').optional(),
    }),
  }),
]);

/**
 * What a client sends, of any version; who did it comes from the session, the order from the database, and what a coat lay on
 * from the room.
 */
export const newEntrySchema = z.preprocess(liftEntry, sentEntry);

export type NewEntry = z.infer<typeof sentEntry>;
export type EntryKind = NewEntry['kind'];
export const ENTRY_KINDS: ReadonlySet<EntryKind> = new Set(sentEntry.options.map(({ shape }) => shape.kind.value));

/** What a coat covered of a piece, and how much there was of it then: mm, fasteners by count, mm² of surface. */
export interface Covered {
  /** See `Piece`. */
  readonly id: string;
  readonly amount: number;
  readonly of: number;
}
/** With what a coat was put on, by the method of that day. */
export interface PutOn {
  readonly product: MudProduct;
  /** What was laid in it. */
  readonly tape?: 'paper' | 'mesh';
}
/** What of an entry is found out when it is recorded; undefined where the room could not be worked out, or before it was. */
interface Found {
  readonly on?: readonly Covered[];
  readonly put?: PutOn;
}
type Recorded<Sent> = Sent extends { readonly kind: 'coat'; readonly payload: infer Payload }
  ? Omit<Sent, 'payload'> & { readonly payload: Payload & Found }
  : Sent;

/** An entry as recorded; `role` is what its author was at the time. */
export type Entry = Recorded<NewEntry> & {
  readonly seq: number;
  readonly by: string;
  readonly role: Role;
  readonly recordedAt: string;
};
export type CoatEntry = Extract<Entry, { kind: 'coat' }> & {
  /** The faces whose boards were taken away since: nothing of the coat is there any more. */
  readonly gone?: readonly string[];
};

/** Entries that a finisher may write; a lead may write all. A finisher voids only what is their own. */
export const FINISHER_KINDS: readonly EntryKind[] = [
  'coat',
  'sanded',
  'prefilled',
  'between',
  'centered',
  'sealed',
  'fan',
  'touched',
  'item',
  'itemClosed',
  'pictured',
  'mixed',
  'stock',
  'void',
];
