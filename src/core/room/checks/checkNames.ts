import { formatLength } from '../../measure/formatLength';
import { boxOf } from '../../measure/polygon';
import { TOLERANCE_MM, toMm } from '../../measure/unit';
import { type Corner, cornersOf } from '../faces/corners';
import type { Face } from '../faces/face';
import { facesOf } from '../faces/facesOf';
import type { Problem } from '../problem';
import { resolveHang } from '../resolveHang';
import type { HungCourses, Room, RoomDefaults } from '../schema';

/** Whether what is said of single faces and edges names faces and edges that this room has, and fits them. */
export function checkNames(room: Room, house: RoomDefaults): readonly Problem[] {
  const edges = Object.entries(room.beads?.edges ?? {});
  const finished = Object.keys(room.finish?.faces ?? {});
  const hung = Object.entries(room.hung ?? {});
  if (edges.length + finished.length + hung.length === 0) return [];
  const faces = facesOf(room, house.unit);
  const byId = new Map(faces.map((face) => [face.id, face]));
  const corners = edges.some(([edge]) => edge.includes('~')) ? cornersOf(faces) : [];
  return [
    ...edges.flatMap(([edge]) => {
      const reason = whyNoEdge(edge, byId, corners);
      return reason ? [{ path: `beads.edges.${edge}`, reason }] : [];
    }),
    ...finished
      .filter((id) => !byId.has(id))
      .map((id) => ({ path: `finish.faces.${id}`, reason: 'names no face of this room' })),
    ...hung.flatMap(([id, found]) => checkHung(`hung.${id}`, found, byId.get(id), room, house)),
  ];
}

/** Why nothing stands on what an edge names: it is no edge, or an inside corner. An arch meets its lining by name. */
function whyNoEdge(edge: string, faces: ReadonlyMap<string, Face>, corners: readonly Corner[]): string | undefined {
  const [one = '', other] = edge.split('~');
  if (other === undefined) return namesAnEdge(one, faces) ? undefined : 'names no edge of this room';
  const ids = [one, other];
  const arched = ids.some((id) => faces.get(id)?.holes.some(({ arch }) => arch && ids.includes(arch.lining ?? '')));
  if (arched) return undefined;
  const met = corners.filter(({ edges: [a, b] }) => ids.includes(a.face.id) && ids.includes(b.face.id));
  if (met.length === 0) return 'names no edge of this room';
  return met.some(({ inside }) => !inside) ? undefined : 'is an inside corner: nothing stands on it';
}

/** A face, a side of a face (`w2.top`), an opening (`w0.o1`) or a side of it (`w0.o1.head`). */
function namesAnEdge(name: string, faces: ReadonlyMap<string, Face>): boolean {
  if (faces.has(name)) return true;
  const [on = '', part = '', side, more] = name.split('.');
  const face = faces.get(on);
  if (!face || more !== undefined) return false;
  if (side === undefined && /^(?:top|bottom|left|right)$/.test(part)) return true;
  return face.holes.some(({ id }) => id === part) && (side === undefined || /^(?:head|left|right|sill)$/.test(side));
}

/** Whether courses as found cover their face, with boards that there are, and butts that lie on it. */
function checkHung(
  path: string,
  { run, courses }: HungCourses,
  face: Face | undefined,
  room: Room,
  house: RoomDefaults,
): readonly Problem[] {
  if (!face) return [{ path, reason: 'names no face of this room' }];
  if (courses.length === 0) return [];
  const { unit } = house;
  const box = boxOf(face.loops);
  const [length, breadth] = run === 'across' ? [box.u1 - box.u0, box.v1 - box.v0] : [box.v1 - box.v0, box.u1 - box.u0];
  const widest = Math.max(...resolveHang(house, room).boards.map(({ width }) => width));
  let reached = 0;
  const found = courses.flatMap((course, index): readonly Problem[] => {
    const at = `${path}.courses[${index}]`;
    const start = reached;
    reached += toMm(course.breadth, unit);
    if (start >= breadth - TOLERANCE_MM) return [{ path: at, reason: 'lies beyond the end of the face' }];
    if (reached - start > widest + TOLERANCE_MM)
      return [{ path: `${at}.breadth`, reason: `is broader than the widest board (${formatLength(widest, unit)})` }];
    const off = course.butts.findIndex((butt) => toMm(butt, unit) >= length - TOLERANCE_MM);
    if (off >= 0)
      return [
        { path: `${at}.butts[${off}]`, reason: `lies off the face, which is ${formatLength(length, unit)} long` },
      ];
    const isSame = (a: number, b: number) => toMm(Math.abs(a - b), unit) <= TOLERANCE_MM;
    for (const which of ['backed', 'bevelled'] as const) {
      const places = course[which];
      const none =
        typeof places !== 'object'
          ? -1
          : places.findIndex((place) => !course.butts.some((butt) => isSame(butt, place)));
      if (none >= 0) return [{ path: `${at}.${which}[${none}]`, reason: 'is no butt of this course' }];
    }
    const isOf = (butt: number, some: typeof course.bevelled) =>
      typeof some === 'object' ? some.some((place) => isSame(butt, place)) : some === true;
    const both = course.butts.find((butt) => isOf(butt, course.backed) && isOf(butt, course.bevelled));
    return both === undefined
      ? []
      : [{ path: `${at}.bevelled`, reason: 'names a butt that hangs over a backer: its edges are not cut back' }];
  });
  if (found.length > 0 || breadth - reached <= 1) return found;
  return [{ path: `${path}.courses`, reason: `leave ${formatLength(breadth - reached, unit)} of the face bare` }];
}
