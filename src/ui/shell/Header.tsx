import type { ReactNode } from 'react';
import type { LengthUnit } from '@/core/measure/unit';
import { PageLink } from '../PageLink';
import { Sign } from '../Sign';
import { AccountButton } from './AccountButton';
import { KeysButton } from './KeysButton';
import { ThemeButton } from './ThemeButton';
import { UnsentMark } from './UnsentMark';

/** The strip above the job line: the house, the air in it, the time, and who is signed in. */
export function Header({
  house,
  air,
  time,
  person,
  live,
}: {
  readonly house: { readonly id: string; readonly name: string; readonly unit: LengthUnit } | undefined;
  readonly air?: string;
  readonly time?: string;
  readonly person: { readonly id: string; readonly name: string; readonly role: string };
  readonly live?: ReactNode;
}) {
  return (
    <header className="no-print flex items-center gap-x-1 px-3 py-1.5 sm:gap-x-2 sm:px-4 sm:py-2 lg:gap-x-4 lg:px-5">
      <PageLink href="/" className="flex shrink-0 items-center gap-2 whitespace-nowrap" aria-label="Oak Tally, start">
        <Sign className="size-8" />
        <span className="narrow hidden text-xl font-bold sm:inline">Oak Tally</span>
      </PageLink>
      <PageLink
        href="/houses"
        className="btn btn-sm narrow min-w-16 max-w-60 shrink border-base-300 bg-base-200 font-semibold"
      >
        <span className="truncate">{house ? house.name : 'Houses'}</span>
      </PageLink>
      <span className="flex-1" />
      <UnsentMark who={person.id} />
      {live}
      {air && <span className="hidden text-sm whitespace-nowrap lg:inline">{air}</span>}
      {time && <span className="narrow hidden text-sm font-semibold whitespace-nowrap lg:inline">{time}</span>}
      {house && (
        <>
          <PageLink href={`/h/${house.id}/my-day`} className="btn btn-sm btn-ghost hidden shrink-0 md:inline-flex">
            My day
          </PageLink>
          <PageLink href={`/h/${house.id}/guide`} className="btn btn-sm btn-ghost hidden shrink-0 md:inline-flex">
            Field guide
          </PageLink>
        </>
      )}
      <KeysButton unit={house?.unit ?? 'in'} />
      <ThemeButton />
      <AccountButton name={person.name} role={person.role} />
    </header>
  );
}
