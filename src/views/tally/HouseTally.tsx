'use client';

import { memo, useState } from 'react';
import { useHouse } from '@/client/HouseContext';
import type { HouseHead } from '@/core/house/schema';
import type { JointClass } from '@/core/joints/joint';
import type { Tally } from '@/core/joints/tally';
import type { Room } from '@/core/room/schema';
import { AsDrawing } from './AsFile';
import { TallyTable } from './TallyTable';

/** All joints of one floor. */
export interface FloorTally {
  readonly floor: string;
  readonly rooms: number;
  readonly tally: Tally;
}

/** The tally of the house, or of one of its floors. */
export const HouseTally = memo(function HouseTally({
  total,
  floors,
  house: head,
  rooms,
  ...light
}: {
  readonly total: Tally;
  readonly floors: readonly FloorTally[];
  readonly house: HouseHead;
  readonly rooms: readonly Room[];
  readonly lit: JointClass | undefined;
  readonly only: JointClass | undefined;
  readonly onLight: (kind: JointClass | undefined) => void;
  readonly onOnly: (kind: JointClass | undefined) => void;
}) {
  const { id: house } = useHouse();
  const [asked, ask] = useState('');
  const floor = floors.find((candidate) => candidate.floor === asked);
  return (
    <div className="space-y-2">
      {floors.length > 1 && (
        <label className="flex items-center gap-2 text-sm print:hidden">
          Count
          <select className="select select-sm" value={floor?.floor ?? ''} onChange={({ target }) => ask(target.value)}>
            <option value="">the whole house</option>
            {floors.map(({ floor: name, rooms }) => (
              <option key={name} value={name}>
                {name} ({rooms})
              </option>
            ))}
          </select>
        </label>
      )}
      <TallyTable title={floor?.floor ?? 'The whole house'} tally={floor?.tally ?? total} unit={head.unit} {...light} />
      <p className="flex flex-wrap gap-2 print:hidden">
        <a className="btn btn-sm" href={`/h/${house}/csv?of=rooms`}>
          Rooms as a table
        </a>
        <a className="btn btn-sm" href={`/h/${house}/csv?of=pieces`}>
          Pieces as a table
        </a>
        <AsDrawing house={head} rooms={rooms} name={head.name} words="Rooms as DXF" />
      </p>
    </div>
  );
});
