import { PageLink } from '@/ui/PageLink';

const TABS = [
  ['', 'Watch'],
  ['air', 'Air and sensors'],
  ['tags', 'Door tags'],
] as const;

/** The pages of Dry watch. */
export function DryTabs({ houseId, here }: { readonly houseId: string; readonly here: (typeof TABS)[number][0] }) {
  return (
    <nav aria-label="Dry watch" className="no-print flex flex-wrap gap-1.5">
      {TABS.map(([path, name]) => (
        <PageLink
          key={path}
          href={`/h/${houseId}/dry${path && `/${path}`}`}
          aria-current={path === here ? 'page' : undefined}
          className={`btn min-h-11 ${path === here ? 'btn-secondary' : ''}`}
        >
          {name}
        </PageLink>
      ))}
    </nav>
  );
}
