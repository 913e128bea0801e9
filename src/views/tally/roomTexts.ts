import { LEVELS } from '@/core/house/level';
import type { QuickRoom } from '@/core/house/parseQuickLine';
import type { Problem } from '@/core/house/problem';
import type { Opening } from '@/core/house/schema';
import { wallsOf } from '@/core/house/walls';
import { formatLength } from '@/core/measure/formatLength';
import { parseLength } from '@/core/measure/parseLength';
import { fromMm, type LengthUnit, toMm } from '@/core/measure/unit';

/** A room as the texts of a form's fields. */
export interface RoomTexts {
  name: string;
  level: string;
  finish: string;
  length: string;
  width: string;
  height: string;
  ceiling: string;
  walls: string;
  openings: OpeningTexts[];
}
export interface OpeningTexts {
  kind: string;
  width: string;
  height: string;
  sill: string;
  wall: string;
  at: string;
  edge: string;
  depth: string;
}

export const NO_OPENING: OpeningTexts = {
  kind: 'door',
  width: '',
  height: '',
  sill: '0',
  wall: '1',
  at: '',
  edge: 'casing',
  depth: '',
};

/** The texts that show a room; none shows an empty form. */
export function textsOf(room: QuickRoom | undefined, unit: LengthUnit): RoomTexts {
  if (!room)
    return {
      name: '',
      level: 'Ground floor',
      finish: '',
      length: '',
      width: '',
      height: unit === 'in' ? "8'" : '2400 mm',
      ceiling: '',
      walls: '',
      openings: [],
    };
  const [first, second] = wallsOf(room.outline, unit);
  const text = (length: number) => formatLength(toMm(length, unit), unit);
  return {
    name: room.name,
    level: room.level,
    finish: room.finish?.level === undefined ? '' : String(room.finish.level),
    length: formatLength(first?.length ?? 0, unit),
    width: formatLength(second?.length ?? 0, unit),
    height: text(room.height),
    ceiling: room.ceiling.shape === 'open' ? 'open' : (room.hang?.ceiling ?? ''),
    walls: room.hang?.walls ?? '',
    openings: room.openings.map((opening) => ({
      kind: opening.kind,
      width: text(opening.width),
      height: text(opening.height),
      sill: text(opening.sill),
      wall: String(opening.wall + 1),
      at: text(opening.at),
      edge: opening.edge,
      depth: opening.depth === undefined ? '' : text(opening.depth),
    })),
  };
}

/** Reads the fields back; the room is there only when every field could be read. An empty place is the wall's middle. */
export function readTexts(
  texts: RoomTexts,
  unit: LengthUnit,
): { readonly room: QuickRoom | undefined; readonly problems: readonly Problem[] } {
  const problems: Problem[] = [];
  const length = (path: string, text: string, mayBeZero = false): number => {
    const reading = parseLength(text, unit);
    if (!reading.ok) problems.push({ path, reason: reading.reason });
    else if (reading.mm === 0 && !mayBeZero) problems.push({ path, reason: 'must be greater than 0' });
    return reading.ok ? fromMm(reading.mm, unit) : 0;
  };
  if (texts.name.trim() === '') problems.push({ path: 'name', reason: 'needs a name' });
  if (/[,:]/.test(texts.name)) problems.push({ path: 'name', reason: 'may not hold a comma or a colon' });
  if (texts.level.trim() === '') problems.push({ path: 'level', reason: 'needs the name of a floor' });
  const [long, wide, height] = [
    length('length', texts.length),
    length('width', texts.width),
    length('height', texts.height),
  ];
  const openings = texts.openings.map((opening, index): Opening => {
    const at = (field: string) => `openings[${index}].${field}`;
    const wall = Number(opening.wall) - 1;
    const width = length(at('width'), opening.width);
    const middle = Math.max(0, ((wall % 2 === 0 ? long : wide) - width) / 2);
    return {
      kind: opening.kind === 'window' || opening.kind === 'opening' ? opening.kind : 'door',
      width,
      height: length(at('height'), opening.height),
      sill: opening.sill.trim() === '' ? 0 : length(at('sill'), opening.sill, true),
      wall,
      at: opening.at.trim() === '' ? middle : length(at('at'), opening.at, true),
      edge: opening.edge === 'bead' || opening.edge === 'open' ? opening.edge : 'casing',
      ...(opening.depth.trim() === '' ? {} : { depth: length(at('depth'), opening.depth, true) }),
    };
  });
  if (problems.length > 0) return { room: undefined, problems };
  const level = LEVELS.find((candidate) => String(candidate) === texts.finish);
  const ceiling =
    texts.ceiling === 'along' || texts.ceiling === 'across' || texts.ceiling === 'auto' ? texts.ceiling : undefined;
  const walls = texts.walls === 'across' || texts.walls === 'upright' ? texts.walls : undefined;
  return {
    problems,
    room: {
      name: texts.name.trim(),
      level: texts.level.trim(),
      outline: [
        [0, 0],
        [long, 0],
        [long, wide],
        [0, wide],
      ],
      height,
      ceiling: { shape: texts.ceiling === 'open' ? 'open' : 'flat' },
      openings,
      ...(level === undefined ? {} : { finish: { level } }),
      ...(ceiling || walls ? { hang: { ...(ceiling ? { ceiling } : {}), ...(walls ? { walls } : {}) } } : {}),
    },
  };
}
