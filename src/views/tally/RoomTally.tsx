'use client';

import { lazy, Suspense, useCallback, useDeferredValue, useLayoutEffect, useMemo, useRef, useState } from 'react';
import type { HouseHead } from '@/core/house/schema';
import type { JointClass } from '@/core/joints/joint';
import { takeOff } from '@/core/joints/takeOff';
import type { Tally } from '@/core/joints/tally';
import { effortOf } from '@/core/room/checks/effortOf';
import type { HungCourses, QuickRoom, Room } from '@/core/room/schema';
import { BoardsQuestion } from '@/ui/entries/BoardsQuestion';
import { Opening } from '@/ui/Opening';
import { PrintButton } from '@/ui/PrintButton';
import { useKey } from '@/ui/useKey';
import { AsDrawing } from './AsFile';
import { floorsOf, type ListedRoom } from './arrange';
import { type FloorTally, HouseTally } from './HouseTally';
import { useLaser } from './laser/useLaser';
import { QuickLine } from './QuickLine';
import { RemovedNotice } from './RemovedNotice';
import { RoomList } from './RoomList';
import { RoomPicture } from './RoomPicture';
import { RoomTools } from './RoomTools';
import { SaveStatus, UnsavedNotice } from './SaveStatus';
import { TallyTable } from './TallyTable';
import { useArrangedRooms } from './useArrangedRooms';
import { useDraft } from './useDraft';
import { useKeep } from './useKeep';
import { useNewRooms } from './useNewRooms';
import { useTypedInto } from './useTypedInto';

// What is opened by a press comes when it is.
const NewBoards = lazy(async () => ({ default: (await import('./NewBoards')).NewBoards }));
const DrawingImport = lazy(async () => ({ default: (await import('./drawing/DrawingImport')).DrawingImport }));
const HouseFileImport = lazy(async () => ({
  default: (await import('./houseFile/HouseFileImport')).HouseFileImport,
}));
const StaleNotice = lazy(async () => ({ default: (await import('./StaleNotice')).StaleNotice }));
const FloorPlan = lazy(async () => ({ default: (await import('./FloorPlan')).FloorPlan }));
const LaserPanel = lazy(async () => ({ default: (await import('./laser/LaserPanel')).LaserPanel }));
const HouseHang = lazy(async () => ({ default: (await import('./HouseHang')).HouseHang }));
const LayoutsPanel = lazy(async () => ({ default: (await import('./LayoutsPanel')).LayoutsPanel }));
const UnsavedRooms = lazy(async () => ({ default: (await import('./UnsavedRooms')).UnsavedRooms }));
const RoomForm = lazy(async () => ({ default: (await import('./RoomForm')).RoomForm }));

export interface TallyProps {
  readonly houseVersion: number;
  readonly house: HouseHead;
  readonly rooms: readonly (ListedRoom & { readonly room: Room; readonly version: number })[];
  readonly total: Tally;
  readonly floors: readonly FloorTally[];
  /** The room to open; undefined starts a new one. */
  readonly opened: string | undefined;
  /** The quick line of that room. */
  readonly openedLine: string;
  /** Who looks at it. */
  readonly me: string;
  /** A room that was just removed and may be brought back. */
  readonly removed: string | undefined;
  readonly mayEdit: boolean;
  /** The boards of the opened room, once a coat is on: its faces, and those whose joints moved under coats. */
  readonly boards:
    | {
        readonly faces: readonly (readonly [id: string, name: string])[];
        readonly moved: readonly string[];
        readonly names: string;
      }
    | undefined;
  readonly now: number;
}

/** Taking off: the quick line (or the form), the room laid flat, its layouts, its place, and its tally. */
export function RoomTally({
  houseVersion,
  house,
  rooms,
  total,
  floors,
  opened,
  openedLine,
  me,
  removed,
  mayEdit,
  boards,
  now,
  startRoom,
}: TallyProps & {
  /** Opens an empty line for a new room. */
  readonly startRoom: () => void;
}) {
  const current = rooms.find(({ id }) => id === opened);
  const draft = useDraft(house, current && { room: current.room, line: openedLine });
  const [lit, setLit] = useState<JointClass>();
  const [only, setOnly] = useState<JointClass>();
  const [asForm, setAsForm] = useState(false);
  const [layouts, setLayouts] = useState(false);
  const [onPlan, setOnPlan] = useState(false);
  const [asking, setAsking] = useState<'drawing' | 'file' | 'boards'>();
  const closeDialog = () => setAsking(undefined);
  const [byLaser, setByLaser] = useState(false);
  const asks = useLaser(house.unit);
  const { shownRooms, trouble, arrange, place } = useArrangedRooms(rooms);
  const input = useRef<HTMLTextAreaElement>(null);
  const newRooms = useNewRooms(me);
  // The room that was saved last stays in the picture until the next one can be read.
  const shown = useDeferredValue(draft.room ?? newRooms.saved?.room);
  const tooLarge = useMemo(
    () => shown !== undefined && effortOf({ ...shown, id: 'draft' }, house) === undefined,
    [shown, house],
  );
  const result = useMemo(
    () => (shown && !tooLarge ? takeOff({ ...shown, id: 'draft' }, house) : undefined),
    [shown, tooLarge, house],
  );
  const asked = useMemo(
    () => (shown && !tooLarge ? { ...shown, id: opened ?? 'new' } : undefined),
    [shown, tooLarge, opened],
  );
  const stored = useMemo(() => rooms.map(({ room }) => room), [rooms]);
  const { keep, keepMine, state } = useKeep({ me, house, rooms: stored, current, draft, newRooms });
  const light = { lit: lit ?? only, only, onLight: setLit, onOnly: setOnly };

  useKey('/n', (key) => {
    if (key === 'n' && opened && mayEdit) startRoom();
    else input.current?.focus();
  });
  useTypedInto(input, !opened && mayEdit);
  useLayoutEffect(() => {
    if (!opened) input.current?.focus();
  }, [opened]);

  /** Puts several lines into the list of rooms to save, and empties the line. */
  const typeBelow = (lines: readonly string[]) => {
    newRooms.addLines(lines.filter((line) => line !== ''));
    draft.clear();
  };
  const drawn = useRef(draft);
  drawn.current = draft;
  /** Into the draft, as if it had been typed. */
  const hangOtherwise = useCallback((face: string, hung: HungCourses | undefined) => {
    const { room, open } = drawn.current;
    if (!room) return;
    const { [face]: _before, ...others } = room.hung ?? {};
    const { hung: _all, ...rest } = room;
    const all = hung ? { ...others, [face]: hung } : others;
    open(Object.keys(all).length > 0 ? { ...rest, hung: all } : rest);
  }, []);
  const floor = floorsOf(shownRooms).find((candidate) => candidate.floor === (current?.floor ?? shownRooms[0]?.floor));

  return (
    <main className="grid flex-1 grid-cols-[minmax(0,1fr)] md:grid-cols-[minmax(0,1fr)_21rem] md:content-start lg:h-[calc(100dvh-7.35rem)] lg:flex-none lg:grid-cols-[13rem_minmax(0,1fr)_21rem] lg:grid-rows-[minmax(0,1fr)] print:block">
      <h1 className="sr-only">Tally</h1>
      <RoomList
        rooms={shownRooms}
        opened={opened}
        unit={house.unit}
        mayEdit={mayEdit}
        onArrange={arrange}
        startRoom={startRoom}
      />
      <div className="flex min-w-0 flex-col gap-2 p-4 md:max-lg:self-start lg:overflow-y-auto">
        {removed && mayEdit && <RemovedNotice room={removed} />}
        {mayEdit && current && boards && boards.moved.length > 0 && (
          <BoardsQuestion room={current} faces={boards.moved} names={boards.names} now={now} />
        )}
        {mayEdit && state.left && <UnsavedNotice what={current ? 'changes' : 'room'} state={state} />}
        {mayEdit && (
          <QuickLine
            draft={draft}
            unit={house.unit}
            input={input}
            onKeep={keep}
            onLines={current ? undefined : typeBelow}
          />
        )}
        {newRooms.unsaved.length > 0 && (
          <Suspense fallback={<Opening />}>
            <UnsavedRooms rooms={newRooms} house={house} />
          </Suspense>
        )}
        <div className="flex flex-wrap items-center gap-2 print:hidden">
          {mayEdit && (
            <>
              <button
                type="button"
                className="btn btn-primary"
                onClick={keep}
                disabled={state.busy || draft.reading?.ok === false}
              >
                {state.busy ? 'Saving …' : current ? 'Save changes' : 'Save room'}
              </button>
              <Toggle words="As a form" on={asForm} onToggle={setAsForm} />
            </>
          )}
          {mayEdit && !current && <Toggle words="By laser" on={byLaser} onToggle={setByLaser} />}
          <Toggle words="Layouts" on={layouts} onToggle={setLayouts} />
          {mayEdit && rooms.length > 0 && <Toggle words="Floor plan" on={onPlan} onToggle={setOnPlan} />}
          {mayEdit && current && <RoomTools room={current} />}
          {mayEdit && current && boards && (
            <button type="button" className="btn" onClick={() => setAsking('boards')}>
              New boards …
            </button>
          )}
          {mayEdit && (
            <>
              <button type="button" className="btn" onClick={() => setAsking('drawing')}>
                From a drawing …
              </button>
              <button type="button" className="btn" onClick={() => setAsking('file')}>
                From a house file …
              </button>
            </>
          )}
          {result && asked && <AsDrawing house={house} rooms={[asked]} name={asked.name} words="DXF" className="btn" />}
          {result && <PrintButton small />}
          <SaveStatus
            failed={state.failed || trouble !== undefined}
            words={
              trouble ??
              state.message ??
              (tooLarge ? 'Too large to work out: split the room' : summary(result?.tally, draft.room))
            }
            rooms={newRooms.sent > 0 && !draft.room ? newRooms : undefined}
          />
        </div>
        <Suspense fallback={<Opening />}>
          {asking === 'boards' && current && boards && (
            <NewBoards room={current} faces={boards.faces} now={now} close={closeDialog} />
          )}
          {asking === 'drawing' && <DrawingImport house={house} close={closeDialog} />}
          {asking === 'file' && (
            <HouseFileImport house={house} houseVersion={houseVersion} rooms={rooms} close={closeDialog} />
          )}
        </Suspense>
        {state.theirs && (
          <Suspense fallback={<Opening />}>
            <StaleNotice
              mine={draft.room}
              theirs={state.theirs.room}
              unit={house.unit}
              onMine={keepMine}
              onTheirs={() => state.takeTheirs()}
            />
          </Suspense>
        )}
        {byLaser && !current && (
          <Suspense fallback={<Opening />}>
            <LaserPanel
              key={newRooms.sent}
              unit={house.unit}
              floor={draft.room?.floor ?? 'Ground floor'}
              asks={asks}
              onRoom={(measured) => draft.open(measured)}
            />
          </Suspense>
        )}
        {asForm && (
          <Suspense fallback={<Opening />}>
            <RoomForm draft={draft} house={house} />
          </Suspense>
        )}
        {layouts && (
          <Suspense fallback={<Opening />}>
            {mayEdit && <HouseHang version={houseVersion} house={house} />}
            <LayoutsPanel
              house={house}
              room={asked}
              rooms={stored}
              onChoose={
                mayEdit && draft.room
                  ? (aim) => draft.room && draft.open({ ...draft.room, hang: { ...draft.room.hang, aim } })
                  : undefined
              }
            />
          </Suspense>
        )}
        {onPlan && floor ? (
          <Suspense fallback={<Opening />}>
            <FloorPlan floor={floor.floor} rooms={floor.rooms} opened={opened} unit={house.unit} onPlace={place} />
          </Suspense>
        ) : (
          <RoomPicture
            result={result}
            room={shown}
            house={house}
            onHung={mayEdit && draft.room ? hangOtherwise : undefined}
            {...light}
          />
        )}
      </div>
      <aside className="space-y-8 border-base-300 p-4 md:border-l lg:overflow-y-auto">
        {result && shown && (
          <TallyTable title={shown.name} tally={result.tally} flags={result.tileFlags} unit={house.unit} {...light} />
        )}
        {rooms.length > 0 && <HouseTally total={total} floors={floors} house={house} rooms={stored} {...light} />}
      </aside>
    </main>
  );
}

function Toggle({
  words,
  on,
  onToggle,
}: {
  readonly words: string;
  readonly on: boolean;
  readonly onToggle: (on: boolean) => void;
}) {
  return (
    <button type="button" className={`btn ${on ? 'btn-active' : ''}`} aria-expanded={on} onClick={() => onToggle(!on)}>
      {words}
    </button>
  );
}

function summary(tally: Tally | undefined, room: QuickRoom | undefined): string {
  if (!tally || !room) return '';
  const { butt } = tally.classes;
  return butt.count === 0 ? 'No butts' : `${butt.count} ${butt.count === 1 ? 'butt' : 'butts'}`;
}
