'use client';

import { usePathname } from 'next/navigation';
import { lazy, type ReactNode, Suspense, useState } from 'react';
import { Opening } from '../Opening';
import { PageLink } from '../PageLink';
import type { StationFact, StationPath } from './stations';

// What is opened by a press comes when it is.
const MoreDialog = lazy(async () => ({ default: (await import('./MoreDialog')).MoreDialog }));

const TABS = {
  house: { path: '', name: 'House' },
  myDay: { path: 'my-day', name: 'My day' },
  board: { path: 'board', name: 'Board' },
  walk: { path: 'walk', name: 'Walk' },
  guide: { path: 'guide', name: 'Guide' },
} as const;
const TABS_OF = {
  lead: ['house', 'board', 'walk', 'guide'],
  finisher: ['myDay', 'board', 'walk', 'guide'],
  viewer: ['house', 'board', 'guide'],
} as const satisfies Record<string, readonly (keyof typeof TABS)[]>;

/** Shows the bar within a thumb's reach on a phone, online and offline: the pages of the day, and all others behind *More*. */
export function BottomBar({
  house,
  role,
  facts,
  away,
  icons,
}: {
  readonly house: string;
  readonly role: keyof typeof TABS_OF;
  /** The live fact of each station; unknown without a server. */
  readonly facts?: Readonly<Record<StationPath, StationFact>>;
  /** Where the device shows pages by itself: which one is shown. Each is asked for anew. */
  readonly away?: { readonly page: string };
  /** See `BAR_ICONS`. */
  readonly icons: Readonly<Record<keyof typeof TABS | 'more', ReactNode>>;
}) {
  const path = usePathname();
  const here = away?.page ?? path.split('/')[3] ?? '';
  const [open, setOpen] = useState(false);
  const Link = away ? 'a' : PageLink;
  const tabs = TABS_OF[role].map((tab) => ({ ...TABS[tab], icon: icons[tab] }));
  const look = (current: boolean) =>
    `flex min-h-14 flex-col items-center justify-center gap-0.5 border-t-4 text-sm ${current ? 'border-secondary bg-base-100 font-semibold' : 'border-transparent'}`;
  return (
    <nav
      aria-label="Main"
      className="no-print fixed inset-x-0 bottom-0 z-20 border-t border-base-300 bg-base-200 md:hidden"
    >
      <ul className="grid grid-flow-col auto-cols-fr">
        {tabs.map(({ path: page, name, icon }) => (
          <li key={page}>
            <Link
              href={`/h/${house}/${page}`}
              aria-current={here === page ? 'page' : undefined}
              className={look(here === page)}
            >
              {icon}
              {name}
            </Link>
          </li>
        ))}
        <li>
          <button
            type="button"
            className={`w-full ${look(tabs.every((tab) => tab.path !== here))}`}
            aria-haspopup="dialog"
            onClick={() => setOpen(true)}
          >
            {icons.more}
            More
          </button>
        </li>
      </ul>
      {open && (
        <Suspense fallback={<Opening />}>
          <MoreDialog house={house} facts={facts} here={here} away={away !== undefined} close={() => setOpen(false)} />
        </Suspense>
      )}
    </nav>
  );
}
