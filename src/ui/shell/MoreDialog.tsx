'use client';

import { isAwayPath } from '@/client/away/stations';
import { Dialog } from '../Dialog';
import { PageLink } from '../PageLink';
import { STATIONS, type StationFact, type StationPath } from './stations';

const LISTS = [
  { path: 'my-day', name: 'My day' },
  { path: 'walk', name: 'Morning walk' },
  { path: 'guide', name: 'Field guide' },
] as const;

/** Lists all pages of a house, on a phone. */
export function MoreDialog({
  house,
  facts,
  here,
  away,
  close,
}: {
  readonly house: string;
  readonly facts: Readonly<Record<StationPath, StationFact>> | undefined;
  readonly here: string;
  readonly away: boolean;
  readonly close: () => void;
}) {
  const Link = away ? 'a' : PageLink;
  const pages = [...LISTS, ...STATIONS].map((page) => ({ ...page, href: `/h/${house}/${page.path}` }));
  return (
    <Dialog title="All pages" close={close} className="gloves">
      <ul className="grid grid-cols-2 gap-2">
        {pages
          .filter(({ href }) => !away || isAwayPath(href))
          .map(({ path, name, href }) => {
            const fact = facts && path in facts ? facts[path as StationPath] : undefined;
            return (
              <li key={path}>
                <Link
                  href={href}
                  aria-current={here === path ? 'page' : undefined}
                  onClick={close}
                  className="block min-h-14 rounded-lg border border-base-300 px-3 py-2 font-semibold aria-[current]:border-secondary"
                >
                  {name}
                  {fact && (
                    <span className={`block text-sm font-normal ${fact.urgent ? 'text-error' : 'text-muted'}`}>
                      {fact.text}
                    </span>
                  )}
                </Link>
              </li>
            );
          })}
      </ul>
      {away && <p className="text-muted">The other pages need a connection.</p>}
      <div className="modal-action">
        <button type="button" className="btn" onClick={close}>
          Close
        </button>
      </div>
    </Dialog>
  );
}
