import type { Air } from '../drying/air';
import { dryingHours } from '../drying/dryingHours';
import type { MethodClass, Question } from '../house/methodSchema';
import type { HouseHead, Room } from '../house/schema';
import { addTallies, type Tally, tapedLength } from '../joints/tally';
import { fromMm, type LengthUnit, MM_PER_FOOT } from '../measure/unit';
import type { CoatedClass } from '../method/coat';
import { chosenCoatKeys, coatKeysFor, isAngle } from '../method/coatKeysFor';
import { coatsFor } from '../method/coatsFor';
import { choicesFor, type Method, methodOfRoom, resolveMethod } from '../method/resolveMethod';
import { coatedClassesOf } from '../method/roomCoats';
import { taperBreakEvenFeet } from '../plan/rates';
import { judgeSection } from '../section/judgeSection';
import { sectionFor } from '../section/sectionFor';
import { toleranceFor } from '../section/tolerance';
import { widthThatHides } from '../section/widthThatHides';
import type { MethodPatch } from './methodPatch';

/** Two choices that do not go together, or a choice that the joint does not bear. */
export interface Conflict {
  readonly id: string;
  /** What is forbidden cannot be kept; what is doubtful is for the lead to say. */
  readonly severity: 'forbidden' | 'doubtful';
  readonly question: Question | 'level' | 'width';
  readonly class: MethodClass | undefined;
  /** The room whose own choices make it; undefined for the house. */
  readonly room: { readonly id: string; readonly name: string } | undefined;
  readonly why: string;
  readonly mend: { readonly words: string; readonly patch: MethodPatch };
}

type Found = Omit<Conflict, 'room'>;
interface Looked {
  readonly method: Method;
  readonly tally: Tally;
  readonly kinds: readonly MethodClass[];
  readonly finish: Room['finish'];
  readonly unit: LengthUnit;
  readonly air: Air;
}

/**
 * What contradicts itself in the method of a house: the house's own choices against all its rooms, then rooms that choose
 * for themselves. Common practice, no source, but for the levels.
 */
export function conflictsIn(
  house: Pick<HouseHead, 'unit' | 'method'>,
  rooms: readonly { readonly room: Pick<Room, 'id' | 'name' | 'finish' | 'method'>; readonly tally: Tally }[],
  air: Air,
): readonly Conflict[] {
  const shared = resolveMethod(house);
  const look = (method: Method, tally: Tally, finish: Room['finish']): readonly Found[] => {
    const kinds = coatedClassesOf(tally).filter((kind): kind is MethodClass => kind !== 'surface');
    const looked: Looked = { method, tally, kinds, finish, unit: house.unit, air };
    return CHECKS.flatMap((check) => check(looked));
  };
  const common = rooms.filter(({ room }) => !room.method);
  const found: Conflict[] = [];
  if (common.length > 0) {
    const all = addTallies(common.map(({ tally }) => tally));
    found.push(...look(shared, all, undefined).map((conflict) => ({ ...conflict, room: undefined })));
  }
  const known = new Set(found.map(({ id }) => id));
  for (const { room, tally } of rooms) {
    // A room differs by its choices, or by what will cover and light it.
    if (!room.method && !room.finish) continue;
    const { id, name } = room;
    for (const conflict of look(methodOfRoom(house, room, shared), tally, room.finish))
      if (room.method || !known.has(conflict.id))
        found.push({ ...conflict, id: `${id}.${conflict.id}`, room: { id, name } });
  }
  return found;
}

const CHECKS: readonly ((looked: Looked) => readonly Found[])[] = [
  meshInDryingMud,
  meshInAngles,
  settingMudTooThin,
  angleSides,
  tooFewCoats,
  buttsTooNarrow,
  crossingButts,
  tapeIntoBead,
  notSealed,
  boxedButts,
  taperOnASmallJob,
];

function meshInDryingMud({ method, kinds }: Looked): readonly Found[] {
  return kinds.flatMap((kind): readonly Found[] => {
    const [tapeCoat] = coatsFor(kind, method);
    if (tapeCoat?.tape !== 'mesh' || tapeCoat.mud === 'setting') return [];
    return [
      {
        id: `mesh.mud.${kind}`,
        severity: 'forbidden',
        question: 'tape',
        class: kind,
        why: 'mesh in drying mud cracks: it needs setting mud in the tape coat',
        mend: { words: 'Setting mud for tape and fill', patch: { classes: { [kind]: { mud: 'settingFirst' } } } },
      },
    ];
  });
}

function meshInAngles({ method, kinds }: Looked): readonly Found[] {
  return kinds.flatMap((kind): readonly Found[] => {
    if (!(isAngle(kind) || kind === 'butt') || choicesFor(method, kind).tape !== 'mesh') return [];
    return [
      {
        id: `mesh.${kind}`,
        severity: isAngle(kind) ? 'forbidden' : 'doubtful',
        question: 'tape',
        class: kind,
        why: isAngle(kind)
          ? 'mesh has no crease: it will not lie in an angle, and a knife cuts it there'
          : 'over a butt mesh cracks sooner than paper',
        mend: { words: 'Paper there', patch: { classes: { [kind]: { tape: 'paper' } } } },
      },
    ];
  });
}

/** Setting mud that dries before it has set bonds poorly: by the thickness of the coat and the air. */
function settingMudTooThin({ method, kinds, air }: Looked): readonly Found[] {
  return kinds.flatMap((kind): readonly Found[] => {
    const late = sectionFor(kind, method).coats.filter(({ coat }) => coat.key !== 'tape' && coat.mud === 'setting');
    const thin = late.find(
      ({ coat, thickest }) => dryingHours(air, thickest) * 60 < (coat.settingMinutes ?? 0) * THIN_MARGIN,
    );
    const last = late.at(-1);
    const isLast =
      last !== undefined && last.coat.key === coatsFor(kind, method).at(-1)?.key && last.coat.key !== 'fill';
    if (!thin && !isLast) return [];
    return [
      {
        id: `setting.thin.${kind}`,
        severity: 'doubtful',
        question: 'mud',
        class: kind,
        why: thin
          ? `in this air the ${thin.coat.name.toLowerCase()} dries before ${thin.coat.settingMinutes} min mud has set, and bonds poorly`
          : 'setting mud as a thin last coat: its water leaves before it sets, and it is hard to sand',
        mend: { words: 'Drying mud for the last coats', patch: { classes: { [kind]: { mud: 'settingFirst' } } } },
      },
    ];
  });
}
/** A drying coat has lost half of its water long before it is dry. Common practice, no source. */
const THIN_MARGIN = 2;

function angleSides({ method, kinds, tally }: Looked): readonly Found[] {
  return kinds.filter(isAngle).flatMap((kind): readonly Found[] => {
    const { angles, angleTool } = choicesFor(method, kind);
    const mend = {
      words: 'One side at a time, opposite walls first',
      patch: { choices: { angles: 'opposite' as const } },
    };
    if (angles === 'both' && angleTool === 'knife')
      return [
        {
          id: `angles.both.${kind}`,
          severity: 'forbidden',
          question: 'angles',
          class: kind,
          why: 'both sides wet with a plain knife: each pass gouges the side before',
          mend: { words: 'With a corner tool', patch: { classes: { [kind]: { angleTool: 'corner' } } } },
        },
      ];
    if (angles === 'sides' && tally.threeWays > 0 && coatsFor(kind, method).some(({ side }) => side !== undefined))
      return [
        {
          id: `angles.threeWays.${kind}`,
          severity: 'doubtful',
          question: 'angles',
          class: kind,
          why: `two wet sides meet in ${tally.threeWays} three-ways when all left sides are run together`,
          mend,
        },
      ];
    return [];
  });
}

/** source of what a level asks: Gypsum Association GA-214; ASTM C840 (from memory) */
function tooFewCoats({ method, kinds }: Looked): readonly Found[] {
  return kinds.flatMap((kind): readonly Found[] => {
    const choices = choicesFor(method, kind);
    const [chosen, asked] = [chosenCoatKeys(kind, method.level, choices), coatKeysFor(kind, method.level)];
    if (chosen.length >= asked.length || choices.hard === 'trim') return [];
    return [
      {
        id: `level.${kind}`,
        severity: 'forbidden',
        question: 'coats',
        class: kind,
        why: `level ${method.level} asks for ${asked.length - 1} after the tape, ${chosen.length - 1} ${chosen.length === 2 ? 'is' : 'are'} chosen`,
        mend: { words: 'As the level asks', patch: { classes: { [kind]: { coats: 'level' } } } },
      },
    ];
  });
}

function buttsTooNarrow({ method, kinds, finish, unit }: Looked): readonly Found[] {
  if (!kinds.includes('butt') || method.level < 4) return [];
  const tolerance = toleranceFor(finish?.surface, finish?.light);
  if (!judgeSection(sectionFor('butt', method), tolerance).shows) return [];
  const width = widthThatHides('butt', method, tolerance);
  const found = { severity: 'doubtful', question: 'width', class: 'butt' } as const;
  if (width === undefined)
    return [
      {
        ...found,
        id: 'butt.build',
        why: 'the butts stand too high to be hidden by any width: bring the wall around them up, or take the board out',
        mend: { words: 'Three coats after tape', patch: { classes: { butt: { coats: 'three' } } } },
      },
    ];
  const typed = unit === 'in' ? Math.round(fromMm(width, 'in')) : Math.ceil(width / 10) * 10;
  return [
    {
      ...found,
      id: 'butt.narrow',
      why: 'the butts are floated narrower than their hump needs, and will show in this light',
      mend: { words: `${typed} ${unit} wide`, patch: { classes: { butt: { width: typed } } } },
    },
  ];
}

function crossingButts({ method, kinds }: Looked): readonly Found[] {
  if (method.all.order !== 'noWait' || !kinds.includes('butt')) return [];
  return [
    {
      id: 'order.noWait',
      severity: 'forbidden',
      question: 'order',
      class: undefined,
      why: 'what crosses a butt before it is firm cuts a line across it',
      mend: { words: 'Let butts firm for 30 min', patch: { choices: { order: 'butts' } } },
    },
  ];
}

function tapeIntoBead({ method, kinds }: Looked): readonly Found[] {
  if (method.all.beads !== 'runIn' || !kinds.includes('bead')) return [];
  return [
    {
      id: 'beads.runIn',
      severity: 'doubtful',
      question: 'beads',
      class: 'bead',
      why: 'tape run into a bead lifts its flange and stands proud under the first fill',
      mend: { words: 'Stop the tape short of it', patch: { choices: { beads: 'before' } } },
    },
  ];
}

function notSealed({ method, finish }: Looked): readonly Found[] {
  const surfaces = [finish?.surface, ...Object.values(finish?.faces ?? {}).map(({ surface }) => surface)];
  const texture = surfaces.includes('fine texture');
  if (method.all.last !== 'none' || (method.level < 4 && !texture)) return [];
  return [
    {
      id: 'last.none',
      severity: 'doubtful',
      question: 'last',
      class: undefined,
      why: texture
        ? 'fine texture shows every joint that was not sealed first'
        : `paint at level ${method.level} without sealer: paper and mud take it differently, and joints show flat or not`,
      mend: { words: 'Seal first', patch: { choices: { last: 'seal' } } },
    },
  ];
}

function boxedButts({ method, kinds }: Looked): readonly Found[] {
  const { tools, centring } = choicesFor(method, 'butt');
  if (tools !== 'boxes' || centring === 'sameDay' || !kinds.includes('butt')) return [];
  return [
    {
      id: 'butt.centring',
      severity: 'forbidden',
      question: 'centring',
      class: 'butt',
      why: 'a box leaves a crest on an unbacked butt: it has to be centred the same day',
      mend: { words: 'Centre them the same day', patch: { choices: { centring: 'sameDay' } } },
    },
  ];
}

function taperOnASmallJob({ method, tally, kinds }: Looked): readonly Found[] {
  const tapered = kinds.filter((kind: CoatedClass) => coatsFor(kind, method)[0]?.toolKind === 'taper');
  const feet = tapedLength(tally) / MM_PER_FOOT;
  if (tapered.length === 0 || feet >= taperBreakEvenFeet()) return [];
  return [
    {
      id: 'laying.taper',
      severity: 'doubtful',
      question: 'laying',
      class: undefined,
      why: `${Math.round(feet)} ft of tape: below ${Math.round(taperBreakEvenFeet())} ft setting up and cleaning out the taper lose more than it wins`,
      mend: { words: 'By hand from the belt', patch: { choices: { laying: 'belt' } } },
    },
  ];
}
