import { postEntries } from '@/server/postEntries';

/** Takes one entry or many into the log of a house. */
export const POST = postEntries;
