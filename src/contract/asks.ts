/**
 * A question of the server about coats: the same coat was logged while it is wet, is it that one again or the next; or coats cover
 * problems, by id, that must be fixed first.
 */
export type Asks = 'sameCoat' | { readonly fixFirst: readonly string[] };
