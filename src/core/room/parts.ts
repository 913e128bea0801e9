import type { Room } from './schema';

/** What a room has besides its walls that carries an id of its own. */
export const PARTS = ['openings', 'soffits', 'niches', 'columns', 'zones'] as const;
export type PartKind = (typeof PARTS)[number];
export type PartOf<Kind extends PartKind> = NonNullable<Room[Kind]>[number];

/** The parts of one kind; none where the room says nothing of them. */
export const partsOf = <Kind extends PartKind>(room: Pick<Room, PartKind>, kind: Kind): readonly PartOf<Kind>[] =>
  (room[kind] ?? []) as readonly PartOf<Kind>[];
