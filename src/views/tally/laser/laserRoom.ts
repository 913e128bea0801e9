import { type LengthUnit, MM_PER_INCH } from '@/core/measure/unit';
import type { QuickRoom } from '@/core/room/schema';

/** A door or window while it is measured; mm. */
export interface MeasuredOpening {
  readonly kind: 'door' | 'window';
  readonly wall: number;
  /** From the left corner, width, height, and of a window its sill: as far as they are measured. */
  readonly values: readonly number[];
}

/** A room of four walls while it is measured, one reading after the other; mm. */
export interface MeasuredRoom {
  /** Along wall 1, along wall 2, height. */
  readonly sides: readonly number[];
  readonly openings: readonly MeasuredOpening[];
}

export const NOTHING_MEASURED: MeasuredRoom = { sides: [], openings: [] };

const SIDES = ['Length, along wall 1', 'Width, along wall 2', 'Height'] as const;
const ASKED: Readonly<Record<MeasuredOpening['kind'], readonly string[]>> = {
  door: ['from the left corner to the door', 'its width', 'its height'],
  window: ['from the left corner to the window', 'its width', 'its height', 'from the floor to its sill'],
};
/** With what a room is begun, mm. */
const MOST_OPENINGS = 20;

/** What is measured next; nothing while the next door or window is chosen. */
export function askedNext({ sides, openings }: MeasuredRoom): string | undefined {
  const side = SIDES[sides.length];
  if (side) return side;
  const open = openings.at(-1);
  const asked = open && ASKED[open.kind][open.values.length];
  return asked && `${open.kind === 'door' ? 'Door' : 'Window'} in wall ${open.wall + 1}: ${asked}`;
}

/** The room with one more reading; the same one where none is asked for. */
export function withReading(room: MeasuredRoom, mm: number): MeasuredRoom {
  if (askedNext(room) === undefined) return room;
  if (room.sides.length < SIDES.length) return { ...room, sides: [...room.sides, mm] };
  return {
    ...room,
    openings: room.openings.map((open, index) =>
      index === room.openings.length - 1 ? { ...open, values: [...open.values, mm] } : open,
    ),
  };
}

/** Begins a door or a window; the one that is begun is measured first. */
export const withOpening = (room: MeasuredRoom, kind: MeasuredOpening['kind'], wall: number): MeasuredRoom =>
  askedNext(room) !== undefined || room.openings.length === MOST_OPENINGS
    ? room
    : { ...room, openings: [...room.openings, { kind, wall, values: [] }] };

/** Takes the last reading back, or the opening that was begun last. */
export function withoutLast({ sides, openings }: MeasuredRoom): MeasuredRoom {
  const open = openings.at(-1);
  if (!open) return { sides: sides.slice(0, -1), openings };
  const rest = openings.slice(0, -1);
  return {
    sides,
    openings: open.values.length === 0 ? rest : [...rest, { ...open, values: open.values.slice(0, -1) }],
  };
}

/** The room that was measured so far; none before its three sizes are. */
export function roomMeasured(
  { sides: [length, width, height], openings }: MeasuredRoom,
  name: string,
  floor: string,
  unit: LengthUnit,
): QuickRoom | undefined {
  if (length === undefined || width === undefined || height === undefined) return undefined;
  // To the sixteenth, or the millimetre: a beam is no more certain than that.
  const inUnit = (mm: number) => (unit === 'in' ? Math.round((mm / MM_PER_INCH) * 16) / 16 : Math.round(mm));
  const [l, w] = [inUnit(length), inUnit(width)];
  return {
    name: name.trim() || 'Room',
    floor,
    outline: [
      [0, 0],
      [l, 0],
      [l, w],
      [0, w],
    ],
    height: inUnit(height),
    ceiling: { shape: 'flat' },
    openings: openings
      .filter(({ kind, values }) => values.length === ASKED[kind].length)
      .map(({ kind, wall, values: [at = 0, across = 0, high = 0, sill = 0] }) => ({
        kind,
        wall,
        at: inUnit(at),
        width: inUnit(across),
        height: inUnit(high),
        sill: inUnit(sill),
        edge: 'casing' as const,
      })),
  };
}
