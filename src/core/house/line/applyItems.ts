import { formatLength } from '../../measure/formatLength';
import { fromMm, type LengthUnit, TOLERANCE_MM, toMm } from '../../measure/unit';
import type { HangChoices, Opening, Room } from '../schema';
import type { Wall } from '../walls';
import type { ReadItem } from './lineItems';
import { type FieldSpec, OPENING_KINDS, specOf } from './lineSpecs';
import { boardsFrom, coursesFrom, edgeName, faceName } from './lineValues';
import type { QuickRoom } from './parseQuickLine';
import { Misread, type Piece, readLength, readPositive, sizesIn, unquoted } from './quickLinePieces';
import { readWalk } from './walk';

/** A room while its items are read into it. */
export type RoomDraft = { -readonly [Key in keyof QuickRoom]: QuickRoom[Key] };

/** Which item said a part of the room: paths as problems carry them, e.g. `openings[0]`. */
export type Owners = Map<string, ReadItem>;

/** Heads line up with a door's at 80 in, where no sill is written: common practice, no source. */
const HEAD_LINE = { in: 80, mm: 2032 } as const;
/** A niche's usual bottom above the floor. Common practice, no source. */
const NICHE_BOTTOM = { in: 48, mm: 1200 } as const;

/** What reading an item needs to know of the line. */
interface Reader {
  readonly room: RoomDraft;
  readonly walls: readonly Wall[];
  readonly unit: LengthUnit;
  readonly owners: Owners;
  /** Walls that some opening names or took. */
  readonly taken: Set<number>;
}

/** Puts what the items say into the room; walls are those of the outline as it was walked. */
export function applyItems(
  items: readonly ReadItem[],
  room: RoomDraft,
  walls: readonly Wall[],
  unit: LengthUnit,
): Owners {
  const owners: Owners = new Map();
  const reader: Reader = { room, walls, unit, owners, taken: new Set() };
  // A default place depends on the walls that are named anywhere in the line, so those come first.
  for (const item of items) {
    const said = isOpening(item) ? item.values.wall : undefined;
    if (said) reader.taken.add(wallFrom(said, reader));
  }
  const seen = new Set<string>();
  for (const item of items) {
    const spec = specOf(item.kind);
    const name = item.values.of ? `${item.kind} of ${item.values.of.text.toLowerCase()}` : item.kind;
    if (!spec.many && seen.has(name))
      throw new Misread(`${spec.label.toLowerCase()} is said twice`, item.whole.at, item.whole.length);
    seen.add(name);
    applyItem(item, reader);
  }
  return owners;
}

const isOpening = ({ kind }: ReadItem): boolean => OPENING_KINDS.some((opening) => opening === kind);

function applyItem(item: ReadItem, reader: Reader): void {
  const { room, unit, owners } = reader;
  const { values } = item;
  const length = (name: string): number => readPositive(value(item, name), unit);
  const maybe = (name: string): number | undefined => (values[name] ? readLength(values[name], unit) : undefined);
  const choice = <Choice extends string>(name: string): Choice => choiceOf<Choice>(item, name);
  const hang = (choices: HangChoices) => {
    room.hang = { ...room.hang, ...choices };
  };
  switch (item.kind) {
    case 'door':
    case 'window':
    case 'opening':
      addOpening(item, item.kind, reader);
      return;
    case 'tile':
    case 'trim':
    case 'cabinet': {
      const wall = wallFrom(value(item, 'wall'), reader);
      const whole = fromMm(reader.walls[wall]?.length ?? 0, unit);
      const from = maybe('at') ?? 0;
      const bottom = maybe('bottom') ?? 0;
      const [wide, tall] = [
        values.width ? length('width') : whole - from,
        values.height ? length('height') : room.height - bottom,
      ];
      room.zones = [
        ...(room.zones ?? []),
        { wall, from, to: from + wide, bottom, top: bottom + tall, cover: item.kind },
      ];
      owners.set(`zones[${room.zones.length - 1}]`, item);
      return;
    }
    case 'height':
      room.height = length('height');
      owners.set('height', item);
      return;
    case 'on':
      room.level = unquoted(value(item, 'level').text);
      owners.set('level', item);
      return;
    case 'level':
    case 'surface':
    case 'light':
      addFinish(item, item.kind, reader);
      return;
    case 'ceiling': {
      const said = choice<'flat' | 'open' | 'along' | 'across' | 'auto'>('ceiling');
      if (said === 'flat' || said === 'open') room.ceiling = { shape: said };
      else hang({ ceiling: said });
      return;
    }
    case 'shed':
      room.ceiling = { shape: 'shed', low: values.low ? wallFrom(values.low, reader) : 0, rise: length('rise') };
      owners.set('ceiling', item);
      return;
    case 'gable': {
      const [one, other] = values.eaves ? wallsFrom(values.eaves, reader) : [0, 2];
      if (one === undefined || other === undefined)
        throw new Misread(
          'a gable rises from two walls: walls 1 3',
          values.eaves?.at ?? item.whole.at,
          values.eaves?.length ?? 1,
        );
      room.ceiling = { shape: 'gable', eaves: [one, other], rise: length('rise') };
      owners.set('ceiling', item);
      return;
    }
    case 'knee':
      room.ceiling = {
        shape: 'knee',
        eaves: wallsFrom(value(item, 'eaves'), reader),
        knee: length('knee'),
        run: length('run'),
      };
      owners.set('ceiling', item);
      return;
    case 'tray':
      room.ceiling = { shape: 'tray', inset: length('inset'), rise: length('rise') };
      owners.set('ceiling', item);
      return;
    case 'soffit': {
      const wall = wallFrom(value(item, 'wall'), reader);
      const to = maybe('to') ?? fromMm(reader.walls[wall]?.length ?? 0, unit);
      room.soffits = [
        ...(room.soffits ?? []),
        { wall, from: maybe('from') ?? 0, to, depth: length('depth'), drop: length('drop') },
      ];
      owners.set(`soffits[${room.soffits.length - 1}]`, item);
      return;
    }
    case 'niche':
      addNiche(item, reader);
      return;
    case 'column':
      room.columns = [...(room.columns ?? []), columnFrom(item, unit)];
      owners.set(`columns[${room.columns.length - 1}]`, item);
      return;
    case 'existing':
      room.existing = wallsFrom(value(item, 'existing'), reader);
      owners.set('existing', item);
      return;
    case 'beads':
      room.beads = { ...room.beads, profile: choice('profile') };
      return;
    case 'edge': {
      const profile = room.beads?.profile ?? 'square';
      const name = edgeName(value(item, 'edge'));
      room.beads = { ...room.beads, profile, edges: { ...room.beads?.edges, [name]: choice('profile') } };
      owners.set(`beads.edges.${name}`, item);
      return;
    }
    case 'walls':
      hang({ walls: choice('walls') });
      return;
    case 'boards':
      hang({ boards: boardsFrom(value(item, 'boards'), unit) });
      return;
    case 'framing':
      owners.set('hang.framing', item);
      hang({ framing: length('framing') });
      return;
    case 'screws':
      hang({ screws: { ceiling: length('ceiling'), wall: length('wall') } });
      return;
    case 'butts':
      hang({ butts: choice('butts') });
      return;
    case 'aim':
      hang({ aim: choice('aim') });
      return;
    case 'hung': {
      const face = faceName(value(item, 'face'));
      const courses = coursesFrom(value(item, 'courses'), unit);
      room.hung = { ...room.hung, [face]: { run: values.run ? choice('run') : 'across', courses } };
      owners.set(`hung.${face}`, item);
      return;
    }
    case 'mirrored':
      room.mirrored = true;
      return;
  }
}

function value({ kind, whole, values }: ReadItem, name: string): Piece {
  const found = values[name];
  if (found) return found;
  const field = specOf(kind).fields.find((candidate) => candidate.name === name);
  const said = field?.word ? `${field.word} ` : '';
  throw new Misread(`the ${field?.label.toLowerCase() ?? name} is missing: ${said}…`, whole.at, whole.length);
}

function choiceOf<Choice extends string>(item: ReadItem, name: string): Choice {
  const piece = value(item, name);
  const field: FieldSpec | undefined = specOf(item.kind).fields.find((candidate) => candidate.name === name);
  const found = field?.choices?.find((candidate) => candidate.toLowerCase() === piece.text.toLowerCase());
  if (found === undefined)
    throw new Misread(
      `the ${field?.label.toLowerCase()} is ${field?.choices?.join(', ')}`,
      piece.at,
      Math.max(1, piece.length),
    );
  return found as Choice;
}

function wallFrom(piece: Piece, { walls }: Pick<Reader, 'walls'>): number {
  if (!/^[1-9]\d*$/.test(piece.text))
    throw new Misread('walls are numbered from 1', piece.at, Math.max(1, piece.length));
  if (Number(piece.text) > walls.length)
    throw new Misread(`the room has ${walls.length} walls`, piece.at, piece.length);
  return Number(piece.text) - 1;
}

function wallsFrom(piece: Piece, reader: Pick<Reader, 'walls'>): number[] {
  return [...piece.text.matchAll(/\S+/g)].map((match) =>
    wallFrom({ text: match[0], at: piece.at + match.index, length: match[0].length }, reader),
  );
}

function addOpening(item: ReadItem, kind: Opening['kind'], reader: Reader): void {
  const { room, walls, unit, owners, taken } = reader;
  const { values } = item;
  const [width, height] = [readPositive(value(item, 'width'), unit), readPositive(value(item, 'height'), unit)];
  const named = values.wall ? wallFrom(values.wall, reader) : undefined;
  const wall = named ?? walls.find(({ index, length }) => !taken.has(index) && length >= toMm(width, unit))?.index;
  if (wall === undefined)
    throw new Misread('no free wall is wide enough for it; say which: wall 1', item.whole.at, item.whole.length);
  taken.add(wall);
  const length = walls[wall]?.length ?? 0;
  const middle = (length - toMm(width, unit)) / 2;
  if (!values.at && middle < -TOLERANCE_MM)
    throw new Misread(
      `the ${kind} is wider than wall ${wall + 1} (${formatLength(length, unit)})`,
      item.whole.at,
      item.whole.length,
    );
  const arch = values.arch ? readLength(values.arch, unit) : 0;
  room.openings = [
    ...room.openings,
    {
      wall,
      kind,
      at: values.at ? readLength(values.at, unit) : fromMm(Math.max(0, middle), unit),
      width,
      height,
      sill: values.sill ? readLength(values.sill, unit) : kind === 'window' ? Math.max(0, HEAD_LINE[unit] - height) : 0,
      edge: values.edge ? choiceOf<Opening['edge']>(item, 'edge') : 'casing',
      ...(values.depth ? { depth: readLength(values.depth, unit) } : {}),
      ...(arch > 0 ? { head: { arch } } : {}),
    },
  ];
  owners.set(`openings[${room.openings.length - 1}]`, item);
}

function addNiche(item: ReadItem, reader: Reader): void {
  const { room, unit, owners } = reader;
  const { values } = item;
  const width = readPositive(value(item, 'width'), unit);
  const wall = wallFrom(value(item, 'wall'), reader);
  const middle = fromMm(((reader.walls[wall]?.length ?? 0) - toMm(width, unit)) / 2, unit);
  const shelves = values.shelves ? Number(values.shelves.text) : 0;
  if (!Number.isInteger(shelves) || shelves < 0)
    throw new Misread(
      'shelves are counted: 0, 1, 2 …',
      values.shelves?.at ?? item.whole.at,
      values.shelves?.length ?? 1,
    );
  const niche = {
    wall,
    at: values.at ? readLength(values.at, unit) : Math.max(0, middle),
    bottom: values.bottom ? readLength(values.bottom, unit) : NICHE_BOTTOM[unit],
    width,
    height: readPositive(value(item, 'height'), unit),
    depth: readPositive(value(item, 'depth'), unit),
    shelves,
  };
  room.niches = [...(room.niches ?? []), niche];
  owners.set(`niches[${room.niches.length - 1}]`, item);
}

function addFinish(item: ReadItem, kind: 'level' | 'surface' | 'light', { room, owners }: Reader): void {
  type Finish = NonNullable<Room['finish']>;
  const said = choiceOf<string>(item, kind);
  const part = { [kind]: kind === 'level' ? Number(said) : said } as Pick<Finish, 'level' | 'surface' | 'light'>;
  if (!item.values.of) {
    room.finish = { ...room.finish, ...part };
    return;
  }
  const face = faceName(item.values.of);
  room.finish = {
    ...room.finish,
    faces: { ...room.finish?.faces, [face]: { ...room.finish?.faces?.[face], ...part } },
  };
  owners.set(`finish.faces.${face}`, item);
}

/** A column by its size and first corner, or by a walk round it from there. */
function columnFrom(item: ReadItem, unit: LengthUnit): [number, number][] {
  const shape = value(item, 'shape');
  const place = value(item, 'at');
  const [x, y, more] = sizesIn(place.text, place.at).map((piece) => readLength(piece, unit));
  if (x === undefined || y === undefined || more !== undefined)
    throw new Misread("a column stands at so far right x so far down: at 5' x 4'", place.at, place.length);
  const corners: readonly (readonly [number, number])[] = /^[rldu]/i.test(shape.text)
    ? readWalk(shape, unit).outline
    : boxFrom(shape, unit);
  return corners.map(([dx, dy]): [number, number] => [x + dx, y + dy]);
}

function boxFrom(shape: Piece, unit: LengthUnit): readonly (readonly [number, number])[] {
  const [wide, deep, more] = sizesIn(shape.text, shape.at).map((piece) => readPositive(piece, unit));
  if (wide === undefined || deep === undefined || more !== undefined)
    throw new Misread('a column needs its width x depth', shape.at, shape.length);
  return [
    [0, 0],
    [0, deep],
    [wide, deep],
    [wide, 0],
  ];
}
