import type { Clash } from '../core/log/clash';

/**
 * A question of the server about coats: the same coat was logged while it is wet, is it that one again or the next; coats cover
 * problems, by id, that must be fixed first; or somebody else logged the same coats.
 */
export type Asks = 'sameCoat' | { readonly fixFirst: readonly string[] } | { readonly clashes: readonly Clash[] };
