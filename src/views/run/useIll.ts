'use client';

import { useState } from 'react';
import { useCommand } from '@/client/useCommand';
import type { PlanStanding } from '@/client/usePlan';
import { dayAfter } from '@/core/measure/dayOf';
import type { PlanPerson } from '@/core/plan/planInput';

import type { Given, useHandOut } from './useHandOut';

/** Takes somebody off for today and tomorrow and assigns their work anew, or has them back. */
export function useIll(
  { ground, fetchAnew }: PlanStanding,
  handOut: Pick<ReturnType<typeof useHandOut>, 'write' | 'busy' | 'message'>,
  now: number,
  timeZone: string,
) {
  const command = useCommand();
  /** Whose illness is being confirmed. */
  const [person, ask] = useState<PlanPerson>();
  const days = [0, 1].map((after) => dayAfter(now, after, timeZone));
  const saveOff = async ({ id, hours, skills, learner, off, weekdays }: PlanPerson, own: readonly string[]) => {
    if (!ground?.lead) return false;
    const { crew: all, crewVersion: version } = ground.lead;
    const known = all.people[id] ?? { hours, skills, learner, off, weekdays };
    const crew = { ...all, people: { ...all.people, [id]: { ...known, off: [...own] } } };
    return (await command.run('saveCrew', { version, crew })) !== undefined;
  };
  const confirm = async (shared: readonly Given[]) => {
    if (!person || !(await saveOff(person, [...new Set([...person.off, ...days])].sort()))) return;
    if (shared.length > 0 && !(await handOut.write(shared))) return;
    fetchAnew();
    ask(undefined);
  };
  const back = async (own: PlanPerson) => {
    const off = own.off.filter((day) => !days.includes(day));
    if (await saveOff(own, off)) fetchAnew();
  };
  return {
    person,
    ask,
    days,
    confirm,
    back,
    busy: command.busy || handOut.busy,
    message: command.message ?? handOut.message,
  };
}
