import { airWithVapour, vapourPressure } from '../air/air';
import { withFan } from '../air/fan';
import { SKILLS, type WorkItem } from '../work/workItem';
import { housePart, type Planned } from './housePart';
import { type HousePlan, planHouse } from './planHouse';
import type { PlanInput, PlanRoom } from './planInput';
import { WHAT_IFS, type WhatIf, type WhatIfPrice } from './whatIfPrice';
import { workTime } from './workTime';

/** What a heater warms, °C. Common practice, no source. */
const HEATS_BY = 5;
const SETTING_MINUTES = 90;
const SATURDAY = 6;

/**
 * A plan as it would be: with one more person, on Saturdays, with setting mud for the class that holds up the finish, with a
 * fan or a heater in the room that does, with held rooms released. What changes nothing of the input is left out. The first is
 * the plan as it is, planned by the same little effort as the others: what they differ by is what the change makes.
 *
 * @param others inputs that only the server can make, as by boxes instead of knives
 * @param only the house that is told of, where several are planned
 */
export function* whatIfs(
  input: PlanInput,
  plan: HousePlan,
  others: Readonly<Partial<Record<WhatIf, PlanInput>>> = {},
  only?: string,
): Generator<WhatIfPrice> {
  const shown = (planned: Planned): Planned => (only === undefined ? planned : housePart(planned, only));
  const { chain } = shown({ plan, input }).plan;
  for (const kind of WHAT_IFS) {
    const other = others[kind];
    const changed = other ? { input: other } : changedBy(kind, input, chain);
    if (!changed) continue;
    const all = planHouse(changed.input, { former: plan, effort: 0 });
    const planned = shown({ plan: all, input: changed.input }).plan;
    yield {
      kind,
      about: changed.about,
      rooms: changed.rooms ?? [],
      plan: planned,
      time: workTime(planned, input),
    };
  }
}

interface Changed {
  readonly input: PlanInput;
  readonly about?: string;
  readonly rooms?: readonly PlanRoom[];
}

function changedBy(kind: WhatIf, input: PlanInput, ids: HousePlan['chain']): Changed | undefined {
  const chain = ids.flatMap((id) => input.items.find((item) => item.id === id) ?? []);
  const room = input.rooms.find(({ id }) => id === chain.at(-1)?.room);
  switch (kind) {
    case 'asItIs':
      return { input };
    case 'person': {
      const more = {
        id: 'more',
        name: '',
        hours: 8,
        skills: [...SKILLS],
        learner: false,
        off: [],
        pace: {},
      };
      return { input: { ...input, people: [...input.people, more] } };
    }
    case 'saturday': {
      const { weekdays } = input.crew;
      if (weekdays.includes(SATURDAY)) return undefined;
      return { input: { ...input, crew: { ...input.crew, weekdays: [...weekdays, SATURDAY] } } };
    }
    case 'boxes':
    case 'knives':
      return undefined;
    case 'setting': {
      const slow = slowest(chain);
      return slow ? { input: { ...input, items: withSetting(input.items, slow) }, about: slow } : undefined;
    }
    case 'fan':
      return (
        room && {
          input: withAir(input, room.id, withFan),
          about: room.name,
          rooms: [room],
        }
      );
    case 'heater':
      return (
        room && {
          input: withAir(input, room.id, (air) => ({
            ...airWithVapour(air.temperature + HEATS_BY, vapourPressure(air)),
            ...(air.speed === undefined ? {} : { speed: air.speed }),
          })),
          about: room.name,
          rooms: [room],
        }
      );
    case 'released': {
      if (!input.rooms.some(({ held }) => held)) return undefined;
      return {
        input: { ...input, rooms: input.rooms.map((own) => ({ ...own, held: undefined })) },
        rooms: input.rooms.filter(({ held }) => held),
      };
    }
  }
}

/** The kind of coat that is on the chain most often. */
function slowest(chain: readonly WorkItem[]): string | undefined {
  const counts = new Map<string, number>();
  for (const { kind, muds } of chain) if (muds.length > 0) counts.set(kind, (counts.get(kind) ?? 0) + 1);
  return [...counts].sort((a, b) => b[1] - a[1])[0]?.[0];
}

/** The same work with setting mud in every coat of a kind. */
function withSetting(items: readonly WorkItem[], kind: string): readonly WorkItem[] {
  const of = new Set(items.filter((item) => item.kind === kind).map(({ id }) => id));
  const setting = { kind: 'setting', minutes: SETTING_MINUTES } as const;
  return items.map((item) => ({
    ...item,
    muds: of.has(item.id) ? item.muds.map((mud) => ({ ...mud, mud: setting })) : item.muds,
    after: item.after.map((one) =>
      of.has(one.item) ? { ...one, muds: one.muds.map((mud) => ({ ...mud, mud: setting })) } : one,
    ),
  }));
}

/** The same house with other air in one room. */
function withAir(
  input: PlanInput,
  room: string,
  change: (air: PlanInput['airs'][number][number]['air']) => PlanInput['airs'][number][number]['air'],
): PlanInput {
  const own = input.rooms.find(({ id }) => id === room);
  const steps = (input.airs[own?.air ?? 0] ?? []).map(({ from, air }) => ({ from, air: change(air) }));
  return {
    ...input,
    airs: [...input.airs, steps],
    rooms: input.rooms.map((one) => (one.id === room ? { ...one, air: input.airs.length } : one)),
  };
}
