import { COATED_CLASSES } from '@/core/method/coat';
import { type Method, resolveMethod } from '@/core/method/resolveMethod';
import type { Section } from '@/core/section/buildSection';
import { sectionFor } from '@/core/section/sectionFor';
import type { HouseSnapshot, RoomSnapshot } from '@/core/snapshot/houseSnapshot';

/** The sections of one way of finishing, with what its glyphs are told by: '' for the house's own. */
export interface SectionsOfWay {
  readonly way: string;
  readonly sections: readonly Section[];
}

/** Every section that the glyphs of a house may need: the house's method whole, then those of rooms with their own. */
export function sectionsOf(snapshot: HouseSnapshot): readonly SectionsOfWay[] {
  const house = resolveMethod(snapshot.house);
  const waysOfRooms = new Map<string, Method[]>([['', [house]]]);
  const wayOf = wayOfRooms(snapshot);
  for (const room of snapshot.rooms) {
    const way = wayOf(room);
    const methods = waysOfRooms.get(way) ?? [];
    waysOfRooms.set(way, methods);
    if (!methods.includes(room.method)) methods.push(room.method);
  }
  return [...waysOfRooms].map(([way, methods]) => ({
    way,
    sections: [...methods, ...methods.slice(0, 1).map((method) => ({ ...method, level: 5 as const }))].flatMap(
      (method) => COATED_CLASSES.map((kind) => sectionFor(kind, method)),
    ),
  }));
}

/** What the glyphs of a room are told by: rooms that are finished in one way share it, whatever their level. */
export function wayOfRooms({
  house,
  rooms,
}: Pick<HouseSnapshot, 'house' | 'rooms'>): (room: Pick<RoomSnapshot, 'method'>) => string {
  const houseSays = JSON.stringify(resolveMethod(house).classes);
  const ways = new Map<Method['classes'], string>();
  const said = new Map<string, string>([[houseSays, '']]);
  for (const { method } of rooms) {
    if (ways.has(method.classes)) continue;
    const text = JSON.stringify(method.classes);
    if (!said.has(text)) said.set(text, `way${said.size}-`);
    ways.set(method.classes, said.get(text) ?? '');
  }
  return ({ method }) => ways.get(method.classes) ?? '';
}
