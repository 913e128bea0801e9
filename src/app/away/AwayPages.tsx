'use client';

import { rightInAll, wasRight } from '@/core/drywatch/wasRight';
import { batchesOf, MIXED } from '@/core/log/batch';
import { type AwayHousePage, AwayView } from '@/views/away/AwayView';
import { boardMethods, boardRows, crewOf, recentEntries } from '@/views/board/boardRows';
import { CoatBoardView } from '@/views/board/CoatBoardView';
import { sentRows } from '@/views/board/sentRows';
import { GuideView } from '@/views/guide/GuideView';
import { guideCards } from '@/views/guide/guideCards';
import { lastDone } from '@/views/myday/lastDone';
import { MyDayView } from '@/views/myday/MyDayView';
import { acceptRows } from '@/views/walk/acceptRows';
import { WalkView } from '@/views/walk/WalkView';
import { walkRows } from '@/views/walk/walkRows';

/** The pages that a device shows by itself, by the same views as the server's. */
export const AwayPages = () => <AwayView pages={{ 'my-day': MyDay, board: Board, walk: Walk, guide: Guide }} />;

const Guide = ({ snapshot }: AwayHousePage) => <GuideView cards={guideCards(snapshot)} />;

const MyDay = ({ house: { id, me, people, timeZone, hasCalendar, entries }, snapshot, log, now }: AwayHousePage) => (
  <MyDayView
    houseId={id}
    snapshot={snapshot}
    person={me}
    now={now}
    timeZone={timeZone}
    elsewhere={[]}
    first={new URLSearchParams(window.location.search).get('first') ?? undefined}
    works={me.role !== 'viewer'}
    hasCalendar={hasCalendar}
    last={lastDone(log, snapshot.rooms, me.id, now)}
    crew={crewOf(people)}
    seen={entries.at(-1)?.seq ?? 0}
    batches={batchesOf(log.last(MIXED, 20), me.id, now)}
  />
);

const Board = ({ house: { me, timeZone, people }, snapshot, log, now }: AwayHousePage) => (
  <CoatBoardView
    rows={sentRows(boardRows(snapshot, now, timeZone))}
    methods={boardMethods(snapshot.rooms)}
    recent={recentEntries(log, snapshot.rooms, people, me.id)}
    now={now}
    timeZone={timeZone}
    unit={snapshot.house.unit}
    role={me.role}
    me={me.id}
    crew={crewOf(people)}
  />
);

const Walk = ({ house: { id, me, timeZone, people }, snapshot, now }: AwayHousePage) => (
  <WalkView
    houseId={id}
    rows={walkRows(snapshot, now, timeZone, new Map(people.map((person) => [person.id, person.name])))}
    accepts={acceptRows(snapshot)}
    right={rightInAll(wasRight(snapshot))}
    unit={snapshot.house.unit}
    now={now}
    timeZone={timeZone}
    works={me.role !== 'viewer'}
    leads={me.role === 'lead'}
  />
);
