import type { LengthUnit } from '@/core/measure/unit';
import { roughLength } from '@/words/lengthWords';
import { mudVolumeWords } from '@/words/mudWords';
import { widthWords } from '@/words/sectionWords';
import { CLASS_NAMES } from '@/words/stateWords';
import type { SingleJoint } from './singleJoints';

/** Joints that get an extra coat of their own after a knife check. */
export function SingleJoints({ joints, unit }: { readonly joints: readonly SingleJoint[]; readonly unit: LengthUnit }) {
  if (joints.length === 0) return null;
  return (
    <div className="border-t border-base-300 py-3">
      <h3 className="font-semibold">Single joints, by knife check</h3>
      <ul className="text-sm">
        {joints.map(({ id, room, class: kind, length, width, litres }) => (
          <li key={`${room.id} ${id}`}>
            {room.name}: {roughLength(length, unit)} of {CLASS_NAMES[kind].toLowerCase()}, extra coat{' '}
            {widthWords(width, unit)} over all, {mudVolumeWords(litres, unit)}
          </li>
        ))}
      </ul>
    </div>
  );
}
