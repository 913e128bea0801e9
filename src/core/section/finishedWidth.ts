import type { Method } from '../method/resolveMethod';
import type { MethodClass } from '../room/methodAnswers';
import { judgeSection } from './judgeSection';
import { sectionFor } from './sectionFor';
import { toleranceFor } from './tolerance';

/** How wide a joint is finished by its method, from edge to edge of what is put on; mm, 0 where nothing is. */
export const finishedWidth = (kind: MethodClass, method: Method): number =>
  judgeSection(sectionFor(kind, method), toleranceFor()).width;
