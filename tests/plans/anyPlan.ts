import type { Air } from '@/core/air/air';
import { takeOff } from '@/core/joints/takeOff';
import { resolveMethod } from '@/core/method/resolveMethod';
import { roomCoats } from '@/core/method/roomCoats';
import { randomFrom } from '@/core/plan/improve';
import type { Handed, PlanInput, PlanPerson, PlanRoom } from '@/core/plan/planInput';
import type { MethodChoices } from '@/core/room/methodSchema';
import { crewSchema } from '@/core/work/crew';
import { BETWEEN_PASSES } from '@/core/work/pass';
import { scrapeApart } from '@/core/work/scrapeApart';
import { spaceOf } from '@/core/work/spaceOf';
import { splitItems } from '@/core/work/splitItems';
import { SKILLS } from '@/core/work/workItem';
import { workOf } from '@/core/work/workOf';
import type { CoatLeft } from '@/core/work/workRoom';
import { roomOf } from '../houses/readRooms';

const LINES = [
  "Closet 5' x 4' x 8', door 28x80",
  "Den 12' x 10' x 8', door 32x80 wall 1, window 36x48 wall 3 bead",
  "Hall 20' x 14' x 8', opening 60x84 wall 1 bead, ceiling along",
  "Bath 7'6 x 10' x 8', door 28x80 wall 1, tile 60x72 wall 2",
];
/** How crews differ in what matters to a plan. */
export const SCHOOLS: readonly MethodChoices[] = [
  {},
  { tools: 'boxes', order: 'boxes' },
  { angles: 'sides' },
  { mud: 'settingFirst' },
  { order: 'noWait' },
  { last: 'skim' },
];
const AIRS: readonly Air[] = [
  { temperature: 20, humidity: 50 },
  { temperature: 26, humidity: 35 },
  { temperature: 14, humidity: 70 },
];

/** What a mended place dries like. */
const MENDED = { mud: { kind: 'drying' }, thickness: 1.5, substrate: 'mud' } as const;

/** Rooms of every kind under every school, taken off once. */
const KINDS = LINES.flatMap((line) => {
  const { house, room } = roomOf(line);
  const { tally } = takeOff(room, house);
  return SCHOOLS.map((choices) => {
    const method = resolveMethod({ unit: 'in', method: { level: 4, ...choices } });
    return { space: spaceOf(room, 'in'), tally, method, coats: roomCoats(tally, method) };
  });
});

/** A Monday at seven in New York, a week before clocks change there. */
export const PLANNED_FROM = Date.parse('2031-10-27T11:00:00Z');
const ZONE = 'America/New_York';
const DAY_MS = 86_400_000;
const dayAfter = (days: number) => new Date(PLANNED_FROM + days * DAY_MS).toISOString().slice(0, 10);

/** What is left of a coat, the walls before the ceiling. */
function inBlocks(part: number, share: number, from: number | undefined): CoatLeft['blocks'] {
  const walls = Math.min(1, part / share);
  const ceiling = (part - share * walls) / (1 - share);
  return { walls: { share, part: walls, from }, ceiling: { share: 1 - share, part: Math.max(0, ceiling), from } };
}

/** The air of each room of a random plan, which does not change. */
export interface AnyPlan {
  readonly input: PlanInput;
  readonly airs: readonly Air[];
}

/**
 * A house of one to four rooms somewhere in the middle of its work: some coats on, some in part, some wet; rooms held for a
 * while or for good, people who learn, are away or cannot do everything, few tools, work that was handed out.
 */
export function anyPlan(seed: number): AnyPlan {
  const random = randomFrom(seed);
  const upTo = (most: number) => Math.floor(random() * (most + 1));
  const often = (share: number) => random() < share;
  const people = Array.from({ length: 1 + upTo(3) }, (_, index): PlanPerson => {
    const skills = often(0.6) ? [...SKILLS] : SKILLS.filter(() => often(0.7));
    return {
      id: `p${index}`,
      name: `P${index}`,
      hours: 4 + upTo(5),
      skills,
      learner: often(0.15),
      off: [
        ...(often(0.3) ? [dayAfter(upTo(4)), dayAfter(7 + upTo(4))] : []),
        ...(often(0.2) ? [dayAfter(upTo(3))] : []),
      ],
      pace: often(0.4)
        ? { 'flat.fill.knife': 0.5 + random(), sand: 0.5 + random(), 'angle.tape.knife': 0.5 + random() }
        : {},
    };
  });
  const mend = () =>
    often(0.7)
      ? []
      : Array.from({ length: 1 + upTo(2) }, () => ({
          hours: 0.05 + random() / 2,
          class: often(0.5) ? ('flat' as const) : undefined,
          share: random(),
          first: often(0.5),
          mud: often(0.5) ? MENDED : undefined,
        }));
  const rooms: PlanRoom[] = [];
  const items: PlanInput['items'][number][] = [];
  for (let index = 0; index <= upTo(3); index += 1) {
    const kind = KINDS[upTo(KINDS.length - 1)];
    if (!kind) continue;
    const id = `r${index}`;
    rooms.push({
      id,
      house: 'h',
      room: id,
      name: id,
      nameInHouse: id,
      houseName: 'House',
      floor: 'Main floor',
      air: upTo(AIRS.length - 1),
      space: kind.space,
      due: often(0.3) ? PLANNED_FROM + (2 + upTo(10)) * DAY_MS : undefined,
      held: often(0.2) ? { until: often(0.6) ? PLANNED_FROM + upTo(5 * DAY_MS) : undefined } : undefined,
    });
    const run = upTo(2);
    const left = new Map(
      kind.coats.map((coat) => {
        const part = run > 0 && coat.round === 'tape' && !often(0.2) ? 0 : run > 1 && often(0.5) ? random() : 1;
        const at = often(0.5) ? PLANNED_FROM + upTo(2 * DAY_MS) : undefined;
        const from = part > 0 ? at : undefined;
        const blocks = inBlocks(part, 0.3 + random() / 2, from);
        return [coat.id, { part, from, sandAt: part < 1 ? at : undefined, blocks }] as const;
      }),
    );
    const scraped = often(0.2);
    const slowness = often(0.3) ? 0.6 + random() : 1;
    const open = workOf({
      id,
      ...kind,
      left: ({ id: coat }) => left.get(coat) ?? { part: 1, from: undefined, sandAt: undefined },
      prefilled: kind.coats.some((coat) => coat.key === 'tape' && (left.get(coat.id)?.part ?? 1) < 1) ? 1 : 0,
      scraped: () => scraped,
      slowness: () => slowness,
      mend: mend(),
      checked: false,
      sealed: often(0.3),
    });
    const halved = open.filter(() => often(0.15)).map((item) => item.id);
    const apart = BETWEEN_PASSES.filter(() => often(0.15)).map((pass) => `${id}/${pass}`);
    items.push(...splitItems(scrapeApart(open, new Set(apart)), new Set(halved)));
  }
  const handed: Record<string, Handed> = {};
  for (const item of items) {
    if (!often(0.1)) continue;
    const [one, two] = [people[upTo(people.length - 1)], people[upTo(people.length - 1)]];
    const names = [...new Set([one?.id ?? '', ...(item.people === 2 ? [two?.id ?? ''] : [])])];
    handed[item.id] = { people: names, day: dayAfter(upTo(6)) };
  }
  const tools = { ...(often(0.5) ? { lamp: 1 } : {}), ...(often(0.5) ? { 'box-10': upTo(1), 'box-12': 1 } : {}) };
  return {
    airs: AIRS,
    input: {
      from: PLANNED_FROM,
      timeZone: ZONE,
      rooms,
      airs: AIRS.map((air) => [{ from: 0, air }]),
      items,
      people,
      crew: crewSchema.parse({
        weekdays: often(0.3) ? [1, 2, 3, 4, 5, 6] : undefined,
        holidays: often(0.3) ? [dayAfter(upTo(8))] : undefined,
        tools,
      }),
      handed,
    },
  };
}
