'use client';

import { useRouter } from 'next/navigation';
import { useTransition } from 'react';
import { useHouse } from '@/client/HouseContext';
import { RoomTally, type TallyProps } from './RoomTally';

/** Taking off: an opened room, or a new one as soon as it is asked for: what is typed before its address comes belongs to it. */
export function TallyView(props: TallyProps) {
  const { id: house } = useHouse();
  const router = useRouter();
  const [starts, startTransition] = useTransition();
  const startRoom = () => startTransition(() => router.push(`/h/${house}/tally?new`));
  const isNew = starts || props.opened === undefined;
  return isNew ? (
    <RoomTally key="new" {...props} opened={undefined} openedLine="" boards={undefined} startRoom={startRoom} />
  ) : (
    // Another room starts with a draft of its own.
    <RoomTally key={props.opened} {...props} startRoom={startRoom} />
  );
}
