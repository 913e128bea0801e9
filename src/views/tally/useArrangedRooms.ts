'use client';

import { useRouter } from 'next/navigation';
import { startTransition, useCallback, useOptimistic, useState } from 'react';
import { useHouse } from '@/client/HouseContext';
import { SERVER_LOST, sendCommand } from '@/client/sendCommand';
import { sendInOrder } from '@/client/sendInOrder';
import type { Answer } from '@/contract/answer';
import type { Room } from '@/core/room/schema';
import type { ListedRoom } from './arrange';

/** Shows the rooms of a house in the order and at the places that were just chosen, while the server is asked. */
export function useArrangedRooms<Entry extends ListedRoom & { readonly room: Room }>(rooms: readonly Entry[]) {
  const { id: houseId } = useHouse();
  const router = useRouter();
  const [trouble, setTrouble] = useState<string>();
  const [shownRooms, showRooms] = useOptimistic(rooms);
  /** Shows rooms as they will be while the server is asked, and as they are again when it refuses. */
  const change = useCallback(
    (next: readonly Entry[], sent: Promise<Answer<null>>) =>
      startTransition(async () => {
        showRooms(next);
        try {
          const answer = await sent;
          setTrouble(answer.ok ? undefined : answer.message);
        } catch {
          setTrouble(SERVER_LOST);
        }
        startTransition(() => router.refresh());
      }),
    [showRooms, router],
  );
  // The list of a large house is not drawn again for every character that is typed.
  const arrange = useCallback(
    (next: readonly ListedRoom[]) => {
      const order = next.map(({ id, floor }) => ({ room: id, floor }));
      const arranged = next.flatMap(({ id, floor }) => {
        const room = rooms.find((candidate) => candidate.id === id);
        return room ? [{ ...room, floor }] : [];
      });
      change(
        arranged,
        sendInOrder(`order of ${houseId}`, (own) =>
          sendCommand('arrangeRooms', { house: houseId, order, change: own }),
        ),
      );
    },
    [rooms, houseId, change],
  );
  const place = (id: string, at: [number, number]) =>
    change(
      shownRooms.map((entry) => (entry.id === id ? { ...entry, room: { ...entry.room, at } } : entry)),
      sendInOrder(`place of ${houseId} ${id}`, (own) =>
        sendCommand('placeRoom', { house: houseId, room: id, at, change: own }),
      ),
    );
  return { shownRooms, trouble, arrange, place };
}
