import type { Company } from '@/core/house/company';

/** The head of a sheet: the company, where it is, its license, and beside it what the sheet is about. */
export function Letterhead({
  company: { name, address, license },
  children,
}: {
  readonly company: Company;
  readonly children: React.ReactNode;
}) {
  return (
    <header className="flex flex-wrap items-start justify-between gap-x-6 gap-y-2 border-b-2 border-secondary pb-3">
      <div className="min-w-0">{children}</div>
      <address className="text-right text-sm not-italic max-sm:text-left">
        <b className="block text-base font-semibold">{name}</b>
        {address && <span className="block">{address}</span>}
        {license && <span className="block">{license}</span>}
      </address>
    </header>
  );
}
