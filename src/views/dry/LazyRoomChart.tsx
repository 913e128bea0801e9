'use client';

import dynamic from 'next/dynamic';

/** The chart comes after the page: the times, which matter more, are read meanwhile. */
export const LazyRoomChart = dynamic(() => import('./RoomChart').then(({ RoomChart }) => RoomChart), {
  ssr: false,
  loading: () => <div className="h-72" />,
});
