import type { ReactNode } from 'react';
import { HouseProvider } from '@/client/HouseContext';

/** What stands around every page of a house; everything on it knows which house it is in. */
export function HouseFrame({ house, children }: { readonly house: string; readonly children: ReactNode }) {
  return (
    <HouseProvider house={{ id: house }}>
      <div className="flex min-h-dvh flex-col">{children}</div>
    </HouseProvider>
  );
}
