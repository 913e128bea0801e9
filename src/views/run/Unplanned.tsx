import type { HousePlan } from '@/core/plan/planHouse';
import type { PlanInput } from '@/core/plan/planInput';
import { lateBy, roomEnds } from '@/core/plan/roomEnd';
import { itemWords, LEFT_OUT } from './planWords';

/** What is in no plan and why, and the rooms that come last because they are held. */
export function Unplanned({ plan, input }: { readonly plan: HousePlan; readonly input: PlanInput }) {
  const names = plan.last.flatMap((id) => input.rooms.find((room) => room.id === id)?.name ?? []);
  const ends = roomEnds({ plan, input });
  const late = input.rooms.flatMap((room) => {
    const end = ends.get(room.id);
    return end && lateBy(room, end) > 0 ? [room.name] : [];
  });
  const partly = input.rooms.filter(({ heldFaces = 0 }) => heldFaces > 0);
  // What nobody can do stands above the plan, see `NobodyCan`.
  const leftOut = plan.leftOut.filter(({ why }) => why !== 'nobody');
  if (leftOut.length + names.length + late.length + partly.length === 0) return null;
  return (
    <section className="sheet space-y-2 p-4" aria-label="Scheduling problems">
      {late.length > 0 && (
        <p>
          <strong>After the painters’ date:</strong> {late.join(', ')}
        </p>
      )}
      {names.length > 0 && (
        <p>
          <strong>Planned last (on hold with no end date):</strong> {names.join(', ')}
        </p>
      )}
      {partly.length > 0 && (
        <p>
          <strong>Without the faces that wait for the hanger:</strong>{' '}
          {partly.map(({ name, heldFaces = 0 }) => `${name} (${heldFaces})`).join(', ')}
        </p>
      )}
      {leftOut.length > 0 && (
        <details>
          <summary>
            <strong>{leftOut.length} in no plan</strong>
          </summary>
          <ul className="mt-1 text-sm">
            {leftOut.map(({ item, why }) => (
              <li key={item}>
                {itemWords(
                  input.items.find(({ id }) => id === item),
                  input,
                )}
                : {LEFT_OUT[why]}
              </li>
            ))}
          </ul>
        </details>
      )}
    </section>
  );
}
