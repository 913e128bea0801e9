import { BookOpen, ClipboardList, Footprints, House, LayoutGrid, Menu } from 'lucide-react';
import type { ReactNode } from 'react';

/** The icons of the bar on a phone. Drawn where the page is made, so that no page loads them as a script. */
export const BAR_ICONS = {
  house: <House className="size-5" aria-hidden="true" />,
  myDay: <ClipboardList className="size-5" aria-hidden="true" />,
  board: <LayoutGrid className="size-5" aria-hidden="true" />,
  walk: <Footprints className="size-5" aria-hidden="true" />,
  guide: <BookOpen className="size-5" aria-hidden="true" />,
  more: <Menu className="size-5" aria-hidden="true" />,
} as const satisfies Readonly<Record<string, ReactNode>>;
