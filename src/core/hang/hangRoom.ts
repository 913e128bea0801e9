import type { Face } from '../house/faces/face';
import type { HangPlan } from '../house/resolveHang';
import { asFound } from './asFound';
import { type Board, type JointPrices, usualJointPrices } from './board';
import { type FaceHanging, hangFace } from './hangFace';

/** A face with the boards on it. */
export interface HungFace {
  readonly face: Face;
  readonly boards: readonly Board[];
}

/** Hangs every face of a room: as it was found, or walls as the plan says, from the top; ceilings the better way unless the plan says which. */
export function hangRoom(
  faces: readonly Face[],
  plan: HangPlan,
  prices: JointPrices = usualJointPrices,
): readonly HungFace[] {
  return faces.map((face) => {
    const found = plan.found[face.id];
    return { face, boards: found ? asFound(face, found, plan) : hangFace(face, plan, hangingOf(face, plan), prices) };
  });
}

function hangingOf(face: Face, plan: HangPlan): FaceHanging {
  switch (face.kind) {
    case 'wall':
    case 'column':
      return { long: [plan.walls === 'across' ? 'u' : 'v'], searchStart: false };
    case 'ceiling':
      return { long: plan.ceiling === 'auto' ? ['u', 'v'] : [plan.ceiling === 'along' ? 'u' : 'v'], searchStart: true };
    case 'soffit':
      return { long: ['u', 'v'], searchStart: false };
    case 'niche':
    case 'return':
      return { long: ['u'], searchStart: false };
  }
}
