import Papa from 'papaparse';
import { JOINT_CLASSES } from '@/core/joints/joint';
import { spotOf } from '@/core/joints/jointId';
import { type Wares, waresOf } from '@/core/materials/catalogue';
import { loadList } from '@/core/materials/loadList';
import { fromMm, gallonsFromLitres, type LengthUnit, MM_PER_FOOT } from '@/core/measure/unit';
import { MUD_PRODUCTS } from '@/core/method/coat';
import { placesIn } from '@/core/room/ids';
import type { HouseSnapshot, RoomSnapshot } from '@/core/snapshot/houseSnapshot';
import { coatName } from '@/words/coatWords';
import { faceWords } from '@/words/faceWords';
import { percent } from '@/words/percent';
import { CLASS_NAMES } from '@/words/stateWords';

/** The tables that a house is told as. */
export const CSV_TABLES = ['rooms', 'pieces', 'load'] as const;
export type CsvTable = (typeof CSV_TABLES)[number];

/** A table of a house as comma separated values; lengths are numbers in the house's unit, which its head names. */
export function csvOf(
  table: CsvTable,
  { house, rooms, catalogue }: Pick<HouseSnapshot, 'house' | 'rooms' | 'catalogue'>,
): string {
  const { unit } = house;
  const tables: Readonly<Record<CsvTable, () => { fields: string[]; data: (string | number)[][] }>> = {
    rooms: () => ({ fields: ROOM_FIELDS(unit), data: roomRows(rooms, unit) }),
    pieces: () => ({ fields: PIECE_FIELDS(unit), data: rooms.flatMap((room) => pieceRows(room, unit)) }),
    load: () => ({
      fields: LOAD_FIELDS(unit),
      data: rooms.map((room) => loadRow(room, unit, waresOf(catalogue, unit))),
    }),
  };
  // What begins as a formula of a spreadsheet is text.
  return Papa.unparse(tables[table](), { escapeFormulae: true });
}

/** Without waste and not in packs: those are bought for the house. */
const LOAD_FIELDS = (unit: LengthUnit): string[] => {
  const [length, volume] = unit === 'in' ? ['ft', 'gal'] : ['m', 'l'];
  return [
    'Room',
    'Floor',
    `Paper tape (${length})`,
    `Mesh tape (${length})`,
    ...MUD_PRODUCTS.map((product) => `${product.charAt(0).toUpperCase()}${product.slice(1)} mud (${volume})`),
    `Sealer (${volume})`,
    'Screws',
    `Bead and trim (${length})`,
  ];
};

function loadRow(snapshot: RoomSnapshot, unit: LengthUnit, wares: Wares): (string | number)[] {
  const load = loadList([snapshot], unit, wares);
  const long = (mm: number) => rounded(unit === 'in' ? mm / MM_PER_FOOT : mm / 1000);
  const volume = (litres: number) => rounded(unit === 'in' ? gallonsFromLitres(litres) : litres);
  return [
    snapshot.room.name,
    snapshot.room.floor,
    long(load.tape.net),
    long(load.mesh.net),
    ...MUD_PRODUCTS.map((product) => volume(load.mud.find((mud) => mud.product === product)?.net ?? 0)),
    volume(load.sealer.net),
    load.screws.net,
    long(load.bead.reduce((sum, { net }) => sum + net, 0)),
  ];
}

const rounded = (value: number): number => Math.round(value * 100) / 100;

const ROOM_FIELDS = (unit: LengthUnit): string[] => [
  'Room',
  'Floor',
  'Level',
  ...JOINT_CLASSES.map((kind) => `${CLASS_NAMES[kind]} (${unit})`),
  'Fasteners',
  'Three-ways',
  'Done (%)',
];

const roomRows = (rooms: readonly RoomSnapshot[], unit: LengthUnit): (string | number)[][] =>
  rooms.map(({ room, level, tally, progress }) => [
    room.name,
    room.floor,
    level,
    ...JOINT_CLASSES.map((kind) => fromMm(tally.classes[kind].length, unit)),
    tally.fasteners,
    tally.threeWays,
    percent(progress),
  ]);

const PIECE_FIELDS = (unit: LengthUnit): string[] => [
  'Room',
  'Face',
  `Place (${unit})`,
  'Class',
  `Length (${unit}), or how many`,
  'Coats on',
  'Sanded',
  'Piece',
];

/** One row for each piece of joint and each face's fasteners; surfaces are told by room. */
function pieceRows({ room, pieces, applied, done }: RoomSnapshot, unit: LengthUnit): (string | number)[][] {
  const place = placesIn(room);
  const on = new Map(
    applied.stretches.flatMap((stretch) => {
      const coats = stretch.coats.filter(({ share }) => share === 1).map(({ coat }) => coatName(coat));
      return stretch.pieces.map(({ id }) => [id, coats.join(', ')] as const);
    }),
  );
  return pieces
    .filter((piece) => piece.class !== 'surface')
    .map((piece) => [
      room.name,
      faceWords(place(piece.face)),
      placeOnFace(piece.id, place, unit),
      CLASS_NAMES[piece.class],
      piece.class === 'fasteners' ? piece.amount : fromMm(piece.amount, unit),
      on.get(piece.id) ?? '',
      done.sandedPieces.has(piece.id) ? 'yes' : '',
      piece.id,
    ]);
}

/** Where a piece lies on its face: 48 from the top, 0 from the left; with wall 2. */
function placeOnFace(piece: string, place: (face: string) => string, unit: LengthUnit): string {
  const spot = spotOf(piece);
  if (!spot) return '';
  if (spot.kind === 'edge') return `with ${faceWords(place(spot.other))}`;
  // Ids are to the millimetre: that is finer than boards are hung.
  const length = (mm: number) => (unit === 'in' ? Math.round(fromMm(mm, unit) * 8) / 8 : mm);
  const [across, along] = spot.across === 'v' ? ['top', 'left'] : ['left', 'top'];
  return `${length(spot.at)} from the ${across}, ${length(spot.from)} from the ${along}`;
}
