import { fromMm, type LengthUnit, TOLERANCE_MM, toMm } from '../measure/unit';
import { placesIn } from '../room/ids';
import type { HangChoices, Opening, QuickRoom, Room } from '../room/schema';
import { isRectangle, wallsOf } from '../room/walls';
import { inchesText, shortFeet } from './lengthText';
import type { LineItem } from './lineItems';
import { boardsText, coursesText, faceText } from './lineValues';
import { quoted, wallText } from './quickLinePieces';
import { frameOf } from './roomFrame';
import { formatWalk } from './walk';

/** The sizes of a room as its line writes them: `12' x 10' x 8'`, or a walk. */
export function sizesText({ outline, height }: Pick<QuickRoom, 'outline' | 'height'>, unit: LengthUnit): string {
  const walls = wallsOf(outline, unit);
  if (!isRectangle(walls)) return formatWalk(outline, unit);
  const feet = (mm: number) =>
    wallText(fromMm(mm, unit), unit, unit === 'mm' ? String(fromMm(mm, 'mm')) : shortFeet(mm));
  return [walls[0]?.length ?? 0, walls[1]?.length ?? 0, toMm(height, unit)].map(feet).join(' x ');
}

/** The head of a room's line: its name and its sizes. */
export const headText = (room: QuickRoom, unit: LengthUnit): string => `${quoted(room.name)}: ${sizesText(room, unit)}`;

/** Everything that a room's line says after its head, item by item. */
export function itemsOf(room: QuickRoom, unit: LengthUnit): readonly LineItem[] {
  const walls = wallsOf(room.outline, unit);
  // Faces are said by number, as a lead counts them; an edge by the ids that it keeps.
  const placeOf = placesIn(room);
  const text = (length: number) => inchesText(length, unit);
  const wall = (index: number) => String(index + 1);
  const list = (indices: readonly number[]) => indices.map(wall).join(' ');
  return [
    ...(isRectangle(walls) ? [] : [item('height', { height: wallText(room.height, unit, text(room.height)) })]),
    ...ceilingItems(room, text, list),
    ...room.openings.map((opening) => openingItem(opening, walls[opening.wall]?.length ?? 0, unit)),
    ...(room.soffits ?? []).map(({ wall: index, from, to, depth, drop }) =>
      item('soffit', {
        depth: String(depth),
        drop: String(drop),
        wall: wall(index),
        from: from === 0 ? '' : text(from),
        to: Math.abs(toMm(to, unit) - (walls[index]?.length ?? 0)) <= TOLERANCE_MM ? '' : text(to),
      }),
    ),
    ...(room.niches ?? []).map(({ wall: index, at, bottom, width, height, depth, shelves }) =>
      item('niche', {
        width: String(width),
        height: String(height),
        depth: String(depth),
        bottom: String(bottom),
        wall: wall(index),
        at: isMiddle(at, width, walls[index]?.length ?? 0, unit) ? '' : text(at),
        shelves: shelves === 0 ? '' : String(shelves),
      }),
    ),
    ...columnItems(room, unit),
    ...(room.zones ?? []).map(({ wall: index, from, to, bottom, top, cover }) =>
      item(cover, {
        width: String(tidy(to - from)),
        height: String(tidy(top - bottom)),
        bottom: bottom === 0 ? '' : String(bottom),
        wall: wall(index),
        at: from === 0 ? '' : text(from),
      }),
    ),
    ...(room.existing?.length ? [item('existing', { existing: list(room.existing) })] : []),
    ...finishItems(room.finish, placeOf),
    ...(room.floor === 'Ground floor' ? [] : [item('on', { floor: quoted(room.floor) })]),
    ...(room.note === undefined ? [] : [item('note', { note: quoted(room.note) })]),
    ...(room.beads && (room.beads.profile !== 'square' || !room.beads.edges)
      ? [item('beads', { profile: room.beads.profile })]
      : []),
    ...Object.entries(room.beads?.edges ?? {}).map(([edge, profile]) => item('edge', { edge, profile })),
    ...hangItems(room.hang ?? {}, unit),
    ...Object.entries(room.hung ?? {}).flatMap(([id, { run, courses }]) =>
      courses.length > 0
        ? [item('hung', { face: faceText(placeOf(id)), run, courses: coursesText(courses, unit) })]
        : [],
    ),
    ...(room.mirrored ? [item('mirrored', {})] : []),
  ];
}

/** What is said of boards, of a room or of a house. */
export function hangItems(hang: HangChoices, unit: LengthUnit): readonly LineItem[] {
  const text = (length: number) => inchesText(length, unit);
  return [
    ...(hang.ceiling === undefined ? [] : [item('ceiling', { ceiling: hang.ceiling })]),
    ...(hang.walls === undefined ? [] : [item('walls', { walls: hang.walls })]),
    ...(hang.boards === undefined ? [] : [item('boards', { boards: boardsText(hang.boards, unit) })]),
    ...(hang.framing === undefined ? [] : [item('framing', { framing: text(hang.framing) })]),
    ...(hang.screws?.ceiling !== undefined && hang.screws.wall !== undefined
      ? [item('screws', { ceiling: String(hang.screws.ceiling), wall: String(hang.screws.wall) })]
      : []),
    ...(hang.butts === undefined ? [] : [item('butts', { butts: hang.butts })]),
    ...(hang.aim === undefined ? [] : [item('aim', { aim: hang.aim })]),
  ];
}

const item = (kind: LineItem['kind'], values: LineItem['values']): LineItem => ({
  kind,
  values: Object.fromEntries(Object.entries(values).filter(([, value]) => value !== '')),
});

function ceilingItems(
  { ceiling }: QuickRoom,
  text: (length: number) => string,
  list: (walls: readonly number[]) => string,
): readonly LineItem[] {
  switch (ceiling.shape) {
    case 'flat':
      return [];
    case 'open':
      return [item('ceiling', { ceiling: 'open' })];
    case 'shed':
      return [item('shed', { rise: text(ceiling.rise), low: list([ceiling.low]) })];
    case 'gable':
      return [item('gable', { rise: text(ceiling.rise), eaves: list(ceiling.eaves) })];
    case 'knee':
      return [item('knee', { knee: text(ceiling.knee), run: text(ceiling.run), eaves: list(ceiling.eaves) })];
    case 'tray':
      return [item('tray', { inset: text(ceiling.inset), rise: text(ceiling.rise) })];
  }
}

function openingItem(opening: Opening, wallLength: number, unit: LengthUnit): LineItem {
  return item(opening.kind, {
    width: String(opening.width),
    height: String(opening.height),
    sill: opening.sill === 0 && opening.kind !== 'window' ? '' : String(opening.sill),
    wall: String(opening.wall + 1),
    at: isMiddle(opening.at, opening.width, wallLength, unit) ? '' : inchesText(opening.at, unit),
    edge: opening.edge === 'casing' ? '' : opening.edge,
    depth: opening.depth === undefined ? '' : String(opening.depth),
    arch: opening.head?.arch ? String(opening.head.arch) : '',
  });
}

const isMiddle = (at: number, width: number, wallLength: number, unit: LengthUnit): boolean =>
  Math.abs(toMm(at, unit) - (wallLength - toMm(width, unit)) / 2) <= TOLERANCE_MM;

/** Columns are measured from the room's first corner, wherever the room stands on the plan. */
function columnItems({ columns = [], outline }: QuickRoom, unit: LengthUnit): readonly LineItem[] {
  if (columns.length === 0) return [];
  const { toLine } = frameOf(outline, unit);
  return columns.map(({ outline: column }) => columnItem(column.map(toLine), unit));
}

/** An upright box by its size and corner, any other column by a walk round it. */
function columnItem(column: readonly (readonly [number, number])[], unit: LengthUnit): LineItem {
  const xs = column.map(([x]) => x);
  const ys = column.map(([, y]) => y);
  const [x0, y0] = [Math.min(...xs), Math.min(...ys)];
  const [wide, deep] = [tidy(Math.max(...xs) - x0), tidy(Math.max(...ys) - y0)];
  const isBox =
    column.length === 4 &&
    column.every(([x, y]) => (near(x, x0) || near(x, Math.max(...xs))) && (near(y, y0) || near(y, Math.max(...ys))));
  const [start] = column;
  const [x, y] = isBox || !start ? [x0, y0] : start;
  const shape = isBox
    ? `${wide}x${deep}`
    : formatWalk(
        column.map(([px, py]): [number, number] => [px - x, py - y]),
        unit,
      );
  return item('column', { shape, at: `${inchesText(x, unit)} x ${inchesText(y, unit)}` });
}

function finishItems(finish: Room['finish'], placeOf: (face: string) => string): readonly LineItem[] {
  const said = [['', finish] as const, ...Object.entries(finish?.faces ?? {})];
  return said.flatMap(([face, part]) => {
    const of = face === '' ? '' : faceText(placeOf(face));
    return [
      ...(part?.level === undefined ? [] : [item('level', { level: String(part.level), of })]),
      ...(part?.surface === undefined ? [] : [item('surface', { surface: part.surface, of })]),
      ...(part?.light === undefined ? [] : [item('light', { light: part.light, of })]),
    ];
  });
}

const near = (a: number, b: number): boolean => Math.abs(a - b) < 1e-4;

const tidy = (length: number): number => Math.round(length * 1e6) / 1e6;
