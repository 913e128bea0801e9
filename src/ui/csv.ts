import Papa from 'papaparse';
import { JOINT_CLASSES } from '@/core/joints/joint';
import { fromMm, type LengthUnit } from '@/core/measure/unit';
import type { RoomSite, Site } from '@/core/readiness/siteOf';
import { placesIn } from '@/core/room/ids';
import { faceWords } from './room/faceWords';
import { CLASS_NAMES } from './state/words';

/** The tables that a house is told as. */
export const CSV_TABLES = ['rooms', 'pieces'] as const;
export type CsvTable = (typeof CSV_TABLES)[number];

/** A table of a house as comma separated values; lengths are numbers in the house's unit, which its head names. */
export function csvOf(table: CsvTable, { house, rooms }: Pick<Site, 'house' | 'rooms'>): string {
  const rows = table === 'rooms' ? roomRows(rooms, house.unit) : rooms.flatMap((room) => pieceRows(room, house.unit));
  // What begins as a formula of a spreadsheet is text.
  return Papa.unparse(
    { fields: table === 'rooms' ? ROOM_FIELDS(house.unit) : PIECE_FIELDS(house.unit), data: rows },
    { escapeFormulae: true },
  );
}

const ROOM_FIELDS = (unit: LengthUnit): string[] => [
  'Room',
  'Floor',
  'Level',
  ...JOINT_CLASSES.map((kind) => `${CLASS_NAMES[kind]} (${unit})`),
  'Fasteners',
  'Three-ways',
  'Done (%)',
];

const roomRows = (rooms: readonly RoomSite[], unit: LengthUnit): (string | number)[][] =>
  rooms.map(({ room, level, tally, progress }) => [
    room.name,
    room.floor,
    level,
    ...JOINT_CLASSES.map((kind) => fromMm(tally.classes[kind].length, unit)),
    tally.fasteners,
    tally.threeWays,
    Math.round(progress * 100),
  ]);

const PIECE_FIELDS = (unit: LengthUnit): string[] => [
  'Room',
  'Face',
  'Class',
  `Length (${unit}), or how many`,
  'Coats on',
  'Sanded',
  'Piece',
];

/** One row for each piece of joint and each face's fasteners; surfaces are told by room. */
function pieceRows({ room, pieces, applied, done }: RoomSite, unit: LengthUnit): (string | number)[][] {
  const place = placesIn(room);
  const on = new Map(
    applied.stretches.flatMap((stretch) => {
      const coats = stretch.coats.filter(({ share }) => share === 1).map(({ coat }) => coat.name);
      return stretch.pieces.map(({ id }) => [id, coats.join(', ')] as const);
    }),
  );
  return pieces
    .filter((piece) => piece.class !== 'surface')
    .map((piece) => [
      room.name,
      faceWords(place(piece.face)),
      CLASS_NAMES[piece.class],
      piece.class === 'fasteners' ? piece.amount : fromMm(piece.amount, unit),
      on.get(piece.id) ?? '',
      done.sandedPieces.has(piece.id) ? 'yes' : '',
      piece.id,
    ]);
}
