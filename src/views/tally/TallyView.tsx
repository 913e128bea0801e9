'use client';

import { useRouter } from 'next/navigation';
import { useEffect, useState, useTransition } from 'react';
import { flushSync } from 'react-dom';
import { useHouse } from '@/client/HouseContext';
import { RoomTally, type TallyProps } from './RoomTally';

/** Taking off: an opened room, or a new one as soon as it is asked for: what is typed before its address comes belongs to it. */
export function TallyView(props: TallyProps) {
  const { id: house } = useHouse();
  const router = useRouter();
  const [starts, setStarts] = useState(false);
  const [isGoing, startTransition] = useTransition();
  useEffect(() => {
    if (!isGoing) setStarts(false);
  }, [isGoing]);
  const startRoom = () => {
    // The line is there before the next key comes.
    flushSync(() => setStarts(true));
    startTransition(() => router.push(`/h/${house}/tally?new`));
  };
  const isNew = starts || props.opened === undefined;
  return isNew ? (
    <RoomTally key="new" {...props} opened={undefined} openedLine="" boards={undefined} startRoom={startRoom} />
  ) : (
    // Another room starts with a draft of its own.
    <RoomTally key={props.opened} {...props} startRoom={startRoom} />
  );
}
