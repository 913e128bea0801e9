import { createHash } from 'node:crypto';

/** What is kept of a secret that somebody else holds: who reads the database cannot use it. */
export const secretHash = (secret: string): string => createHash('sha256').update(secret).digest('base64url');
