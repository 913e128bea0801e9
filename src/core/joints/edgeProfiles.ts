import type { HungFace } from '../hang/hangRoom';
import { TOLERANCE_MM } from '../measure/unit';
import type { Point } from '../measure/vector';
import { edgesOf, type Face, type Hole, inRoom, type SpaceEdge } from '../room/faces/face';
import type { EdgeProfile } from '../room/kinds';
import type { Room } from '../room/schema';
import { type Joint, NO_FACTORY_EDGE } from './joint';
import { trimId } from './jointId';

/**
 * What stands on an outside corner: what was said of this edge by any of its names, else the room's bead, which has to
 * be flexible where the corner is not square.
 */
export function profileOfEdge(beads: Room['beads'], names: readonly string[], square: boolean): EdgeProfile {
  for (const name of names) {
    const said = beads?.edges?.[name];
    if (said) return said;
  }
  const usual = beads?.profile ?? 'square';
  return square || usual !== 'square' ? usual : 'flexible';
}

/** The beads round arched heads with a boarded return: one each, of the arc's length. */
export function archBeads({ face }: HungFace, beads: Room['beads']): readonly Joint[] {
  return face.holes.flatMap(({ arch }): readonly Joint[] => {
    const [first, last] = [arch?.curve[0], arch?.curve.at(-1)];
    if (!arch?.lining || !first || !last) return [];
    const edge = `${face.id}~${arch.lining}`;
    const profile = beads?.edges?.[edge] ?? beads?.edges?.[arch.lining] ?? 'arch';
    if (profile === 'none') return [];
    return [
      {
        ...jointOn(face, edge, profile, arch.length, [first, last]),
        run: 'arch',
        lines: [
          ...linesAlong(face, arch.curve),
          { face: arch.lining, from: [0, 0] as const, to: [arch.length, 0] as const },
        ],
      },
    ];
  });
}

/** L and J trim on edges that meet nothing, where the room asks for it: `w0.o1`, `w0.o1.head`, `w2.top`. */
export function freeEdgeTrims({ face }: HungFace, beads: Room['beads']): readonly Joint[] {
  const asked = Object.entries(beads?.edges ?? {}).filter(
    ([name, profile]) => (profile === 'L' || profile === 'J') && name.startsWith(`${face.id}.`) && !name.includes('~'),
  );
  return asked.flatMap(([name, profile]) => {
    const [, part = '', side] = name.split('.');
    const hole = face.holes.find(({ id }) => id === part);
    const lined = edgesOf(face).flatMap((edge) => {
      const sideOfHole = hole && sideIn(hole, edge);
      const wanted = hole ? sideOfHole && (side === undefined || side === sideOfHole) : sideOfFace(face, edge) === part;
      return wanted ? [edge] : [];
    });
    const straight = lined.filter(
      ({ from, to }) => !hole?.arch || Math.abs(from[0] - to[0]) < TOLERANCE_MM || from[1] === to[1],
    );
    const arched = hole?.arch && lined.length > straight.length ? [hole.arch] : [];
    return [
      ...straight.map(({ from, to }) => ({
        ...jointOn(face, name, profile, Math.hypot(to[0] - from[0], to[1] - from[1]), [from, to]),
        id: trimId(name, from),
        lines: linesAlong(face, [from, to]),
      })),
      ...arched.map((arch) => ({
        ...jointOn(face, name, profile, arch.length, [arch.curve[0] ?? [0, 0], arch.curve.at(-1) ?? [0, 0]]),
        id: `${name}.trim.arch`,
        run: 'arch' as const,
        lines: linesAlong(face, arch.curve),
      })),
    ];
  });
}

function jointOn(
  face: Face,
  edge: string,
  profile: EdgeProfile,
  length: number,
  [from, to]: readonly [Point, Point],
): Joint {
  const isTrim = profile === 'L' || profile === 'J';
  return {
    id: `${edge}.${isTrim ? 'trim' : 'bead'}`,
    edge,
    class: isTrim ? 'trim' : 'bead',
    length,
    run: Math.abs(from[0] - to[0]) <= TOLERANCE_MM && face.kind === 'wall' ? 'upright' : 'level',
    inside: false,
    profile,
    tapedOnly: false,
    lines: [],
    ends: [inRoom(face, from), inRoom(face, to)],
    factoryEdge: NO_FACTORY_EDGE,
  };
}

const linesAlong = (face: Face, points: readonly Point[]) =>
  points.slice(1).map((to, index) => ({ face: face.id, from: points[index] ?? to, to }));

/** The side of an opening that an edge of the wall runs along. */
function sideIn(
  { u0, u1, v0, v1, arch }: Hole,
  { from, to }: SpaceEdge,
): 'left' | 'right' | 'head' | 'sill' | undefined {
  const near = (a: number, b: number) => Math.abs(a - b) <= TOLERANCE_MM;
  const [u, v] = [(from[0] + to[0]) / 2, (from[1] + to[1]) / 2];
  const spring = arch?.curve[0]?.[1] ?? v0;
  if (u < u0 - TOLERANCE_MM || u > u1 + TOLERANCE_MM || v < v0 - TOLERANCE_MM || v > v1 + TOLERANCE_MM)
    return undefined;
  if (near(u, u0) && v >= spring) return 'left';
  if (near(u, u1) && v >= spring) return 'right';
  if (near(v, v1)) return 'sill';
  const onArch = arch?.curve.some(([x, y]) => near(x, from[0]) && near(y, from[1]));
  return near(v, v0) || (onArch && v < spring) ? 'head' : undefined;
}

/** The side of a whole face that an edge bounds; a slope counts as its top. */
function sideOfFace(face: Face, { from, to }: SpaceEdge): 'left' | 'right' | 'top' | 'bottom' | undefined {
  const near = (a: number, b: number) => Math.abs(a - b) <= TOLERANCE_MM;
  if (near(from[0], 0) && near(to[0], 0)) return 'left';
  if (near(from[0], face.width) && near(to[0], face.width)) return 'right';
  if (near(from[1], face.height) && near(to[1], face.height)) return 'bottom';
  return near(from[1], to[1]) && !near(from[1], 0) ? undefined : 'top';
}
