import type { Face } from '../room/faces/face';
import { AIMS } from '../room/kinds';
import type { HangPlan } from '../room/resolveHang';
import { asFound } from './asFound';
import { type Board, type JointPrices, usualJointPrices } from './board';
import { type FaceHanging, hangFace } from './hangFace';
import { sheetsFor } from './sheetsFor';

/** A face with the boards on it. */
export interface HungFace {
  readonly face: Face;
  readonly boards: readonly Board[];
}

/**
 * Hangs every face of a room: as it was found, or walls as the plan says, from the top; ceilings the better way unless
 * the plan says which. What sheets and waste come to is known only when off-cuts are used again, so for those aims the
 * room is hung each way and the best is kept.
 */
export function hangRoom(
  faces: readonly Face[],
  plan: HangPlan,
  prices: JointPrices = usualJointPrices,
): readonly HungFace[] {
  if (plan.aim === 'joints') return hangFaces(faces, plan, prices);
  const measure = plan.aim === 'boards' ? sheetCount : sheetArea;
  const ways = AIMS.map((aim) => hangFaces(faces, { ...plan, aim }, prices)).map((hung) => ({
    hung,
    takes: measure(hung),
  }));
  return ways.reduce((best, way) => (way.takes < best.takes ? way : best)).hung;
}

const sheetsOf = (hung: readonly HungFace[], aim: HangPlan['aim']) =>
  sheetsFor(
    hung.flatMap(({ boards }) => boards),
    aim,
  );
const sheetCount = (hung: readonly HungFace[]): number =>
  sheetsOf(hung, 'boards').reduce((sum, { count }) => sum + count, 0);
const sheetArea = (hung: readonly HungFace[]): number =>
  sheetsOf(hung, 'waste').reduce((sum, { width, length, count }) => sum + width * length * count, 0);

function hangFaces(faces: readonly Face[], plan: HangPlan, prices: JointPrices): readonly HungFace[] {
  return faces.map((face) => {
    const found = plan.found[face.id];
    return { face, boards: found ? asFound(face, found, plan) : hangFace(face, plan, hangingOf(face, plan), prices) };
  });
}

function hangingOf(face: Face, plan: HangPlan): FaceHanging {
  switch (face.kind) {
    case 'wall':
    case 'column':
      return { long: [plan.walls === 'across' ? 'u' : 'v'], searchStart: false, byLegs: false };
    case 'ceiling': {
      const long = plan.ceiling === 'auto' ? BOTH_WAYS : ([plan.ceiling === 'along' ? 'u' : 'v'] as const);
      return { long, searchStart: true, byLegs: false };
    }
    case 'soffit':
      return { long: BOTH_WAYS, searchStart: false, byLegs: true };
    case 'niche':
    case 'return':
      return { long: ['u'], searchStart: false, byLegs: false };
  }
}

const BOTH_WAYS = ['u', 'v'] as const;
