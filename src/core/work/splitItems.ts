import { BLOCKS, type Block, isHalf, workOn } from './block';
import type { After, WorkItem, WorkKind } from './workItem';

/** What meets nothing of another block: seams and screws lie on one face. */
const ON_ONE_FACE: readonly WorkKind[] = ['butt', 'flat', 'fasteners'];

/**
 * Items with some of them in two: what lies on the walls and what on the ceiling, each to be handed out by itself. What waits for
 * one of them waits for both halves, but for what lies on the same faces, or on the same joints, as the half.
 *
 * @param ids of those that are split; what has no `blocks` stays whole
 * @example splitItems(items, new Set(['hall/fill.flat']))  // hall/fill.flat@walls, hall/fill.flat@ceiling
 */
export function splitItems(items: readonly WorkItem[], ids: ReadonlySet<string>): readonly WorkItem[] {
  const split = new Map(items.flatMap((item) => (item.blocks && ids.has(item.id) ? [[item.id, item.kind]] : [])));
  if (split.size === 0) return items;
  const afterOf = ({ after, kind }: WorkItem, block?: Block): readonly After[] =>
    after.flatMap((one) => {
      const before = split.get(one.item);
      if (!before) return [one];
      const own = block && isApart(before, kind) ? [block] : BLOCKS;
      return own.map((half) => ({ ...one, item: workOn(one.item, half) }));
    });
  return items.flatMap((item): readonly WorkItem[] => {
    const { blocks } = item;
    if (!blocks || !split.has(item.id)) return [{ ...item, after: afterOf(item) }];
    return BLOCKS.map((block) => ({
      ...item,
      ...blocks[block],
      id: workOn(item.id, block),
      work: workOn(item.work, block),
      after: afterOf(item, block),
      block,
      blocks: undefined,
    }));
  });
}

/** Of an item in two, which half it is. */
export const halfOf = ({ work, block }: WorkItem): Block | undefined => (isHalf(work) ? block : undefined);

/** What of some items lies in one block; what lies nowhere by itself, as sanding, is none of it. */
export const itemsIn = (items: readonly WorkItem[], block: Block): readonly WorkItem[] =>
  splitItems(items, new Set(items.map(({ id }) => id))).filter((item) => item.block === block);

/** Whether what comes before in one block is all that counts for what comes after in it. */
const isApart = (before: WorkKind, after: WorkKind): boolean =>
  before === after || (ON_ONE_FACE.includes(before) && ON_ONE_FACE.includes(after));
