import { randomUUID } from 'node:crypto';
import { aroundAll, beforeAll, describe, expect, it } from 'vitest';
import { stateOf } from '@/core/log/stateOf';
import { crewSchema } from '@/core/work/crew';
import { findCalendar, hasCalendar, housesWithWork, makeCalendar } from '@/db/calendars';
import { readCrew, saveCrew, savePainters } from '@/db/crews';
import { demoHouse } from '@/db/demo/demoHouse';
import { appendEntries, listEntries } from '@/db/entries';
import { inFirm } from '@/db/firm';
import { addHouse, findHouse } from '@/db/houses';
import { addPerson, type Member, removePerson } from '@/db/people';
import { setRemoved } from '@/db/rooms';
import { endSecret } from '@/db/secrets';
import { asTestFirm, newFirm } from './asTestFirm';

const AT = '2031-05-06T10:00:00Z';
let lead: Member;
let house: string;
let other: string;
let tobin: string;
/** Another lead. */
let second: string;

aroundAll(asTestFirm);
beforeAll(async () => {
  lead = await newFirm();
  await inFirm(lead.firm, async () => {
    house = await addHouse(demoHouse(), 'America/New_York');
    other = await addHouse({ ...demoHouse(), name: 'Other' }, 'America/New_York');
    tobin = (await addPerson('Tobin', 'finisher', 'a long password'))?.id ?? '';
    second = (await addPerson('Sigrid', 'lead', 'a long password'))?.id ?? '';
  });
});
const within = <Value>(run: () => Promise<Value>) => inFirm(lead.firm, run);
const hand = (
  work: string,
  people: readonly string[],
  seen?: number,
  more: { house?: string; room?: string; day?: string; by?: string } = {},
) =>
  within(() =>
    appendEntries(more.house ?? house, more.by === undefined ? lead : { id: more.by, role: 'lead' }, [
      {
        id: randomUUID(),
        room: more.room ?? 'hall',
        at: AT,
        kind: 'assigned',
        payload: { work, people: [...people], day: more.day ?? '2031-05-07', ...(seen === undefined ? {} : { seen }) },
      },
    ]),
  );
const seqNow = async () => (await within(() => listEntries(house))).at(-1)?.seq ?? 0;

describe('handing out', () => {
  it('is refused where somebody handed out the same after one last looked', async () => {
    const seen = await seqNow();
    expect((await hand('fill.flat', [tobin], seen, { by: second })).kind).toBe('recorded');
    expect(await hand('fill.flat', [lead.id], seen)).toEqual({ kind: 'handed', room: 'hall' });
    expect(await hand('fill', [lead.id], seen)).toEqual({ kind: 'handed', room: 'hall' });
    expect((await hand('fill.butt', [lead.id], seen)).kind).toBe('recorded');
    expect((await hand('fill.flat', [lead.id], seen, { room: 'bath' })).kind).toBe('recorded');
    expect((await hand('fill.flat', [lead.id], await seqNow())).kind).toBe('recorded');
  });

  it('goes on where one handed it out oneself after one last looked', async () => {
    const seen = await seqNow();
    expect((await hand('finish.butt', [tobin], seen)).kind).toBe('recorded');
    expect((await hand('finish.butt', [lead.id], seen)).kind).toBe('recorded');
  });

  it('of the walls leaves the ceiling to others', async () => {
    const seen = await seqNow();
    const theirs = { room: 'galley', by: second };
    expect((await hand('fill.flat@ceiling', [tobin], seen, theirs)).kind).toBe('recorded');
    expect((await hand('fill.flat@walls', [lead.id], seen, { room: 'galley' })).kind).toBe('recorded');
    expect((await hand('fill@walls', [lead.id], await seqNow(), theirs)).kind).toBe('recorded');
    for (const work of ['fill.flat', 'fill', 'fill@ceiling', 'fill.flat@ceiling'])
      expect(await hand(work, [lead.id], seen, { room: 'galley' })).toEqual({ kind: 'handed', room: 'galley' });
  });

  it('of two at once is told to one of them', async () => {
    const seen = await seqNow();
    const results = await Promise.all([
      hand('finish.flat', [tobin], seen, { by: second }),
      hand('finish.flat', [lead.id], seen),
    ]);
    expect(results.map(({ kind }) => kind).sort()).toEqual(['handed', 'recorded']);
    const given = stateOf(await within(() => listEntries(house)))
      .get('hall')
      ?.assignments.get('finish.flat');
    expect(given?.people).toHaveLength(1);
  });

  it('names people of the crew and work that there is', async () => {
    expect(await hand('fill.flat', [randomUUID()])).toMatchObject({
      kind: 'wrong',
      problem: { path: 'entries[0].payload.people', reason: 'names somebody who is not on the crew' },
    });
  });

  it('tells in which houses somebody has work', async () => {
    await hand('tape', [tobin], undefined, { house: other, day: '2031-05-09' });
    await hand('fill', [tobin], undefined, { house: other, day: '2031-05-12' });
    await hand('fill', [], undefined, { house: other, day: '2031-05-12' });
    // Neither what was taken back counts, nor what is in a room that is gone.
    const taken = { id: randomUUID(), room: 'hall', at: AT, kind: 'assigned' as const };
    const payload = { work: 'finish', people: [tobin], day: '2031-05-13' };
    const back = { id: randomUUID(), room: null, at: AT, kind: 'void' as const, payload: { target: taken.id } };
    await within(() => appendEntries(other, lead, [{ ...taken, payload }, back]));
    await hand('tape', [tobin], undefined, { house: other, room: 'bath', day: '2031-05-14' });
    await within(() => setRemoved(other, 'bath', new Date(AT)));
    expect(await within(() => housesWithWork(tobin, Date.parse(AT)))).toContain(other);
    expect(await within(() => housesWithWork(tobin, Date.parse('2031-09-01T00:00:00Z')))).toEqual([]);
    expect(await within(() => housesWithWork(randomUUID(), Date.parse(AT)))).toEqual([]);
  });
});

describe('the crew', () => {
  it('is as usual before anything was said, and saved over the version that was seen', async () => {
    expect(await within(readCrew)).toEqual({ crew: crewSchema.parse({}), version: 0 });
    const crew = crewSchema.parse({ tools: { lamp: 2 }, people: { [tobin]: { hours: 6, skills: ['tape'] } } });
    const saves = await Promise.all([within(() => saveCrew(0, crew)), within(() => saveCrew(0, crew))]);
    expect(saves.filter((version) => version !== undefined)).toEqual([1]);
    expect(await within(() => saveCrew(0, crew))).toBeUndefined();
    expect(await within(() => saveCrew(1, { ...crew, begins: 6.5 }))).toBe(2);
    expect(await within(() => saveCrew(1, crew))).toBeUndefined();
    expect(await within(readCrew)).toEqual({ crew: { ...crew, begins: 6.5 }, version: 2 });
  });

  it.each([
    [{ weekdays: [] }, 'weekdays'],
    [{ weekdays: [1, 1] }, 'weekdays'],
    [{ tools: { 'a box': 1 } }, 'tools'],
    [{ tools: { lamp: -1 } }, 'tools'],
    [{ holidays: ['2031-02-30'] }, 'holidays'],
    [{ people: { [randomUUID()]: { hours: 0, skills: [] } } }, 'people'],
  ])('refuses %j', (crew, path) => {
    expect(crewSchema.safeParse(crew).error?.issues[0]?.path[0]).toBe(path);
  });

  it('keeps the painters’ dates of a house and of its rooms', async () => {
    expect(await within(() => savePainters(house, null, '2031-06-01'))).toBe(true);
    await within(() => savePainters(house, 'bath', '2031-05-28'));
    await within(() => savePainters(house, 'hall', '2031-05-29'));
    const before = await within(() => findHouse(house));
    await within(() => savePainters(house, 'hall', null));
    const after = await within(() => findHouse(house));
    expect(after?.dates).toEqual({ house: '2031-06-01', rooms: { bath: '2031-05-28' } });
    // Pages that show it hear of it.
    expect(after?.roomsSeq).toBe((before?.roomsSeq ?? 0) + 1);
  });
});

describe('a calendar', () => {
  it('has one address at a time, which ends with it and with the person', async () => {
    const first = await within(() => makeCalendar(tobin));
    expect(await findCalendar(first)).toMatchObject({ id: tobin, firm: lead.firm });
    const second = await within(() => makeCalendar(tobin));
    expect(await findCalendar(first)).toBeUndefined();
    expect(await findCalendar(second)).toMatchObject({ id: tobin });
    expect(await within(() => hasCalendar(tobin))).toBe(true);
    await within(() => endSecret({ person: tobin, kind: 'calendar' }));
    expect(await findCalendar(second)).toBeUndefined();
    const third = await within(() => makeCalendar(tobin));
    await within(() => removePerson(tobin, new Date(AT)));
    expect(await findCalendar(third)).toBeUndefined();
  });
});
