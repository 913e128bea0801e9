'use client';

import { useState } from 'react';
import { useCommand } from '@/client/useCommand';
import type { PlanGroundAnswer } from '@/contract/plan';
import type { Crew, Member } from '@/core/work/crew';
import { SKILLS, type Skill } from '@/core/work/workItem';
import { Dialog } from '@/ui/Dialog';
import { TextField } from '@/ui/TextField';
import { paceWords } from './paceWords';
import { SKILL_WORDS, toolWords } from './planWords';

const WEEKDAYS = ['Mon', 'Tue', 'Wed', 'Thu', 'Fri', 'Sat', 'Sun'];

/** How the crew works: who does what for how long, who is away, on which days, and which tools are few. */
export function CrewDialog({
  ground,
  unit,
  close,
  changed,
}: {
  readonly ground: PlanGroundAnswer;
  readonly unit: 'in' | 'mm';
  readonly close: () => void;
  readonly changed: () => void;
}) {
  const { input, crew: known, crewVersion } = ground;
  const command = useCommand();
  const [members, setMembers] = useState<Readonly<Record<string, MemberDraft>>>(() =>
    Object.fromEntries(input.people.map((person) => [person.id, draftOf(person)])),
  );
  const [weekdays, setWeekdays] = useState<readonly number[]>(known.weekdays);
  const [begins, setBegins] = useState(String(known.begins));
  const [hourCost, setHourCost] = useState(known.hourCost === undefined ? '' : String(known.hourCost));
  const [holidays, setHolidays] = useState(known.holidays.join(', '));
  const named = [...new Set([...input.items.flatMap(({ tool }) => tool ?? []), ...Object.keys(known.tools)])].sort();
  const [tools, setTools] = useState<Readonly<Record<string, string>>>(() =>
    Object.fromEntries(named.map((tool) => [tool, known.tools[tool] === undefined ? '' : String(known.tools[tool])])),
  );
  const change = (id: string, part: Partial<MemberDraft>) =>
    setMembers((all) => {
      const own = all[id];
      return own ? { ...all, [id]: { ...own, ...part } } : all;
    });
  const save = async () => {
    const crew: Crew = {
      weekdays: [...weekdays].sort((a, b) => a - b),
      begins: numberIn(begins),
      holidays: daysIn(holidays),
      ...(hourCost.trim() === '' ? {} : { hourCost: numberIn(hourCost) }),
      tools: Object.fromEntries(
        Object.entries(tools).flatMap(([tool, count]) => (count.trim() === '' ? [] : [[tool, Number(count)]])),
      ),
      people: {
        ...known.people,
        ...Object.fromEntries(Object.entries(members).map(([id, draft]) => [id, memberIn(draft)])),
      },
    };
    if (await command.run('saveCrew', { version: crewVersion, crew })) {
      changed();
      close();
    }
  };
  return (
    <Dialog title="Crew and tools" close={close} className="max-w-4xl">
      <p className="text-muted">
        For all houses of the crew. The last half hour of a day is for cleaning up. How fast somebody is comes from what
        they logged with its time; only you and they see it.
      </p>
      <div className="overflow-x-auto">
        <table className="table">
          <thead>
            <tr>
              <th scope="col">Person</th>
              <th scope="col">Hours a day</th>
              <th scope="col">Does</th>
              <th scope="col">Days off</th>
            </tr>
          </thead>
          <tbody>
            {input.people.map(({ id, name }) => {
              const own = members[id] ?? draftOf({ hours: 8, skills: [], learner: false, off: [] });
              return (
                <tr key={id}>
                  <th scope="row" className="align-top">
                    {name}
                    <p className="text-sm font-normal text-muted">{paceWords(ground.paces[id])}</p>
                    <label className="mt-1 flex items-center gap-1 font-normal">
                      <input
                        type="checkbox"
                        className="checkbox checkbox-xs"
                        checked={own.learner}
                        onChange={(event) => change(id, { learner: event.target.checked })}
                      />
                      learns
                    </label>
                  </th>
                  <td className="align-top">
                    <input
                      className="input input-sm w-16"
                      inputMode="decimal"
                      aria-label={`Hours a day of ${name}`}
                      value={own.hours}
                      onChange={(event) => change(id, { hours: event.target.value })}
                    />
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
                    <input
                      className="input input-sm w-44"
                      aria-label={`Days off of ${name}`}
                      placeholder="2031-05-09, …"
                      value={own.off}
                      onChange={(event) => change(id, { off: event.target.value })}
                    />
                  </td>
                </tr>
              );
            })}
          </tbody>
        </table>
      </div>
      <div className="grid gap-3 sm:grid-cols-2">
        <fieldset>
          <legend className="mb-1 text-sm font-semibold">Working days</legend>
          <div className="flex flex-wrap gap-3">
            {WEEKDAYS.map((name, index) => (
              <label key={name} className="flex items-center gap-1">
                <input
                  type="checkbox"
                  className="checkbox checkbox-sm"
                  checked={weekdays.includes(index + 1)}
                  onChange={(event) =>
                    setWeekdays((days) =>
                      event.target.checked ? [...days, index + 1] : days.filter((day) => day !== index + 1),
                    )
                  }
                />
                {name}
              </label>
            ))}
          </div>
        </fieldset>
        <TextField
          label="A day begins at"
          hint="hour of the day, 7 or 6.5"
          inputMode="decimal"
          value={begins}
          onChange={(event) => setBegins(event.target.value)}
        />
        <TextField
          label="Holidays"
          hint="days such as 2031-05-29, with commas between"
          value={holidays}
          onChange={(event) => setHolidays(event.target.value)}
        />
        <TextField
          label="What an hour of one person costs"
          hint="for What if; only leads see it"
          inputMode="decimal"
          value={hourCost}
          onChange={(event) => setHourCost(event.target.value)}
        />
        <fieldset>
          <legend className="mb-1 text-sm font-semibold">How many there are; empty where there are enough</legend>
          <div className="flex flex-wrap gap-3">
            {named.length === 0 && <p className="text-muted">This house needs none that are few.</p>}
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
      <div className="modal-action">
        <button type="button" className="btn" onClick={close}>
          Cancel
        </button>
        <button type="button" className="btn btn-primary" disabled={command.busy} onClick={() => void save()}>
          Keep
        </button>
      </div>
    </Dialog>
  );
}

/** A person as the form holds them: what is typed is read when it is kept. */
interface MemberDraft {
  readonly hours: string;
  readonly skills: readonly Skill[];
  readonly learner: boolean;
  readonly off: string;
}

const draftOf = ({ hours, skills, learner, off }: Member): MemberDraft => ({
  hours: String(hours),
  skills,
  learner,
  off: off.join(', '),
});

const memberIn = ({ hours, skills, learner, off }: MemberDraft): Member => ({
  hours: numberIn(hours),
  skills: [...skills],
  learner,
  off: daysIn(off),
});

const numberIn = (text: string): number => Number(text.replace(',', '.'));
const daysIn = (text: string): string[] => text.split(/[\s,;]+/).filter((day) => day !== '');
