'use client';

import dynamic from 'next/dynamic';

/** The chart comes after the page. */
export const LazyAirChart = dynamic(() => import('./AirChart').then(({ AirChart }) => AirChart), {
  ssr: false,
  loading: () => <div className="h-72" />,
});
