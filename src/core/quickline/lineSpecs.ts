import type { LengthUnit } from '../measure/unit';
import { AIMS, BEAD_PROFILES, type COVERS, EDGE_PROFILES, LIGHTS, SURFACES } from '../room/kinds';

/** One value of an item of the quick line; its name is that of the house file's field where there is one. */
export interface FieldSpec {
  readonly name: string;
  readonly label: string;
  /** The word before the value; without one the value stands right after the item's word, or is said by itself. */
  readonly word?: string;
  readonly type: 'length' | 'wall' | 'walls' | 'count' | 'choice' | 'bare' | 'text';
  readonly choices?: readonly string[];
  readonly optional?: boolean;
}

/** One kind of item that may follow the head of a quick line. */
export interface ItemSpec {
  readonly kind: ItemKind;
  readonly label: string;
  /** What it is written with, the usual word first. */
  readonly words: readonly string[];
  /** How many a room may have. */
  readonly many: boolean;
  readonly fields: readonly FieldSpec[];
  readonly example: string;
}

export const OPENING_KINDS = ['door', 'window', 'opening'] as const;
export type ItemKind =
  | (typeof OPENING_KINDS)[number]
  | (typeof COVERS)[number]
  | 'height'
  | 'on'
  | 'note'
  | 'level'
  | 'surface'
  | 'light'
  | 'ceiling'
  | 'shed'
  | 'gable'
  | 'knee'
  | 'tray'
  | 'soffit'
  | 'niche'
  | 'column'
  | 'existing'
  | 'beads'
  | 'edge'
  | 'walls'
  | 'boards'
  | 'framing'
  | 'screws'
  | 'butts'
  | 'aim'
  | 'hung'
  | 'mirrored';

const WALL: FieldSpec = { name: 'wall', label: 'Wall', word: 'wall', type: 'wall', optional: true };
const AT: FieldSpec = { name: 'at', label: 'From left', word: 'at', type: 'length', optional: true };
const WIDTH: FieldSpec = { name: 'width', label: 'Width', type: 'length' };
const HEIGHT: FieldSpec = { name: 'height', label: 'Height', type: 'length' };
const OF_FACE: FieldSpec = { name: 'of', label: 'Of (ceiling, wall 2)', word: 'of', type: 'text', optional: true };
const sill = (name: string, label: string): FieldSpec => ({ name, label, word: '@', type: 'length', optional: true });
const choice = (name: string, label: string, choices: readonly string[]): FieldSpec => ({
  name,
  label,
  type: 'choice',
  choices,
});

const opening = (kind: (typeof OPENING_KINDS)[number], label: string, example: string): ItemSpec => ({
  kind,
  label,
  words: [kind, kind.charAt(0)],
  many: true,
  example,
  fields: [
    WIDTH,
    HEIGHT,
    sill('sill', 'Sill'),
    WALL,
    AT,
    { name: 'edge', label: 'Edge', type: 'bare', choices: ['casing', 'bead', 'open'], optional: true },
    { name: 'depth', label: 'Depth', word: 'depth', type: 'length', optional: true },
    { name: 'arch', label: 'Arch rise', word: 'arch', type: 'length', optional: true },
  ],
});

const zone = (kind: (typeof COVERS)[number], label: string, example: string): ItemSpec => ({
  kind,
  label,
  words: [kind],
  many: true,
  example,
  fields: [
    { ...WIDTH, optional: true },
    { ...HEIGHT, optional: true },
    sill('bottom', 'Bottom'),
    { ...WALL, optional: false },
    AT,
  ],
});

const single = (kind: ItemKind, label: string, example: string, fields: readonly FieldSpec[]): ItemSpec => ({
  kind,
  label,
  words: [kind],
  many: false,
  fields,
  example,
});

/**
 * The items of the quick line. This one table is its grammar: it is what the line is read and written by, what the form
 * shows, what is offered while typing, and what the key explains.
 */
export const ITEM_SPECS: readonly ItemSpec[] = [
  opening('door', 'Door', 'door 32x80 wall 2'),
  opening('window', 'Window', 'window 36x48 @36 wall 1 bead depth 6'),
  opening('opening', 'Opening', "opening 60x84 wall 3 at 2' bead arch 18"),
  {
    ...single('height', 'Height', "h 9'", [{ name: 'height', label: 'Height', type: 'length' }]),
    words: ['h', 'height'],
  },
  single('note', 'Note', 'note back door only', [{ name: 'note', label: 'Note', type: 'text' }]),
  single('on', 'Floor', 'on Upper floor', [{ name: 'floor', label: 'Floor', type: 'text' }]),
  single('ceiling', 'Ceiling', 'ceiling along', [
    choice('ceiling', 'Ceiling', ['flat', 'open', 'along', 'across', 'auto']),
  ]),
  single('shed', 'Shed ceiling', "shed 4' wall 1", [
    { name: 'rise', label: 'Rise', type: 'length' },
    { ...WALL, name: 'low', label: 'Low wall' },
  ]),
  single('gable', 'Gable ceiling', "gable 5' walls 1 3", [
    { name: 'rise', label: 'Rise', type: 'length' },
    { name: 'eaves', label: 'Eaves walls', word: 'walls', type: 'walls', optional: true },
  ]),
  single('knee', 'Knee walls', "knee 4' run 5' walls 1", [
    { name: 'knee', label: 'Knee height', type: 'length' },
    { name: 'run', label: 'Run', word: 'run', type: 'length' },
    { name: 'eaves', label: 'Knee walls', word: 'walls', type: 'walls' },
  ]),
  single('tray', 'Tray ceiling', 'tray 24x10', [
    { name: 'inset', label: 'Inset', type: 'length' },
    { name: 'rise', label: 'Rise', type: 'length' },
  ]),
  {
    kind: 'soffit',
    label: 'Soffit',
    words: ['soffit'],
    many: true,
    example: "soffit 24x12 wall 1 from 2' to 8'",
    fields: [
      { name: 'depth', label: 'Depth', type: 'length' },
      { name: 'drop', label: 'Drop', type: 'length' },
      { ...WALL, optional: false },
      { name: 'from', label: 'From left', word: 'from', type: 'length', optional: true },
      { name: 'to', label: 'To', word: 'to', type: 'length', optional: true },
    ],
  },
  {
    kind: 'niche',
    label: 'Niche',
    words: ['niche'],
    many: true,
    example: 'niche 36x24x8 @40 wall 3 shelves 1',
    fields: [
      WIDTH,
      HEIGHT,
      { name: 'depth', label: 'Depth', type: 'length' },
      sill('bottom', 'Bottom'),
      { ...WALL, optional: false },
      AT,
      { name: 'shelves', label: 'Shelves', word: 'shelves', type: 'count', optional: true },
    ],
  },
  {
    kind: 'column',
    label: 'Column',
    words: ['column'],
    many: true,
    example: "column 8x8 at 5' x 4'",
    fields: [
      { name: 'shape', label: 'Size, or a walk', type: 'text' },
      { name: 'at', label: 'Corner (right x down)', word: 'at', type: 'text' },
    ],
  },
  zone('tile', 'Tile', 'tile 60x72 wall 2'),
  zone('trim', 'Trim (caulked)', 'trim 120x6 wall 1'),
  zone('cabinet', 'Cabinet', 'cabinet 96x34 wall 1 at 12'),
  single('existing', 'Old walls', 'existing 3 4', [{ name: 'existing', label: 'Walls', type: 'walls' }]),
  {
    ...single('level', 'Level of finish', 'level 5 of ceiling', [
      choice('level', 'Level of finish', ['0', '1', '2', '3', '4', '5']),
      OF_FACE,
    ]),
    many: true,
  },
  {
    ...single('surface', 'Surface', 'surface gloss of wall 2', [choice('surface', 'Surface', SURFACES), OF_FACE]),
    many: true,
  },
  { ...single('light', 'Light', 'light low sun', [choice('light', 'Light', LIGHTS), OF_FACE]), many: true },
  single('beads', 'Beads', 'beads bullnose', [choice('profile', 'Beads', BEAD_PROFILES)]),
  {
    kind: 'edge',
    label: 'Edge',
    words: ['edge'],
    many: true,
    example: 'edge w0.o0.head J',
    fields: [
      { name: 'edge', label: 'Edge (w0~w1, w0.o1.head)', type: 'text' },
      { name: 'profile', label: 'Bead or trim', type: 'bare', choices: EDGE_PROFILES },
    ],
  },
  single('walls', 'Wall boards', 'walls upright', [choice('walls', 'Wall boards', ['across', 'upright'])]),
  single('boards', 'Boards', "boards 48x8'/10'/12' + 54x12'", [{ name: 'boards', label: 'Boards', type: 'text' }]),
  single('framing', 'Framing', 'framing 24', [{ name: 'framing', label: 'Framing', type: 'length' }]),
  single('screws', 'Screws', 'screws 12x16', [
    { name: 'ceiling', label: 'Ceiling screws', type: 'length' },
    { name: 'wall', label: 'Wall screws', type: 'length' },
  ]),
  single('butts', 'Butts', 'butts backed', [choice('butts', 'Butts', ['plain', 'backed'])]),
  single('aim', 'Hanging', 'aim boards', [choice('aim', 'Hang for fewest', AIMS)]),
  {
    kind: 'hung',
    label: 'As found',
    words: ['hung'],
    many: true,
    example: "hung wall 1 across 48 at 5'4 backed + 48 at 9'",
    fields: [
      { name: 'face', label: 'Face (wall 1, ceiling)', type: 'text' },
      { name: 'run', label: 'Boards', type: 'bare', choices: ['across', 'upright'] },
      { name: 'courses', label: "Courses (48 at 5'4 + 48)", type: 'text' },
    ],
  },
  single('mirrored', 'Mirrored framing', 'mirrored', []),
];

/** The examples that hold lengths, as they are written where people measure in millimetres. */
const METRIC_EXAMPLES: Readonly<Partial<Record<ItemKind, string>>> = {
  door: 'door 800x2000 wall 2',
  window: 'window 900x900 @900 wall 1 bead depth 150',
  opening: 'opening 1500x2100 wall 3 at 600 bead arch 450',
  height: 'h 2700',
  shed: 'shed 1200 wall 1',
  gable: 'gable 1500 walls 1 3',
  knee: 'knee 1200 run 1500 walls 1',
  tray: 'tray 600x250',
  soffit: 'soffit 600x300 wall 1 from 600 to 2400',
  niche: 'niche 900x600x200 @1000 wall 3 shelves 1',
  column: 'column 200x200 at 1500 x 1200',
  tile: 'tile 1500x1800 wall 2',
  trim: 'trim 3000x150 wall 1',
  cabinet: 'cabinet 2400x860 wall 1 at 300',
  boards: 'boards 1200x2400/3000/3600',
  framing: 'framing 600',
  screws: 'screws 300x400',
  hung: 'hung wall 1 across 1200 at 1600 backed + 1200 at 2700',
};

/** An item as it is written in a house of a unit. */
export const exampleOf = ({ kind, example }: ItemSpec, unit: LengthUnit): string =>
  unit === 'in' ? example : (METRIC_EXAMPLES[kind] ?? example);

export const specOf = (kind: ItemKind): ItemSpec => {
  const spec = ITEM_SPECS.find((candidate) => candidate.kind === kind);
  if (!spec) throw new RangeError(`no item is called ${kind}`);
  return spec;
};
