'use client';

import dynamic from 'next/dynamic';

/** The chart comes after the page: the times, which matter more, are read meanwhile. */
export const LazyDryingChart = dynamic(() => import('./DryingChart').then(({ DryingChart }) => DryingChart), {
  ssr: false,
  loading: () => <div className="h-64" />,
});
