import { groupBy } from '../measure/groupBy';
import { betweenBefore } from './pass';
import { ROOM_HOURS } from './usualRates';
import type { After, OfBlock, WorkItem } from './workItem';

/**
 * Items with what is scraped, sanded or wiped before some rounds as work of its own, which the coats of the round wait for.
 *
 * @param ids of that work; what has nothing to scrape is passed over
 * @example scrapeApart(items, new Set(['hall/between.fill']))  // hall/between.fill before hall/fill.flat
 */
export function scrapeApart(items: readonly WorkItem[], ids: ReadonlySet<string>): readonly WorkItem[] {
  if (ids.size === 0) return items;
  const apart = groupBy(
    items.filter((item) => item.between > 0),
    (item) => betweenId(item) ?? '',
  );
  const given = new Set<string>();
  return items.flatMap((item): readonly WorkItem[] => {
    const id = betweenId(item);
    const own = id !== undefined && item.between > 0 && ids.has(id) ? apart.get(id) : undefined;
    if (!own || id === undefined) return [item];
    const coats = { ...withoutBetween(item), after: [...item.after, { item: id, until: 'ended', muds: [] } as const] };
    if (given.has(id)) return [coats];
    given.add(id);
    return [scraping(id, own), coats];
  });
}

/** What can be scraped by itself before the rounds of some items; what is sanded or spotted goes with its coat. */
export const scrapingIn = (items: readonly WorkItem[]): readonly WorkItem[] =>
  scrapeApart(items, new Set(items.flatMap((item) => (item.scrapes ? (betweenId(item) ?? []) : [])))).filter(
    ({ kind }) => kind === 'between',
  );

/** The id of what comes before the round of an item: that of its room, with another work. */
function betweenId({ id, work, pass }: WorkItem): string | undefined {
  const before = betweenBefore(pass);
  return before && `${id.slice(0, id.length - work.length)}${before}`;
}

function scraping(id: string, own: readonly WorkItem[]): WorkItem {
  const [first] = own as readonly [WorkItem, ...WorkItem[]];
  const pass = betweenBefore(first.pass) ?? first.pass;
  const from = own.flatMap((item) => item.from ?? []);
  return {
    ...first,
    id,
    work: pass,
    kind: 'between',
    pass,
    coats: [],
    part: 1,
    hours: own.reduce((sum, { between }) => sum + between, ROOM_HOURS),
    between: 0,
    rate: 'between',
    people: 1,
    skill: 'sand',
    tool: undefined,
    from: from.length > 0 ? Math.max(...from) : undefined,
    after: dryBefore(own),
    run: undefined,
    muds: [],
    block: undefined,
    blocks: undefined,
  };
}

/** What has to be dry before anything is scraped: what has to be before the coats. */
function dryBefore(items: readonly WorkItem[]): readonly After[] {
  const after = groupBy(
    items.flatMap((item) => item.after.filter(({ until }) => until === 'recoat')),
    ({ item }) => item,
  );
  return [...after].map(([item, own]) => ({
    item,
    until: 'recoat',
    muds: [...new Set(own.flatMap(({ muds }) => muds))],
  }));
}

function withoutBetween<Of extends OfBlock & Pick<WorkItem, 'blocks'>>(item: Of): Of {
  const { blocks } = item;
  const less = <One extends OfBlock>(one: One): One => ({ ...one, hours: one.hours - one.between, between: 0 });
  return { ...less(item), blocks: blocks && { walls: less(blocks.walls), ceiling: less(blocks.ceiling) } };
}
