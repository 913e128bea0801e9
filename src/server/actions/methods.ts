'use server';

import { revalidatePath } from 'next/cache';
import { z } from 'zod';
import { ASSUMED_AIR } from '../../core/drying/air';
import { conflictsIn, newlyForbidden } from '../../core/estimate/conflictsIn';
import { granted, refused } from '../../core/house/answer';
import { choicesSchema, type MethodChoices, methodSchema } from '../../core/house/methodSchema';
import type { HouseHead } from '../../core/house/schema';
import { withMethod } from '../../core/house/withMethod';
import { saveHouseHead, saveRoomMethod as saveStoredMethod } from '../../db/houses';
import { dropMethod as dropStored, keepMethod as keepStored } from '../../db/methods';
import { action } from '../action';
import { loadSite } from '../loadSite';

const house = z.uuid('must be a house');
const STALE = 'Somebody changed this in the meantime. Reload to see it, then choose again.';

/** How the house is finished. What contradicts itself so that it cannot be kept is refused with the reason. */
export const saveMethod = action(
  z.strictObject({ house, version: z.int(), method: methodSchema }),
  'lead',
  async (input) => {
    const why = await whyForbidden(input.house, { method: input.method });
    if (why) return refused('invalid', `Not kept: ${why}.`);
    const saved = await saveHouseHead(input.house, input.version, (head) => ({ ...head, method: input.method }));
    if (!saved) return refused('stale', STALE);
    revalidatePath(`/h/${input.house}`, 'layout');
    return granted({ version: input.version + 1 });
  },
);

/** How one room is finished; null goes by the house again. */
export const saveRoomMethod = action(
  z.strictObject({ house, room: z.string().min(1).max(60), version: z.int(), method: choicesSchema.nullable() }),
  'lead',
  async (input) => {
    const why = await whyForbidden(input.house, { room: input.room, choices: input.method });
    if (why) return refused('invalid', `Not kept: ${why}.`);
    const saved = await saveStoredMethod(input.house, input.version, input.room, input.method);
    if (saved.kind === 'gone') return refused('notFound', 'This room is gone.');
    if (saved.kind === 'stale') return refused('stale', STALE);
    revalidatePath(`/h/${input.house}`, 'layout');
    return granted({ version: saved.version });
  },
);

/** Keeps a method under a name, to start other houses from. */
export const keepMethod = action(
  z.strictObject({
    name: z.string().trim().min(1, 'needs a name').max(60, 'must be at most 60 characters'),
    unit: z.enum(['in', 'mm']),
    choices: choicesSchema,
  }),
  'lead',
  async (input, person) => {
    await keepStored(input.name, input.unit, input.choices, person.id);
    return granted(null);
  },
);

export const dropMethod = action(z.strictObject({ id: z.uuid('must be a method') }), 'lead', async ({ id }) =>
  (await dropStored(id)) ? granted(null) : refused('notFound', 'This method is gone already.'),
);

type Change =
  | { readonly method: HouseHead['method'] }
  | { readonly room: string; readonly choices: MethodChoices | null };

/** Why a change cannot be kept. */
async function whyForbidden(id: string, change: Change): Promise<string | undefined> {
  const { site, inside: air = ASSUMED_AIR } = await loadSite(id);
  const before = conflictsIn(site.house, site.rooms, air);
  const after =
    'method' in change
      ? conflictsIn({ ...site.house, method: change.method }, site.rooms, air)
      : conflictsIn(
          site.house,
          site.rooms.map(({ room, tally }) => ({
            room: room.id === change.room ? withMethod(room, change.choices) : room,
            tally,
          })),
          air,
        );
  return newlyForbidden(before, after)?.why;
}
