'use client';

import { useLinkStatus } from 'next/link';
import { usePathname, useRouter } from 'next/navigation';
import { PageLink } from '../PageLink';
import { useKey } from '../useKey';
import { STATIONS, type StationFact, type StationPath } from './stations';

/** The strip of stations, each with one live fact: the state of the house at a glance. Keys 1–9 open them. */
export function JobLine({
  house,
  facts,
}: {
  readonly house: string;
  readonly facts: Readonly<Record<StationPath, StationFact>>;
}) {
  const router = useRouter();
  const pathname = usePathname();
  const here = pathname.split('/')[3] ?? '';
  useKey('123456789', (key) => {
    const station = STATIONS[Number(key) - 1];
    if (station) router.push(`/h/${house}/${station.path}`);
  });
  return (
    <nav
      aria-label="Stations of the job"
      className="no-print overflow-x-auto border-b border-base-300 bg-base-200 max-md:hidden"
    >
      <ol className="flex min-w-max px-2 lg:min-w-0 lg:px-4">
        {STATIONS.map(({ path, name }, index) => {
          const current = here === path;
          const fact = facts[path];
          return (
            <li key={path} className="lg:flex-1">
              <PageLink
                href={`/h/${house}/${path}`}
                aria-current={current ? 'page' : undefined}
                className={`block min-h-14 rounded-t-xl border-t-4 px-3 py-1.5 hover:bg-base-100 ${current ? 'border-secondary bg-base-100' : 'border-transparent'}`}
              >
                <span className="narrow flex gap-1.5 whitespace-nowrap font-semibold">
                  <span aria-hidden="true" className="text-muted">
                    {index + 1}
                  </span>
                  {name}
                  <Opening />
                </span>
                <span
                  className={`narrow block whitespace-nowrap text-sm ${fact.urgent ? 'font-semibold text-error' : 'text-muted'}`}
                >
                  {fact.text}
                </span>
              </PageLink>
            </li>
          );
        })}
      </ol>
    </nav>
  );
}

/** A station on its way, while its page is made. */
function Opening() {
  const { pending } = useLinkStatus();
  return pending ? <span className="loading loading-dots loading-xs" role="status" aria-label="opening" /> : null;
}
