import type { LengthUnit } from '../../measure/unit';
import type { Problem } from '../problem';
import type { HangChoices, Room } from '../schema';
import { type BOUNDS, MOST_IN_ROOM, whyOutOfBounds } from './bounds';

type Said = readonly [path: string, length: number | undefined, kind: keyof typeof BOUNDS];

/** Whether every number of a room is one that a building has; looked at before anything is worked out from them. */
export function checkBounds(room: Room, unit: LengthUnit): readonly Problem[] {
  const { ceiling, soffits = [], niches = [], openings, zones = [], columns = [], hung = {} } = room;
  const points = (path: string, loop: readonly (readonly [number, number])[]) =>
    loop.flatMap((point, index) => point.map((value): Said => [`${path}[${index}]`, value, 'plan']));
  const found = problemsIn(
    [
      ...(room.at ?? []).map((value): Said => ['at', value, 'plan']),
      ...points('outline', room.outline),
      ...columns.flatMap(({ outline }, index) => points(`columns[${index}].outline`, outline)),
      ['height', room.height, 'height'],
      ...ceilingLengths(ceiling),
      ...soffits.flatMap(({ from, to, depth, drop }, index): readonly Said[] => [
        [`soffits[${index}].from`, from, 'place'],
        [`soffits[${index}].to`, to, 'place'],
        [`soffits[${index}].depth`, depth, 'size'],
        [`soffits[${index}].drop`, drop, 'rise'],
      ]),
      ...niches.flatMap((niche, index): readonly Said[] => [
        [`niches[${index}].at`, niche.at, 'place'],
        [`niches[${index}].bottom`, niche.bottom, 'place'],
        [`niches[${index}].width`, niche.width, 'size'],
        [`niches[${index}].height`, niche.height, 'size'],
        [`niches[${index}].depth`, niche.depth, 'depth'],
      ]),
      ...openings.flatMap((opening, index): readonly Said[] => [
        [`openings[${index}].at`, opening.at, 'place'],
        [`openings[${index}].width`, opening.width, 'size'],
        [`openings[${index}].height`, opening.height, 'size'],
        [`openings[${index}].sill`, opening.sill, 'place'],
        [`openings[${index}].head.arch`, opening.head?.arch, 'place'],
        [`openings[${index}].depth`, opening.edge === 'bead' ? opening.depth : undefined, 'depth'],
      ]),
      ...zones.flatMap(({ from, to, bottom, top }, index): readonly Said[] => [
        [`zones[${index}].from`, from, 'place'],
        [`zones[${index}].to`, to, 'place'],
        [`zones[${index}].bottom`, bottom, 'place'],
        [`zones[${index}].top`, top, 'place'],
      ]),
      ...Object.entries(hung).flatMap(([face, { courses }]) =>
        courses.flatMap(({ breadth, butts, backed, bevelled }, index): readonly Said[] => [
          [`hung.${face}.courses[${index}].breadth`, breadth, 'size'],
          ...butts.map((butt, at): Said => [`hung.${face}.courses[${index}].butts[${at}]`, butt, 'place']),
          ...(typeof backed === 'boolean' ? [] : backed).map(
            (butt, at): Said => [`hung.${face}.courses[${index}].backed[${at}]`, butt, 'place'],
          ),
          ...(typeof bevelled === 'object' ? bevelled : []).map(
            (butt, at): Said => [`hung.${face}.courses[${index}].bevelled[${at}]`, butt, 'place'],
          ),
        ]),
      ),
    ],
    unit,
  );
  if (found.length > 0) return found;
  const compartments = niches.reduce((sum, { shelves }) => sum + shelves + 1, 0);
  if (compartments > MOST_IN_ROOM.niches)
    return [{ path: 'niches', reason: `make ${compartments} boxes, more than ${MOST_IN_ROOM.niches} in one room` }];
  const arches = openings.filter(({ head }) => (head?.arch ?? 0) > 0).length;
  if (arches > MOST_IN_ROOM.arches)
    return [{ path: 'openings', reason: `have ${arches} arches, more than ${MOST_IN_ROOM.arches} in one room` }];
  const corners = columns.reduce((sum, { outline }) => sum + outline.length, 0);
  if (corners > MOST_IN_ROOM.columnCorners)
    return [
      { path: 'columns', reason: `have ${corners} corners, more than ${MOST_IN_ROOM.columnCorners} in one room` },
    ];
  return checkHangBounds(room.hang ?? {}, unit);
}

/** The same for how a room or a house is hung; paths begin with `hang`. */
export function checkHangBounds(hang: HangChoices, unit: LengthUnit): readonly Problem[] {
  return problemsIn(
    [
      ...(hang.boards ?? []).flatMap(({ width, lengths, thickness }, index): readonly Said[] => [
        [`hang.boards[${index}].width`, width, 'boardWidth'],
        ...lengths.map((length, at): Said => [`hang.boards[${index}].lengths[${at}]`, length, 'boardLength']),
        [`hang.boards[${index}].thickness`, thickness, 'boardThickness'],
      ]),
      ['hang.framing', hang.framing, 'framing'],
      ['hang.screws.ceiling', hang.screws?.ceiling, 'screws'],
      ['hang.screws.wall', hang.screws?.wall, 'screws'],
    ],
    unit,
  );
}

function ceilingLengths(ceiling: Room['ceiling']): readonly Said[] {
  switch (ceiling.shape) {
    case 'flat':
    case 'open':
      return [];
    case 'shed':
    case 'gable':
      return [['ceiling.rise', ceiling.rise, 'rise']];
    case 'knee':
      return [
        ['ceiling.knee', ceiling.knee, 'rise'],
        ['ceiling.run', ceiling.run, 'size'],
      ];
    case 'tray':
      return [
        ['ceiling.inset', ceiling.inset, 'size'],
        ['ceiling.rise', ceiling.rise, 'rise'],
      ];
  }
}

const problemsIn = (said: readonly Said[], unit: LengthUnit): readonly Problem[] =>
  said.flatMap(([path, length, kind]) => {
    const reason = length === undefined ? undefined : whyOutOfBounds(length, kind, unit);
    return reason === undefined ? [] : [{ path, reason }];
  });
