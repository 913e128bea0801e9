/** The version of entries that is written. */
export const ENTRY_VERSION = 2;

const isObject = (value: unknown): value is Readonly<Record<string, unknown>> =>
  typeof value === 'object' && value !== null && !Array.isArray(value);

/**
 * What an entry of the first version says, as one of the second would: a coat had a `share`, which was all, half or some of its
 * class, and nobody found out on which pieces.
 *
 * @example liftPayload('coat', { class: 'flat', key: 'tape', share: { of: 'half' } })  // { class: 'flat', key: 'tape', part: 0.5 }
 */
export function liftPayload(kind: unknown, payload: unknown): unknown {
  if (kind !== 'coat' || !isObject(payload) || !isObject(payload.share)) return payload;
  const { share, ...rest } = payload;
  return { ...rest, part: share.of === 'all' ? 1 : share.of === 'half' ? 0.5 : share.part };
}

/** An entry that is sent as the present version says it, without its version; what is of no known version stays as it is. */
export function liftEntry(entry: unknown): unknown {
  if (!isObject(entry)) return entry;
  const { version = 1, ...rest } = entry;
  if (version !== 1 && version !== ENTRY_VERSION) return entry;
  return version === 1 ? { ...rest, payload: liftPayload(rest.kind, rest.payload) } : rest;
}
