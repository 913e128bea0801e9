import type { Metadata } from 'next';
import { notFound } from 'next/navigation';
import { addTallies, jointLength } from '@/core/joints/tally';
import { formatQuickLine } from '@/core/quickline/formatQuickLine';
import type { RoomSnapshot } from '@/core/snapshot/houseSnapshot';
import { mayAct } from '@/server/mayAct';
import { visitHouse } from '@/server/visit';
import { GlyphParts } from '@/ui/section/GlyphParts';
import { sectionsOf } from '@/ui/section/sectionsOf';
import { TallyView } from '@/views/tally/TallyView';
import { faceNames, listFaces } from '@/words/faceWords';

export const metadata: Metadata = { title: 'Tally' };

export default async function TallyPage({
  params,
  searchParams,
}: {
  readonly params: Promise<{ house: string }>;
  readonly searchParams: Promise<Record<string, string | string[] | undefined>>;
}) {
  const { house } = await params;
  const { room: asked, new: fresh, removed } = await searchParams;
  const { person, snapshot, roomVersions, version, now } = await visitHouse(house);
  const rooms = snapshot.rooms.map(({ room, tally }) => ({
    id: room.id,
    name: room.name,
    floor: room.floor,
    length: jointLength(tally),
    room,
    version: roomVersions[room.id] ?? 1,
  }));
  const floors = [...new Set(rooms.map(({ floor }) => floor))].map((floor) => {
    const onFloor = snapshot.rooms.filter(({ room }) => room.floor === floor);
    return { floor, rooms: onFloor.length, tally: addTallies(onFloor.map(({ tally }) => tally)) };
  });
  if (asked !== undefined && !rooms.some(({ id }) => id === asked)) notFound();
  const opened = fresh !== undefined ? undefined : typeof asked === 'string' ? asked : rooms[0]?.id;
  const standing = snapshot.rooms.find(({ room }) => room.id === opened);
  const openedRoom = rooms.find(({ id }) => id === opened)?.room;
  return (
    <>
      <GlyphParts sections={sectionsOf(snapshot)} />
      <TallyView
        houseVersion={version}
        house={snapshot.house}
        rooms={rooms}
        total={snapshot.tally}
        floors={floors}
        opened={opened}
        openedLine={openedRoom ? formatQuickLine(openedRoom, snapshot.house.unit) : ''}
        me={person.id}
        removed={typeof removed === 'string' ? removed : undefined}
        mayEdit={mayAct(person, 'lead')}
        boards={standing && boardsOf(standing)}
        now={now}
      />
    </>
  );
}

/** Returns the faces of a room that has coats, and those whose joints moved under them. */
function boardsOf({ faces, state: { applied, movedFaces } }: RoomSnapshot) {
  if (applied.length === 0) return undefined;
  return { faces: [...faceNames(faces)], moved: movedFaces, names: listFaces(movedFaces, faces) };
}
