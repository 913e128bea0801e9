import type { Entry, NewEntry } from '@/core/log/entry';

export const MARIT = '00000000-0000-4000-8000-00000000000a';
export const TOBIN = '00000000-0000-4000-8000-00000000000b';
export const INES = '00000000-0000-4000-8000-00000000000c';

let count = 0;
/** An entry of the room called `room`, recorded after those before it; at an instant in ms, by Tobin where it does not say. */
export function logEntry(
  fields: Pick<Entry, 'kind' | 'payload'> & { at?: number; by?: string; role?: Entry['role']; id?: string },
): Entry {
  count += 1;
  const {
    at = 0,
    by = TOBIN,
    role = 'finisher',
    id = `00000000-0000-4000-8000-${String(count).padStart(12, '0')}`,
    kind,
    payload,
  } = fields;
  const sent = { id, room: kind === 'void' ? null : 'room', at: new Date(at).toISOString(), kind, payload } as NewEntry;
  return { ...sent, seq: count, by, role, recordedAt: new Date(at).toISOString() };
}
