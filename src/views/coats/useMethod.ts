'use client';

import { useRouter } from 'next/navigation';
import { useMemo, useRef, useState } from 'react';
import { useHouse } from '@/client/HouseContext';
import { SERVER_LOST, sendCommand } from '@/client/sendCommand';
import { sendInOrder } from '@/client/sendInOrder';
import type { Answer } from '@/contract/answer';
import type { Change } from '@/contract/change';
import type { Air } from '@/core/air/air';
import type { Conflict } from '@/core/estimate/conflict';
import { conflictsIn, newlyForbidden } from '@/core/estimate/conflictsIn';
import type { MethodPatch } from '@/core/estimate/methodPatch';
import { patched } from '@/core/estimate/scope';
import type { HouseHead } from '@/core/house/schema';
import type { Tally } from '@/core/joints/tally';
import type { MethodHouse } from '@/core/method/resolveMethod';
import type { MethodChoices } from '@/core/room/methodSchema';
import type { Room } from '@/core/room/schema';
import { withMethod } from '@/core/room/withMethod';

export interface MethodRoom {
  readonly room: Pick<Room, 'id' | 'name' | 'finish' | 'method'>;
  readonly version: number;
  readonly tally: Tally;
}

type Send = (version: number, change: Change) => Promise<Answer<{ readonly version: number }>>;

/** A change that is made on the page and perhaps kept already, until the page shows it by itself. */
interface Edit<Value> {
  readonly value: Value;
  readonly keptAs: number | undefined;
}
interface Edits {
  readonly house: Edit<HouseHead['method']> | undefined;
  readonly rooms: Readonly<Record<string, Edit<MethodChoices | null>>>;
}

/**
 * The method as it is drafted: every change shows at once and is kept at once, one after the other, unless it contradicts
 * itself so that it cannot be; then it waits for the mend.
 */
export function useMethod(version: number, stored: MethodHouse, storedRooms: readonly MethodRoom[], air: Air) {
  const { id: houseId } = useHouse();
  const router = useRouter();
  const [edits, setEdits] = useState<Edits>({ house: undefined, rooms: {} });
  const [message, setMessage] = useState<string>();
  const [lost, setLost] = useState(false);
  const versions = useRef<Record<string, number>>({});
  const standing = <Value>(edit: Edit<Value> | undefined, shown: number) =>
    edit && (edit.keptAs === undefined || edit.keptAs > shown) ? edit : undefined;
  const houseEdit = standing(edits.house, version);
  const house = useMemo(() => (houseEdit ? { ...stored, method: houseEdit.value } : stored), [houseEdit, stored]);
  const rooms = useMemo(
    () =>
      storedRooms.map((taken) => {
        const edit = edits.rooms[taken.room.id];
        if (!edit || (edit.keptAs !== undefined && edit.keptAs <= taken.version)) return taken;
        return { ...taken, room: withMethod(taken.room, edit.value) };
      }),
    [storedRooms, edits.rooms],
  );
  const before = useMemo(() => conflictsIn(stored, storedRooms, air), [stored, storedRooms, air]);
  const isEdited = houseEdit !== undefined || rooms.some((room, index) => room !== storedRooms[index]);
  const conflicts = useMemo(
    () => (isEdited ? conflictsIn(house, rooms, air) : before),
    [isEdited, house, rooms, air, before],
  );

  /** Sends one change after the other; what is refused falls back to what is stored, what was lost on the way stays. */
  const keep = (key: string, shown: number, send: Send, refused: () => void, done: (version: number) => void) => {
    setMessage(undefined);
    setLost(false);
    const sent = sendInOrder(`method of ${houseId} ${key}`, (change) =>
      send(Math.max(shown, versions.current[key] ?? 0), change),
    );
    void sent.then(
      (answer) => {
        if (!answer.ok) {
          setMessage(answer.message);
          return refused();
        }
        versions.current[key] = answer.value.version;
        done(answer.value.version);
        router.refresh();
      },
      () => {
        setMessage(SERVER_LOST);
        setLost(true);
      },
    );
  };
  const mayKeep = (next: readonly Conflict[]) => newlyForbidden(before, next) === undefined;
  const setHouse = (method: HouseHead['method']) => {
    const edit = { value: method, keptAs: undefined };
    setEdits((now) => ({ ...now, house: edit }));
    if (!mayKeep(conflictsIn({ ...house, method }, rooms, air))) return;
    keep(
      '',
      version,
      (at, own) => sendCommand('saveMethod', { house: houseId, version: at, change: own, method }),
      () => setEdits((now) => (now.house === edit ? { ...now, house: undefined } : now)),
      (keptAs) => setEdits((now) => (now.house === edit ? { ...now, house: { ...edit, keptAs } } : now)),
    );
  };
  const setRoom = (id: string, method: MethodChoices | null) => {
    const taken = storedRooms.find(({ room }) => room.id === id);
    if (!taken) return;
    const edit = { value: method, keptAs: undefined };
    setEdits((now) => ({ ...now, rooms: { ...now.rooms, [id]: edit } }));
    const changed = rooms.map((own) => (own.room.id === id ? { ...own, room: withMethod(own.room, method) } : own));
    if (!mayKeep(conflictsIn(house, changed, air))) return;
    keep(
      id,
      taken.version,
      (at, own) => sendCommand('saveRoomMethod', { house: houseId, room: id, version: at, change: own, method }),
      () =>
        setEdits((now) => {
          const { [id]: own, ...others } = now.rooms;
          return own === edit ? { ...now, rooms: others } : now;
        }),
      (keptAs) =>
        setEdits((now) =>
          now.rooms[id] === edit ? { ...now, rooms: { ...now.rooms, [id]: { ...edit, keptAs } } } : now,
        ),
    );
  };
  /** Makes a change for the house, or for one room. */
  const change = (room: string | undefined, patch: MethodPatch) => {
    const after = patched({ room, class: undefined }, house, rooms, patch);
    if (room === undefined) setHouse(after.house.method);
    else setRoom(room, after.rooms.find((own) => own.room.id === room)?.room.method ?? null);
  };
  const drafted = houseEdit !== undefined || Object.keys(edits.rooms).length > 0;
  const waiting = drafted && !mayKeep(conflicts);
  const undo = () => {
    setEdits({ house: undefined, rooms: {} });
    setMessage(undefined);
  };
  /** Sends again what the server never got. */
  const again = () => {
    if (houseEdit && houseEdit.keptAs === undefined) setHouse(houseEdit.value);
    for (const [id, edit] of Object.entries(edits.rooms)) if (edit.keptAs === undefined) setRoom(id, edit.value);
  };
  return { house, rooms, conflicts, message, lost, waiting, change, setHouse, setRoom, undo, again };
}
