import type { Coat, CoatedClass, CoatKey } from './coat';

/**
 * The coat that an entry names among those of a room or a class: that of its class, key and side, else of its class and key (what was
 * logged before the method split it into sides), else none.
 */
export const coatNamed = <Own extends Pick<Coat, 'class' | 'key' | 'side'>>(
  coats: readonly Own[],
  {
    class: kind,
    key,
    side,
  }: { readonly class: CoatedClass; readonly key: CoatKey; readonly side?: Coat['side'] | undefined },
): Own | undefined =>
  coats.find((own) => own.class === kind && own.key === key && own.side === side) ??
  coats.find((own) => own.class === kind && own.key === key);
