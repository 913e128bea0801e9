import { createEvents, type DateArray, type EventAttributes } from 'ics';
import { dayOf } from '../core/measure/dayOf';
import { assignedDays } from '../core/schedule/assignedDays';
import { passDone } from '../core/schedule/assignedWork';
import { type Block, workOn } from '../core/work/block';
import { inDayOrder } from '../core/work/dayListOf';
import type { Pass } from '../core/work/pass';
import { instantOn } from '../core/work/shifts';
import { findCalendar, housesWithWork } from '../db/calendars';
import { now } from '../db/clock';
import { readCrew } from '../db/crews';
import { inFirm } from '../db/firm';
import { loadSnapshot } from './loadSnapshot';
import { refuse } from './refuse';

const HOUR_MS = 3_600_000;
const DAY_MS = 24 * HOUR_MS;
/** So long ago is still shown. */
const PAST_DAYS = 7;

/**
 * The calendar of whom this secret address was given: what is assigned to them, in all houses, one after the other each day in the order
 * of My day; what is not done by its day stands on today.
 *
 * @param nameOf what a pass is called
 */
export async function calendarOf(token: string, nameOf: (pass: Pass, block?: Block) => string): Promise<Response> {
  const person = await findCalendar(token);
  if (!person) return refuse(404, 'There is no such calendar.');
  const events = await inFirm(person.firm, async () => {
    const [houses, { crew }] = await Promise.all([housesWithWork(person.id, now()), readCrew()]);
    const snapshots = await Promise.all(houses.map((house) => loadSnapshot(house)));
    // One day is one day, in however many houses.
    const ends = new Map<string, number>();
    return snapshots.flatMap(({ id, snapshot, timeZone }) => {
      const oldest = dayOf(now() - PAST_DAYS * DAY_MS, timeZone);
      const assigned = assignedDays(snapshot.rooms, dayOf(now(), timeZone));
      return inDayOrder(assigned.handed)
        .filter(({ people, day }) => people.includes(person.id) && day >= oldest)
        .map((handed): EventAttributes => {
          const { room, task, day, people, block, leftFrom } = handed;
          const start = ends.get(day) ?? instantOn(day, crew.begins, timeZone);
          const end = start + assigned.hoursOf(handed, person.id) * HOUR_MS;
          ends.set(day, end);
          const done = passDone(handed) === 1;
          return {
            // What is left from an earlier day moves on from day to day.
            uid: `${id}.${room.room.id}.${workOn(task.pass, block)}.${people.length}.${leftFrom ?? day}@oak-tally`,
            title: `${done ? '✓ ' : ''}${room.room.name}: ${nameOf(task.pass, block)}`,
            location: snapshot.house.name,
            start: arrayOf(start),
            startInputType: 'utc',
            end: arrayOf(end),
            endInputType: 'utc',
          };
        });
    });
  });
  const { value, error } = createEvents(events, { productId: 'oak-tally', calName: `Oak Tally, ${person.name}` });
  if (error) throw error;
  return new Response(value, {
    headers: { 'content-type': 'text/calendar; charset=utf-8', 'cache-control': 'private, no-store' },
  });
}

function arrayOf(at: number): DateArray {
  const date = new Date(Math.round(at / 60_000) * 60_000);
  return [date.getUTCFullYear(), date.getUTCMonth() + 1, date.getUTCDate(), date.getUTCHours(), date.getUTCMinutes()];
}
