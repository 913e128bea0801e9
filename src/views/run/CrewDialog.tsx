'use client';

import { useState } from 'react';
import { useCommand } from '@/client/useCommand';
import type { PlanGroundAnswer } from '@/contract/plan';
import type { Crew } from '@/core/work/crew';
import { SKILLS } from '@/core/work/workItem';
import { DaysField } from '@/ui/DaysField';
import { Dialog } from '@/ui/Dialog';
import { DialogEnd } from '@/ui/DialogEnd';
import { Opened } from '@/ui/Opened';
import { TextField } from '@/ui/TextField';
import { draftOf, type MemberDraft, memberIn, numberIn } from './memberDraft';
import { paceWords } from './paceWords';
import { SKILL_WORDS, toolWords } from './planWords';
import { isSameDays, Weekdays } from './Weekdays';

type Lead = NonNullable<PlanGroundAnswer['lead']>;

/** How the crew works: who does what for how long, who is away, on which days, and which tools are few. */
export function CrewDialog({
  input,
  lead,
  ...more
}: {
  readonly input: PlanGroundAnswer['input'];
  readonly lead: Lead;
  readonly unit: 'in' | 'mm';
  readonly close: () => void;
  readonly changed: () => void;
}) {
  return (
    <Opened shown={{ ...lead, input, version: lead.crewVersion }}>
      {(opened) => <CrewForm opened={opened} {...more} />}
    </Opened>
  );
}

function CrewForm({
  opened,
  unit,
  close,
  changed,
}: Omit<Parameters<typeof CrewDialog>[0], 'input' | 'lead'> & {
  readonly opened: Lead & { readonly input: PlanGroundAnswer['input']; readonly version: number };
}) {
  const { input, crew: known } = opened;
  const command = useCommand();
  const [members, setMembers] = useState<Readonly<Record<string, MemberDraft>>>(() =>
    Object.fromEntries(input.people.map((person) => [person.id, draftOf(person)])),
  );
  const [weekdays, setWeekdays] = useState<readonly number[]>(known.weekdays);
  const [begins, setBegins] = useState(clockOf(known.begins));
  const [visits, setVisits] = useState({
    least: String(known.leastVisit),
    stay: String(known.stay),
    travel: String(known.travel),
  });
  const [hourCost, setHourCost] = useState(known.hourCost === undefined ? '' : String(known.hourCost));
  const [holidays, setHolidays] = useState<readonly string[]>(known.holidays);
  const named = [...new Set([...input.items.flatMap(({ tool }) => tool ?? []), ...Object.keys(known.tools)])].sort();
  const [tools, setTools] = useState<Readonly<Record<string, string>>>(() =>
    Object.fromEntries(named.map((tool) => [tool, known.tools[tool] === undefined ? '' : String(known.tools[tool])])),
  );
  const houses = new Map(input.rooms.map(({ house, houseName }) => [house, houseName]));
  const change = (id: string, part: Partial<MemberDraft>) =>
    setMembers((all) => {
      const own = all[id];
      return own ? { ...all, [id]: { ...own, ...part } } : all;
    });
  const save = async () => {
    const crew: Crew = {
      weekdays: [...weekdays].sort((a, b) => a - b),
      begins: hourOf(begins),
      holidays: [...holidays],
      leastVisit: numberIn(visits.least),
      stay: numberIn(visits.stay),
      travel: numberIn(visits.travel),
      ...(hourCost.trim() === '' ? {} : { hourCost: numberIn(hourCost) }),
      tools: Object.fromEntries(
        Object.entries(tools).flatMap(([tool, count]) => (count.trim() === '' ? [] : [[tool, Number(count)]])),
      ),
      people: {
        ...known.people,
        ...Object.fromEntries(Object.entries(members).map(([id, draft]) => [id, memberIn(draft)])),
      },
    };
    if (await command.run('saveCrew', { version: opened.version, crew })) {
      changed();
      close();
    }
  };
  return (
    <Dialog title="Crew and tools" close={close} className="max-w-4xl">
      <p className="text-muted">
        For all houses of the crew. The last half hour of each day is for cleanup. Paces come from logged times; only
        leads and the person see them.
      </p>
      <div className="overflow-x-auto">
        <table className="table">
          <thead>
            <tr>
              <th scope="col">Person</th>
              <th scope="col">Hours a day</th>
              <th scope="col">Does</th>
              <th scope="col">Days</th>
            </tr>
          </thead>
          <tbody>
            {input.people.map(({ id, name }) => {
              const own = members[id] ?? draftOf({ hours: 8, skills: [], learner: false, off: [] });
              return (
                <tr key={id}>
                  <th scope="row" className="align-top">
                    {name}
                    <p className="text-sm font-normal text-muted">{paceWords(opened.paces[id])}</p>
                    <label className="mt-1 flex items-center gap-1 font-normal">
                      <input
                        type="checkbox"
                        className="checkbox checkbox-xs"
                        checked={own.learner}
                        onChange={(event) => change(id, { learner: event.target.checked })}
                      />
                      learns
                    </label>
                    {(houses.size > 1 || own.house !== undefined) && (
                      <select
                        className="select mt-1 w-40 font-normal select-sm"
                        aria-label={`House of ${name}`}
                        value={own.house ?? ''}
                        onChange={(event) => change(id, { house: event.target.value || undefined })}
                      >
                        <option value="">any house</option>
                        {[...houses].map(([house, called]) => (
                          <option key={house} value={house}>
                            only {called}
                          </option>
                        ))}
                      </select>
                    )}
                  </th>
                  <td className="align-top">
                    <input
                      className="input input-sm w-16"
                      inputMode="decimal"
                      aria-label={`Hours a day of ${name}`}
                      value={own.hours}
                      onChange={(event) => change(id, { hours: event.target.value })}
                    />
                    <label className="mt-1 block text-sm">
                      <span className="block text-muted">Hourly cost</span>
                      <input
                        className="input input-sm w-16"
                        inputMode="decimal"
                        aria-label={`Hourly cost of ${name}`}
                        placeholder={hourCost}
                        value={own.hourCost}
                        onChange={(event) => change(id, { hourCost: event.target.value })}
                      />
                    </label>
                  </td>
                  <td className="align-top">
                    <fieldset className="flex flex-wrap gap-x-3 gap-y-1">
                      <legend className="sr-only">What {name} does</legend>
                      {SKILLS.map((skill) => (
                        <label key={skill} className="flex items-center gap-1">
                          <input
                            type="checkbox"
                            className="checkbox checkbox-xs"
                            checked={own.skills.includes(skill)}
                            onChange={(event) =>
                              change(id, {
                                skills: SKILLS.filter((one) =>
                                  one === skill ? event.target.checked : own.skills.includes(one),
                                ),
                              })
                            }
                          />
                          {SKILL_WORDS[skill]}
                        </label>
                      ))}
                    </fieldset>
                  </td>
                  <td className="align-top">
                    <Weekdays
                      legend={`Working days of ${name}`}
                      days={own.weekdays ?? weekdays}
                      change={(days) => change(id, { weekdays: isSameDays(days, weekdays) ? undefined : days })}
                      small
                    />
                    <DaysField
                      label={`days off of ${name}`}
                      hiddenLabel
                      days={own.off}
                      change={(off) => change(id, { off })}
                    />
                  </td>
                </tr>
              );
            })}
          </tbody>
        </table>
      </div>
      <div className="grid gap-3 sm:grid-cols-2">
        <Weekdays legend="Working days" days={weekdays} change={setWeekdays} />
        <TextField
          label="Start of day"
          type="time"
          value={begins}
          onChange={(event) => setBegins(event.target.value)}
        />
        <DaysField label="Holidays" days={holidays} change={setHolidays} />
        <TextField
          label="Shortest visit, minutes"
          hint="shorter work rides along with the next visit"
          inputMode="numeric"
          value={visits.least}
          onChange={(event) => setVisits((all) => ({ ...all, least: event.target.value }))}
        />
        <TextField
          label="Least time in one house a day, hours"
          inputMode="decimal"
          value={visits.stay}
          onChange={(event) => setVisits((all) => ({ ...all, stay: event.target.value }))}
        />
        <TextField
          label="Drive from house to house, minutes"
          inputMode="numeric"
          value={visits.travel}
          onChange={(event) => setVisits((all) => ({ ...all, travel: event.target.value }))}
        />
        <TextField
          label="Default hourly cost"
          hint="for What if; only leads see it"
          inputMode="decimal"
          value={hourCost}
          onChange={(event) => setHourCost(event.target.value)}
        />
        <fieldset>
          <legend className="mb-1 text-sm font-semibold">Number available (blank: no limit)</legend>
          <div className="flex flex-wrap gap-3">
            {named.length === 0 && <p className="text-muted">This house needs no limited tools.</p>}
            {named.map((tool) => (
              <TextField
                key={tool}
                label={toolWords(tool, unit)}
                className="w-36"
                inputMode="numeric"
                value={tools[tool] ?? ''}
                onChange={(event) => setTools((all) => ({ ...all, [tool]: event.target.value }))}
              />
            ))}
          </div>
        </fieldset>
      </div>
      {command.message && (
        <p role="alert" className="text-error">
          {command.message}
        </p>
      )}
      <DialogEnd words="Save crew" disabled={command.busy} go={() => void save()} close={close} />
    </Dialog>
  );
}

/** An hour of the day as a clock shows it: 6.5 is 06:30. */
const clockOf = (hour: number): string =>
  `${String(Math.floor(hour)).padStart(2, '0')}:${String(Math.round((hour % 1) * 60)).padStart(2, '0')}`;
const hourOf = (clock: string): number => {
  const [hour = Number.NaN, minute = 0] = clock.split(':').map(Number);
  return hour + minute / 60;
};
