'use client';

import { createContext, type ReactNode, useContext } from 'react';
import type { LengthUnit } from '@/core/measure/unit';

/** The house that a page is about. */
interface PageHouse {
  readonly id: string;
  /** In which lengths are typed. */
  readonly unit: LengthUnit;
  /** Shows the page anew where the server does not. */
  readonly showAnew?: () => void;
}

const HouseContext = createContext<PageHouse | undefined>(undefined);

/** Tells everything below it which house it is in. */
export function HouseProvider({ house, children }: { readonly house: PageHouse; readonly children: ReactNode }) {
  return <HouseContext value={house}>{children}</HouseContext>;
}

/** The house of the page, for whatever sends something to it. */
export function useHouse(): PageHouse {
  const house = useContext(HouseContext);
  if (!house) throw new Error('this stands outside a house');
  return house;
}
