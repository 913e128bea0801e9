import type { ReactNode } from 'react';
import { HouseProvider } from '@/client/HouseContext';
import type { LengthUnit } from '@/core/measure/unit';

/** What stands around every page of a house; everything on it knows which house it is in. */
export function HouseFrame({
  house,
  unit,
  children,
}: {
  readonly house: string;
  readonly unit: LengthUnit;
  readonly children: ReactNode;
}) {
  return (
    <HouseProvider house={{ id: house, unit }}>
      <div className="flex min-h-dvh flex-col max-md:pb-16">{children}</div>
    </HouseProvider>
  );
}
