import { anyPeople as isAnybodyThere } from '../db/people';

/** Whether there is any account yet: all that is told to who is not signed in. */
export const anyPeople = (): Promise<boolean> => isAnybodyThere();
