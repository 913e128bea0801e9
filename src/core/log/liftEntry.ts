/** The version of entries that is written. */
export const ENTRY_VERSION = 3;

const isObject = (value: unknown): value is Readonly<Record<string, unknown>> =>
  typeof value === 'object' && value !== null && !Array.isArray(value);

type Payload = Readonly<Record<string, unknown>>;

/** What entries of one version said otherwise than those of the next, by version. */
const LIFTS: Readonly<Record<number, (kind: unknown, payload: Payload) => unknown>> = {
  /** A coat had a `share`, which was all, half or some of its class, and nobody found out on which pieces. */
  1: (kind, payload) => {
    if (kind !== 'coat' || !isObject(payload.share)) return payload;
    const { share, ...rest } = payload;
    return { ...rest, part: share.of === 'all' ? 1 : share.of === 'half' ? 0.5 : share.part };
  },
  /** A whole pass was handed to one person, or to nobody any more. */
  2: (kind, payload) => {
    if (kind !== 'assigned' || !('pass' in payload)) return payload;
    const { pass, person, ...rest } = payload;
    return { ...rest, work: pass, people: person === null || person === undefined ? [] : [person] };
  },
};

/**
 * What an entry of a former version says, as one of the present would.
 *
 * @example liftPayload('coat', { class: 'flat', key: 'tape', share: { of: 'half' } })  // { class: 'flat', key: 'tape', part: 0.5 }
 */
export function liftPayload(kind: unknown, payload: unknown, version = 1): unknown {
  let lifted = payload;
  for (let from = version; from < ENTRY_VERSION; from += 1)
    if (isObject(lifted)) lifted = LIFTS[from]?.(kind, lifted) ?? lifted;
  return lifted;
}

/** An entry that is sent as the present version says it, without its version; what is of no known version stays as it is. */
export function liftEntry(entry: unknown): unknown {
  if (!isObject(entry)) return entry;
  const { version = 1, ...rest } = entry;
  if (typeof version !== 'number' || !Number.isInteger(version) || version < 1 || version > ENTRY_VERSION) return entry;
  return version === ENTRY_VERSION ? rest : { ...rest, payload: liftPayload(rest.kind, rest.payload, version) };
}
