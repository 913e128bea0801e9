/** Secrets that open something for one person: the address of their calendar, and the key of their laser measure. */
export const SECRET_KINDS = ['calendar', 'laser'] as const;
export type SecretKind = (typeof SECRET_KINDS)[number];
