import { z } from 'zod';
import { SUBSTRATES } from '../air/dryingHours';
import { instantSchema } from '../measure/instant';
import { COAT_KEYS, COATED_CLASSES, SIDES } from '../method/coat';
import { DEFECT_KINDS } from '../method/defects';
import { BETWEEN_COATS, MOST_KNOWN, MOST_PHOTOS, REPEATS, SANDED_WITH } from './choices';

/** Ids are compared as they are written: in small letters. */
export const uuid = (error: string) => z.uuid(error).toLowerCase();
export const someText = z.string().trim().min(1, 'needs some text').max(500, 'must be at most 500 characters');

export const mudSchema = z.discriminatedUnion('kind', [
  z.strictObject({ kind: z.literal('drying') }),
  z.strictObject({
    kind: z.literal('setting'),
    minutes: z.number().gt(0, 'must be greater than 0').max(360, 'must be at most 360'),
  }),
]);

export const noTwice = (list: readonly string[] | undefined) => new Set(list).size === (list?.length ?? 0);
export const shortText = (most: number) =>
  z.string().trim().min(1, 'needs some text').max(most, `must be at most ${most} characters`);

/** Who ran something, where that is not who writes it down, and from when to when, where somebody says so. */
export const run = {
  ranBy: z
    .array(uuid('must be a person'))
    .min(1, 'needs at least one person')
    .max(6, 'are too many for one coat')
    .refine(noTwice, 'name somebody twice')
    .optional(),
  begun: instantSchema.optional(),
  ended: instantSchema.optional(),
  /** Minutes in between in which nobody worked on it. */
  paused: z.number().min(0, 'must be 0 or more').max(14_400, 'must be at most ten days').optional(),
};

/** A piece that a coat was put on, and how much of it where that is not the whole: mm, fasteners by count, mm² of surface. */
const pieceSchema = z.strictObject({
  id: z.string().min(1, 'must be a piece').max(160),
  amount: z.number().gt(0, 'must be greater than 0').optional(),
});

export const someFaces = z
  .array(z.string().min(1, 'must be a face').max(60))
  .min(1, 'need at least one')
  .max(200, 'are too many')
  .refine(noTwice, 'name a face twice')
  .optional();

/**
 * A coat was put on. It says by itself what was done, so that it stays true when the method changes. It lies on the pieces
 * that it names, else on those of its class that are on its side and its faces; `part` of each.
 */
export const coatPayload = z.strictObject({
  class: z.enum(COATED_CLASSES),
  key: z.enum(COAT_KEYS),
  side: z.enum(SIDES).optional(),
  part: z.number().gt(0, 'must be greater than 0').max(1, 'must be at most the whole, 1').default(1),
  /** Where the same coat was on and wet: whether this is that one, logged again, or the next one. */
  repeat: z.enum(REPEATS).optional(),
  /** Problems that had to be fixed first and are covered all the same, and why. */
  covers: z
    .strictObject({
      items: z.array(uuid('must be an item')).min(1, 'need at least one').max(50, 'are too many').refine(noTwice),
      why: someText,
    })
    .optional(),
  pieces: z
    .array(pieceSchema)
    .min(1, 'need at least one')
    .max(2000, 'are too many')
    .refine((pieces) => noTwice(pieces.map(({ id }) => id)), 'name a piece twice')
    .optional(),
  /** On which faces, by id; everywhere where it does not say. */
  faces: someFaces,
  mud: mudSchema.default({ kind: 'drying' }),
  /** mm */
  thickness: z.number().gt(0, 'must be greater than 0').max(50, 'must be at most 50 mm').optional(),
  substrate: z.enum(SUBSTRATES).optional(),
  tool: z.string().trim().max(80).optional(),
  /** What is on the bag or the pail. */
  product: shortText(80).optional(),
  mixedAt: instantSchema.optional(),
  /** What was mixed at once carries one mark. */
  batch: shortText(40).optional(),
  /** The last entry that was seen: what somebody else put on after it is not put on again. */
  seen: z.int().min(0).optional(),
  /** Ids of entries of the same coat that its writer logged on the same page or phone before; the page may not show them yet. */
  knew: z.array(uuid('must be an entry')).max(MOST_KNOWN).optional(),
  ...run,
});

/** Kept beside the log before the entry that names them is recorded. */
export const photos = z
  .array(uuid('must be a photo'))
  .min(1, 'needs at least one')
  .max(MOST_PHOTOS, `must be at most ${MOST_PHOTOS}`)
  .refine(noTwice, 'name a photo twice')
  .optional();

/** Less than any knife is long. */
const seenMm = z.number().gt(0, 'must be greater than 0').max(40, 'must be at most 40 mm');
const onFace = z.number().min(-1e6).max(1e6);

/** Something is wrong: what, and where on which face; words or a photo where there is no name for it. */
export const itemPayload = z
  .strictObject({
    text: someText.optional(),
    /** Whether the builder can read `text`. */
    forBuilder: z.boolean().optional(),
    defect: z.enum(DEFECT_KINDS).optional(),
    /** The face by id, and the place on it; mm in its own coordinates, see `Face`. */
    face: z.string().min(1, 'must be a face').max(60).optional(),
    place: z.tuple([onFace, onFace]).optional(),
    /** The piece on which it lies. */
    piece: z.string().min(1, 'must be a piece').max(160).optional(),
    /** How long it is, mm: gaps are filled by the length. */
    length: z.number().gt(0, 'must be greater than 0').max(30_000, 'must be at most 30 m').optional(),
    /** And how wide, mm: a wide one takes more mud. */
    width: z.number().gt(0, 'must be greater than 0').max(300, 'must be at most 300 mm').optional(),
    /** A knife that was laid across it: its length, how wide the joint was finished then, and what was seen; mm. */
    knife: z
      .strictObject({
        length: z.number().min(100, 'must be 100 mm or more').max(1220, 'must be at most 1,220 mm'),
        width: z.number().min(1, 'must be 1 mm or more').max(3000, 'must be at most 3 m'),
        seen: z.discriminatedUnion('kind', [
          z.strictObject({ kind: z.literal('rocks'), lift: seenMm, pivot: z.number().gt(0, 'must be greater than 0') }),
          z.strictObject({ kind: z.literal('light'), gap: seenMm }),
          z.strictObject({ kind: z.literal('ends'), gap: seenMm }),
        ]),
      })
      .refine(({ length, seen }) => seen.kind !== 'rocks' || seen.pivot <= length, {
        path: ['seen', 'pivot'],
        error: 'must lie under the knife',
      })
      .optional(),
    photos,
  })
  .refine(({ knife, piece }) => knife === undefined || piece !== undefined, {
    path: ['piece'],
    error: 'must say across which piece the knife lay',
  })
  .refine(({ text, defect, photos: shown }) => text !== undefined || defect !== undefined || shown !== undefined, {
    path: ['text'],
    error: 'needs words, a kind or a photo',
  })
  .refine(({ length, width }) => width === undefined || length !== undefined, {
    path: ['length'],
    error: 'must say how long it is, where it says how wide',
  })
  .refine(({ face, place }) => place === undefined || face !== undefined, {
    path: ['face'],
    error: 'must say on which face the place is',
  });

/** Sanded: what of a room, all of it where it does not say, and with what. */
export const sandedPayload = z.strictObject({
  classes: z.array(z.enum(COATED_CLASSES)).min(1, 'need at least one').refine(noTwice, 'name a class twice').optional(),
  faces: someFaces,
  grit: z.int().min(40, 'must be 40 or more').max(600, 'must be at most 600').optional(),
  with: z.enum(SANDED_WITH).optional(),
  ...run,
});

/** Sealed: which faces, all that are painted where it does not say, and with what. */
export const sealedPayload = z.strictObject({
  faces: someFaces,
  product: shortText(80).optional(),
  /** Hours until it may be painted, by its label. */
  dryHours: z.number().gt(0, 'must be greater than 0').max(72, 'must be at most 72 hours').optional(),
  ...run,
});

/** Gaps and broken corners were filled before the tape: on which faces, everywhere where it does not say, and with what. */
export const prefilledPayload = z.strictObject({
  faces: someFaces,
  mud: mudSchema,
  product: shortText(80).optional(),
  mixedAt: instantSchema.optional(),
  batch: shortText(40).optional(),
  ...run,
});

/** Boxed butts were run over with a wide knife, where the box leaves a crest: those of a round. */
export const centeredPayload = z.strictObject({ round: z.enum(COAT_KEYS), ...run });

/** Scraped, sanded or wiped between two coats: what of a room, all of it where it does not say. */
export const betweenPayload = z.strictObject({
  how: z.enum(BETWEEN_COATS),
  classes: z.array(z.enum(COATED_CLASSES)).min(1, 'need at least one').refine(noTwice, 'name a class twice').optional(),
  faces: someFaces,
  grit: z.int().min(40, 'must be 40 or more').max(600, 'must be at most 600').optional(),
  ...run,
});

const drawn = z.int().min(0, 'must be 0 or more').max(1000, 'must be at most 1000');
/** A drawn signature: strokes, each a list of points in thousandths of the field. */
export const strokesSchema = z
  .array(
    z
      .array(z.tuple([drawn, drawn]))
      .min(2, 'needs at least two points')
      .max(500, 'has too many points'),
  )
  .min(1, 'needs at least one stroke')
  .max(60, 'are too many');
