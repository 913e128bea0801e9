import type { MethodChoices } from './methodSchema';

/** A room that is finished in a way of its own, or, without one, as the house. */
export function withMethod<Own extends { readonly method?: MethodChoices | undefined }>(
  room: Own,
  method: MethodChoices | null,
): Omit<Own, 'method'> & { readonly method?: MethodChoices } {
  const { method: _before, ...others } = room;
  return method ? { ...others, method } : others;
}
