import type { Coat } from '../method/coat';
import { runGroupOf } from '../method/passOrder';

/** At what people differ: the kind of work, the coat and its tool. */
export const rateOfCoat = (coat: Pick<Coat, 'class' | 'key' | 'tool'>): string =>
  [runGroupOf(coat.class), coat.key, coat.tool.kind].join('.');
