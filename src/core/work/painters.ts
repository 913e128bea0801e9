/** When the painters come, YYYY-MM-DD: to the house, and to rooms that they come to on another day. */
export interface PaintersDates {
  readonly house?: string;
  readonly rooms: Readonly<Record<string, string>>;
}

/** The dates with one more said; null takes it away. A room without one goes by the house's. */
export function withDate(dates: PaintersDates, room: string | null, day: string | null): PaintersDates {
  if (room === null) {
    const { house: _before, ...rest } = dates;
    return day === null ? rest : { ...rest, house: day };
  }
  const { [room]: _own, ...others } = dates.rooms;
  return { ...dates, rooms: day === null ? others : { ...others, [room]: day } };
}

/** When the painters come to a room. */
export const dateFor = ({ house, rooms }: PaintersDates, room: string): string | undefined => rooms[room] ?? house;
