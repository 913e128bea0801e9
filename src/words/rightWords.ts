import type { Right } from '../core/drywatch/wasRight';
import { plural } from './plural';

/** Says how often the clocks agreed with touch checks in a house. */
export const rightWords = ({ touches, plain, learned }: Pick<Right, 'touches' | 'plain' | 'learned'>): string =>
  `Of ${plural(touches, 'coat')} checked by touch in this house, the handbook’s tables got ${plain} right; with what was learned in each room, ${learned}.`;
