import { CLASS_TRAITS } from '../joints/classTraits';
import type { Coat } from '../method/coat';

/** At what people differ: the kind of work, the coat and its tool. */
export const rateOfCoat = (coat: Pick<Coat, 'class' | 'key' | 'tool'>): string =>
  [CLASS_TRAITS[coat.class].run, coat.key, coat.tool.kind].join('.');
