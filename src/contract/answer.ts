import type { Problem } from '../core/room/problem';

/** Why a request was not carried out. */
export type RefusalKind = 'signedOut' | 'notAllowed' | 'invalid' | 'notFound' | 'stale' | 'tooMany';

/** What a request to change something answers; the same for every form. */
export type Answer<Value> = { readonly ok: true; readonly value: Value } | Refused;
export interface Refused {
  readonly ok: false;
  readonly kind: RefusalKind;
  readonly message: string;
  /** Where the input is wrong; paths as in the input. */
  readonly problems: readonly Problem[];
}

export const granted = <Value>(value: Value): Answer<Value> => ({ ok: true, value });
export const refused = (kind: RefusalKind, message: string, problems: readonly Problem[] = []): Refused => ({
  ok: false,
  kind,
  message,
  problems,
});
