import type { Between, RoomState } from '../log/roomState';
import type { Coat } from '../method/coat';

/** When what lies under a coat was scraped, sanded or wiped for it, by whom and how; undefined while nobody did. */
export function scrapedFor(
  { applied, betweens }: Pick<RoomState, 'applied' | 'betweens'>,
  { class: kind, key }: Pick<Coat, 'class' | 'key'>,
): Between | undefined {
  if (betweens.length === 0) return undefined;
  // What of the coat itself is on does not ask for it again.
  const last = applied.findLastIndex(({ payload }) => payload.class === kind && payload.key !== key);
  return betweens.findLast(({ after, classes }) => after > last && (classes?.includes(kind) ?? true));
}
