import { groupBy } from '@/core/measure/groupBy';
import { type LengthUnit, MM_PER_INCH } from '@/core/measure/unit';
import type { Assignment, HousePlan } from '@/core/plan/planHouse';
import type { PlanInput } from '@/core/plan/planInput';
import { halfOf } from '@/core/work/splitItems';
import type { Skill, WorkItem, WorkKind } from '@/core/work/workItem';
import { listWords } from '@/words/coatWords';
import { bladeWords } from '@/words/lengthWords';
import { BLOCK_NAMES, GROUP_NAMES, PASS_NAMES } from '@/words/stateWords';
import { instantWords, spanWords, timeOf, untilWords } from '@/words/when';
import type { PlanCard } from './planCards';

const KINDS: Readonly<Record<WorkKind, string>> = {
  ...GROUP_NAMES,
  prefill: 'gaps',
  threeWay: 'three-ways',
  centring: 'butts centred',
  between: '',
  mend: '',
  sand: '',
  check: '',
  seal: '',
};

/** Returns the rooms of a card, and its house where several are shown: Bath, Hall and 3 more, Tern Cottage. */
export function cardRooms(
  { rooms, house }: Pick<PlanCard, 'rooms'> & Partial<Pick<PlanCard, 'house'>>,
  most = 2,
): string {
  const names = rooms.map(({ name }) => name);
  const words =
    names.length <= most + 1 ? listWords(names) : `${names.slice(0, most).join(', ')} and ${names.length - most} more`;
  return house === undefined ? words : `${words}, ${house}`;
}

/** What a card is about: fill: butts, flats and angles; seal, fill: flats. */
export function cardWords({ items }: Pick<PlanCard, 'items'>): string {
  const passes = [...groupBy(items, ({ pass }) => pass)];
  const words = passes.map(([pass, own]) => {
    const named = own.filter(({ kind }) => KINDS[kind] !== '');
    const kinds = [...groupBy(named, halfOf)].map(([half, some]) => {
      const all = [...new Set(some.map(({ kind }) => KINDS[kind]))].join(', ');
      return half ? `${all} (${BLOCK_NAMES[half]} only)` : all;
    });
    return kinds.length === 0 ? PASS_NAMES[pass] : `${PASS_NAMES[pass]}: ${kinds.join(', ')}`;
  });
  return words.map((one, index) => (index === 0 ? one : one.toLowerCase())).join('; ');
}

/** One item in words: Hall, fill of butts. */
export function itemWords(item: WorkItem | undefined, input: PlanInput): string {
  if (!item) return 'something else';
  const room = input.rooms.find(({ id }) => id === item.room)?.name ?? 'a room';
  const kind = KINDS[item.kind];
  const half = halfOf(item);
  return `${room}, ${PASS_NAMES[item.pass].toLowerCase()}${kind === '' ? '' : ` of ${kind}`}${half ? `, ${BLOCK_NAMES[half]}` : ''}`;
}

/** A tool as people call it. */
export function toolWords(tool: string, unit: LengthUnit): string {
  const [kind, inches] = tool.split('-');
  if (kind !== 'box') return TOOLS[tool] ?? tool;
  return `${bladeWords(Number(inches) * MM_PER_INCH, unit)} flat box`;
}
const TOOLS: Readonly<Record<string, string>> = {
  taper: 'mechanical taper',
  dispenser: 'wet-tape dispenser',
  applicator: 'applicator and head',
  lamp: 'lamp',
};

/** Why something begins no sooner. */
export function whyOf(
  { why, start, people }: Pick<Assignment, 'why' | 'start' | 'people'>,
  input: PlanInput,
  item?: WorkItem,
): string {
  const holder = input.items.find(({ id }) => id === why.item);
  const what = holder ? itemWords(holder, input) : '';
  const at = timeOf(start, input.timeZone);
  switch (why.cause) {
    case 'start':
      return 'It can start when someone is here.';
    case 'wall':
      return `What is on the wall is ready ${untilWords(start, input.from, input.timeZone)}.`;
    case 'before':
      switch (item?.after.find((one) => one.item === why.item)?.until) {
        case 'ended':
          return `${capital(what)} comes first (until ${at}).`;
        case 'firm':
          return `${capital(what)} is soft until ${at}.`;
        case 'stiff':
          return `${capital(what)} is stiff enough from ${at}.`;
        default:
          return `It waits for ${what}, to be done and dry (${at}).`;
      }
    case 'crossing':
      return `It crosses ${what}, which is soft until ${at}.`;
    case 'space':
      return `There is no space beside ${what}.`;
    case 'tool':
      return `Its tool is in use: ${what}.`;
    case 'people':
      return `${whoWords(people, input)} ${people.length > 1 ? 'run' : 'runs'} ${what} before it.`;
    case 'day':
      return 'It was assigned for this day.';
  }
}

const capital = (text: string): string => text.charAt(0).toUpperCase() + text.slice(1);

/** What makes the bound, in words. */
export function boundWords({ why }: HousePlan, input: PlanInput, unit: LengthUnit): string {
  if (why.kind === 'nothing') return 'nothing is left to do';
  const items = why.items.flatMap((id) => input.items.find((item) => item.id === id) ?? []);
  if (why.kind === 'chain') {
    const room = input.rooms.find(({ id }) => id === items.at(-1)?.room)?.name ?? 'one room';
    const coats = new Set(items.filter(({ muds }) => muds.length > 0).map(({ pass }) => pass)).size;
    return coats > 0
      ? `${room}: ${coats} ${coats === 1 ? 'round' : 'rounds'} of coats, each dry before the next, and what comes after`
      : `${room}: what comes after its coats, one thing after the other`;
  }
  const work = `${spanWords(Math.round(why.hours))} of work`;
  switch (why.kind) {
    case 'work': {
      const who = why.people.length === input.people.length ? 'everybody' : whoWords(why.people, input);
      return `${work} for ${who} before what still has to dry`;
    }
    case 'tool': {
      const count = input.crew.tools[why.tool] ?? 1;
      return `${work} with the ${toolWords(why.tool, unit)}, of which there ${count === 1 ? 'is one' : `are ${count}`}`;
    }
    case 'room': {
      const room = input.rooms.find(({ id }) => id === why.room);
      return `${room?.name ?? 'One room'}: ${work}, with space for ${room?.space ?? 1} at once`;
    }
  }
}

/** Names in a row. */
export const whoWords = (people: readonly string[], input: PlanInput): string =>
  people.map((id) => input.people.find((person) => person.id === id)?.name ?? 'somebody').join(', ');

/** Finish Thu 4 Dec, 14:00. */
export const finishWords = (at: number, input: PlanInput): string => instantWords(at, input.timeZone);

/** Names the skills of the crew. */
export const SKILL_WORDS: Readonly<Record<Skill, string>> = {
  tape: 'tape',
  coat: 'coat',
  box: 'box',
  angles: 'angles',
  sand: 'sand',
  check: 'check',
  seal: 'seal',
};

/** Why something is in no plan. */
export const LEFT_OUT = {
  nobody: 'no one has this skill',
  noTool: 'no such tool',
  before: 'depends on unscheduled work',
  never: 'never dries in this air',
} as const;
