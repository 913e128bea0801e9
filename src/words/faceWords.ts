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

/** The body that a small face belongs to: `n0` for `n0.back`; walls and ceilings stand for themselves. */
export const bodyOf = (id: string): string | undefined => /^([snk]\d+)\./.exec(id)?.[1];
