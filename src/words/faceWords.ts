import { listWords } from './coatWords';

/** What a face is called on the page: `w1` is wall 2, `n0.back` niche 1, back. */
export function faceWords(id: string, ceilings = 1): string {
  const wall = /^w(\d+)$/.exec(id);
  if (wall) return `wall ${Number(wall[1]) + 1}`;
  const ceiling = /^c(\d+)$/.exec(id);
  if (ceiling) return ceilings > 1 ? `ceiling ${Number(ceiling[1]) + 1}` : 'ceiling';
  const lining = /^w(\d+)\.o(\d+)\.(\w+)$/.exec(id);
  if (lining) return `opening ${Number(lining[2]) + 1}, ${lining[3]}`;
  const part = /^([snk])(\d+)\.(.+)$/.exec(id);
  if (!part) return id;
  const body = `${{ s: 'soffit', n: 'niche', k: 'column' }[part[1] ?? 's']} ${Number(part[2]) + 1}`;
  const side = /^(?:side)?(\d+)$/.exec(part[3] ?? '');
  return side
    ? `${body}, side ${Number(side[1]) + 1}`
    : `${body}, ${(part[3] ?? '').replace(/^(\d+)\.(.*)/, (_, n: string, name: string) => `box ${Number(n) + 1} ${name}`)}`;
}

interface NamedFace {
  readonly id: string;
  readonly place: string;
}

/** Returns the faces of a room with their names, by id. */
export const faceNames = (faces: readonly NamedFace[]): ReadonlyMap<string, string> => {
  const ceilings = faces.filter(({ place }) => /^c\d+$/.test(place)).length;
  return new Map(faces.map(({ id, place }) => [id, faceWords(place, ceilings)]));
};

/**
 * Returns some faces of a room as one says them.
 *
 * @example listFaces(['w1', 'c0'], faces)  // 'wall 2 and ceiling'
 */
export function listFaces(ids: readonly string[], faces: readonly NamedFace[]): string {
  const names = faceNames(faces);
  return listWords(ids.flatMap((id) => names.get(id) ?? []));
}

/** The body that a small face belongs to: `n0` for `n0.back`; walls and ceilings stand for themselves. */
export const bodyOf = (id: string): string | undefined => /^([snk]\d+)\./.exec(id)?.[1];
