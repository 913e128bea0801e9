import { lazy } from 'react';

/** Drawn when it is opened: most days nothing is wrong. A device keeps it with everything else that it needs without a server. */
export const ProblemDialog = lazy(async () => ({ default: (await import('./ProblemDialog')).ProblemDialog }));
