import type { HouseHead } from '../house/schema';
import { CLASS_TRAITS } from '../joints/classTraits';
import { type LengthUnit, toMm } from '../measure/unit';
import type { Level } from '../room/level';
import { type Choices, type MethodClass, USUAL_CHOICES } from '../room/methodAnswers';
import type { ClassMethod, MethodChoices } from '../room/methodSchema';
import type { Room } from '../room/schema';
import type { CoatedClass, MudProduct } from './coat';

/** How one class is treated: an answer to every question, and what was found of its joints; mm. */
export interface ClassChoices extends Choices {
  readonly settingMinutes: number;
  /** How wide it is finished, both sides together; undefined as the tools give it. */
  readonly width: number | undefined;
  readonly found: Readonly<Record<'taper' | 'hump' | 'bevel' | 'gap' | 'nose', number | undefined>>;
}

/** The part of wet mud that is lost when it hardens, where it is another than usual. */
export type Shrinkage = Readonly<Partial<Record<MudProduct, number>>>;

/** Whether a crew leaves few burrs and lap marks to scrape, or many. */
export type Scraping = 'clean' | 'dirty';

/** A house as far as its method matters, with what is known of the mud that its crew buys and of how clean it works. */
export type MethodHouse = Pick<HouseHead, 'unit' | 'method'> & {
  readonly shrinkage?: Shrinkage;
  readonly scraping?: Scraping;
};

/** A method with every choice made, for a house or a room. */
export interface Method {
  readonly level: Level;
  /** What holds for everything that is no class of its own: the rounds, beads beside tape, what comes last. */
  readonly all: ClassChoices;
  readonly classes: Readonly<Record<MethodClass, ClassChoices>>;
  /** Of the muds that are bought, where it is another than usual. */
  readonly shrinkage?: Shrinkage | undefined;
  /** Whether the crew leaves clean or dirty work to scrape, as its log says; dirty where it says nothing. */
  readonly scraping?: Scraping | undefined;
}

const USUAL_SETTING_MINUTES = 45;

/**
 * The choices of a room: its own for a class, its own for all, the house's for a class, the house's for all, and last
 * the usual answer to each question.
 */
export function resolveMethod(
  { unit, method, shrinkage, scraping }: MethodHouse,
  room?: Pick<Room, 'finish' | 'method'>,
): Method {
  const classOf = (kind: MethodClass): ClassChoices => {
    const own = [room?.method?.classes?.[kind], method.classes?.[kind]];
    const choices = resolved([own[0], room?.method, own[1], method], unit);
    return {
      ...choices,
      tape: tapeOf(
        kind,
        choices.tape,
        firstOf(own, ({ tape }) => tape),
      ),
      hard: CLASS_TRAITS[kind].hard ? choices.hard : (firstOf(own, ({ hard }) => hard) ?? 'finish'),
    };
  };
  return {
    ...(shrinkage && { shrinkage }),
    ...(scraping && { scraping }),
    level: room?.finish?.level ?? method.level,
    all: resolved([room?.method, method], unit),
    classes: {
      flat: classOf('flat'),
      butt: classOf('butt'),
      backedButt: classOf('backedButt'),
      mixed: classOf('mixed'),
      angle: classOf('angle'),
      offAngle: classOf('offAngle'),
      bead: classOf('bead'),
      trim: classOf('trim'),
      existing: classOf('existing'),
      fasteners: classOf('fasteners'),
    },
  };
}

/** What is laid on one class: what is said of it, else what the answer for all means there. */
function tapeOf(kind: MethodClass, all: ClassChoices['tape'], own: ClassChoices['tape'] | undefined): 'paper' | 'mesh' {
  if (own !== undefined) return own === 'paper' ? 'paper' : 'mesh';
  const { meshed } = CLASS_TRAITS[kind];
  return all === meshed || (all === 'meshButts' && meshed === 'mesh') ? 'mesh' : 'paper';
}

/**
 * The method of a room; rooms without choices of their own share the house's.
 *
 * @param resolve how the others get theirs, see `cachedMethod`
 */
export function methodOfRoom(
  house: MethodHouse,
  room: Pick<Room, 'finish' | 'method'>,
  shared: Method,
  resolve = resolveMethod,
): Method {
  if (room.method) return resolve(house, room);
  return withLevel(shared, room.finish?.level ?? shared.level);
}

/** A method at another level; asked again it is the same, so that what is known of it need not be worked out anew. */
export function withLevel(method: Method, level: Level): Method {
  if (level === method.level) return method;
  const variants = atLevel.get(method) ?? new Map<Level, Method>();
  atLevel.set(method, variants);
  const variant = variants.get(level) ?? { ...method, level };
  variants.set(level, variant);
  return variant;
}

const atLevel = new WeakMap<Method, Map<Level, Method>>();

/** The method of a level with every other answer as usual. */
export const usualMethod = (level: Level): Method => resolveMethod({ unit: 'in', method: { level } });

/** How a method treats one class. */
export const choicesFor = (method: Method, kind: CoatedClass): ClassChoices =>
  kind === 'surface' ? method.all : method.classes[kind];

type Said = MethodChoices | ClassMethod | undefined;

function resolved(said: readonly Said[], unit: LengthUnit): ClassChoices {
  const width = firstOf(said, (part) => ('width' in part ? part.width : undefined));
  const found = firstOf(said, (part) => ('found' in part ? part.found : undefined)) ?? {};
  const mm = (length: number | undefined) => (length === undefined ? undefined : toMm(length, unit));
  return {
    ...answersIn(said),
    settingMinutes:
      firstOf(said, (part) => ('settingMinutes' in part ? part.settingMinutes : undefined)) ?? USUAL_SETTING_MINUTES,
    width: mm(width),
    found: {
      taper: mm(found.taper),
      hump: mm(found.hump),
      bevel: mm(found.bevel),
      gap: mm(found.gap),
      nose: mm(found.nose),
    },
  };
}

function firstOf<Value>(
  said: readonly Said[],
  pick: (part: NonNullable<Said>) => Value | undefined,
): Value | undefined {
  for (const part of said) {
    const value = part && pick(part);
    if (value !== undefined) return value;
  }
  return undefined;
}

function answersIn(said: readonly Said[]): Choices {
  return {
    acceptance: firstOf(said, ({ acceptance }) => acceptance) ?? USUAL_CHOICES.acceptance,
    tools: firstOf(said, ({ tools }) => tools) ?? USUAL_CHOICES.tools,
    laying: firstOf(said, ({ laying }) => laying) ?? USUAL_CHOICES.laying,
    cover: firstOf(said, ({ cover }) => cover) ?? USUAL_CHOICES.cover,
    tape: firstOf(said, ({ tape }) => tape) ?? USUAL_CHOICES.tape,
    mud: firstOf(said, ({ mud }) => mud) ?? USUAL_CHOICES.mud,
    product: firstOf(said, ({ product }) => product) ?? USUAL_CHOICES.product,
    consistency: firstOf(said, ({ consistency }) => consistency) ?? USUAL_CHOICES.consistency,
    coats: firstOf(said, ({ coats }) => coats) ?? USUAL_CHOICES.coats,
    lastPass: firstOf(said, ({ lastPass }) => lastPass) ?? USUAL_CHOICES.lastPass,
    angles: firstOf(said, ({ angles }) => angles) ?? USUAL_CHOICES.angles,
    angleTool: firstOf(said, ({ angleTool }) => angleTool) ?? USUAL_CHOICES.angleTool,
    between: firstOf(said, ({ between }) => between) ?? USUAL_CHOICES.between,
    order: firstOf(said, ({ order }) => order) ?? USUAL_CHOICES.order,
    centring: firstOf(said, ({ centring }) => centring) ?? USUAL_CHOICES.centring,
    beads: firstOf(said, ({ beads }) => beads) ?? USUAL_CHOICES.beads,
    beadStrip: firstOf(said, ({ beadStrip }) => beadStrip) ?? USUAL_CHOICES.beadStrip,
    hard: firstOf(said, ({ hard }) => hard) ?? USUAL_CHOICES.hard,
    sponge: firstOf(said, ({ sponge }) => sponge) ?? USUAL_CHOICES.sponge,
    last: firstOf(said, ({ last }) => last) ?? USUAL_CHOICES.last,
  };
}
