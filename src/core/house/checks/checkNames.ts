import { formatLength } from '../../measure/formatLength';
import { boxOf } from '../../measure/polygon';
import { toMm } from '../../measure/unit';
import type { Face } from '../faces/face';
import { facesOf } from '../faces/facesOf';
import type { Problem } from '../problem';
import type { HouseHead, Room } from '../schema';

/** Whether what is said of single faces and edges names faces that this room has, and fits them. */
export function checkNames(room: Room, { unit }: Pick<HouseHead, 'unit'>): readonly Problem[] {
  const edges = Object.keys(room.beads?.edges ?? {});
  const finished = Object.keys(room.finish?.faces ?? {});
  const hung = Object.entries(room.hung ?? {});
  if (edges.length + finished.length + hung.length === 0) return [];
  const faces = new Map(facesOf(room, unit).map((face) => [face.id, face]));
  return [
    ...edges
      .filter((edge) => !edge.split('~').every((part) => namesAnEdge(part, faces)))
      .map((edge) => ({ path: `beads.edges.${edge}`, reason: 'names no edge of this room' })),
    ...finished
      .filter((id) => !faces.has(id))
      .map((id) => ({ path: `finish.faces.${id}`, reason: 'names no face of this room' })),
    ...hung.flatMap(([id, { run, courses }]): readonly Problem[] => {
      const path = `hung.${id}`;
      const face = faces.get(id);
      if (!face) return [{ path, reason: 'names no face of this room' }];
      if (courses.length === 0) return [];
      const box = boxOf(face.loops);
      const breadth = run === 'across' ? box.v1 - box.v0 : box.u1 - box.u0;
      const missing = breadth - courses.reduce((sum, course) => sum + toMm(course.breadth, unit), 0);
      return missing > 1
        ? [{ path: `${path}.courses`, reason: `leave ${formatLength(missing, unit)} of the face bare` }]
        : [];
    }),
  ];
}

/** A face, a side of a face (`w2.top`), an opening (`w0.o1`) or a side of it (`w0.o1.head`). */
function namesAnEdge(name: string, faces: ReadonlyMap<string, Face>): boolean {
  if (faces.has(name)) return true;
  const match = /^(\w+)\.(?:(top|bottom|left|right)|o(\d+)(?:\.(?:head|left|right|sill))?)$/.exec(name);
  const face = faces.get(match?.[1] ?? '');
  if (!match || !face) return false;
  return match[3] === undefined || face.holes.some(({ opening }) => opening === Number(match[3]));
}
