'use client';

import { useRouter } from 'next/navigation';
import { useHouse } from '@/client/HouseContext';
import { SelectField } from '@/ui/SelectField';

/** For what the list is: the house, one floor, or one room. */
export function ScopeChoice({
  value,
  options,
}: {
  readonly value: string;
  readonly options: readonly (readonly [value: string, words: string])[];
}) {
  const router = useRouter();
  const { id } = useHouse();
  return (
    <SelectField
      label="For"
      className="w-52"
      value={value}
      options={options}
      onChange={({ target }) =>
        router.push(`/h/${id}/load${target.value === '' ? '' : `?for=${encodeURIComponent(target.value)}`}`)
      }
    />
  );
}
