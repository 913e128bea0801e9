import { aroundAll, beforeAll, describe, expect, it, vi } from 'vitest';
import type { HousePlan } from '@/core/plan/planHouse';
import { planHouse } from '@/core/plan/planHouse';
import type { PlanInput } from '@/core/plan/planInput';
import { dropCrewPlan, readCrewPlan, type StoredPlan } from '@/db/crewPlans';
import { inFirm } from '@/db/firm';
import type { Member } from '@/db/people';
import { currentPlan } from '@/server/plans/currentPlan';
import { oneRoomSnapshot } from '../houses/oneRoomSnapshot';
import { asTestFirm, newFirm } from './asTestFirm';

type Read = () => Promise<StoredPlan | undefined>;
const reading = vi.hoisted((): { slow: ((read: Read) => Promise<StoredPlan | undefined>) | undefined } => ({
  slow: undefined,
}));
vi.mock('@/db/crewPlans', async (original) => {
  const real = await original<typeof import('@/db/crewPlans')>();
  const readCrewPlan: typeof real.readCrewPlan = () => {
    const read = () => real.readCrewPlan();
    return reading.slow ? reading.slow(read) : read();
  };
  return { ...real, readCrewPlan };
});

const NOW = Date.parse('2031-05-06T11:00:00Z');
const { inputWith } = oneRoomSnapshot("A 12' x 10' x 8', door 32x80 wall 1 bead", NOW);
const PERSON = '00000000-0000-4000-8000-00000000000b';
const input: PlanInput = {
  ...inputWith([]),
  people: [
    {
      id: PERSON,
      name: 'Tobin',
      hours: 8,
      skills: ['tape', 'coat', 'angles', 'sand', 'check', 'seal'],
      learner: false,
      off: [],
      pace: {},
    },
  ],
};
let lead: Member;

aroundAll(asTestFirm);
beforeAll(async () => {
  lead = await newFirm();
});
/** Asks for the plan, and counts how often one was made. */
async function ask(
  asked: PlanInput,
  makes: (former: unknown) => void = () => undefined,
): Promise<HousePlan | undefined> {
  return inFirm(lead.firm, () =>
    currentPlan(asked, async ({ input: own, options }) => {
      makes(options.former);
      return planHouse(own, { ...options, effort: 0 });
    }),
  );
}

describe('the plan of a crew', () => {
  it('is made once for each state, however many ask at once, and stands for whoever asks later', async () => {
    let made = 0;
    const plans = await Promise.all(Array.from({ length: 4 }, () => ask(input, () => (made += 1))));
    expect(made).toBe(1);
    expect(new Set(plans.map((plan) => plan?.finish)).size).toBe(1);
    // Ten minutes before anything is to begin it is still the plan.
    const early = { ...input, from: (plans[0]?.start ?? 0) - 600_000 };
    const still = await ask(early, () => (made += 1));
    expect(still?.assignments).toEqual(JSON.parse(JSON.stringify(plans[0]?.assignments)));
    expect(made).toBe(1);
  });

  it('is made once where a second one reads that there is none, and is told so only after it was saved', async () => {
    await inFirm(lead.firm, () => dropCrewPlan());
    let made = 0;
    let first: Promise<HousePlan | undefined> | undefined;
    let reads = 0;
    reading.slow = async (read) => {
      reads += 1;
      const isSecond = reads === 2;
      const found = await read();
      if (isSecond) await first;
      return found;
    };
    first = ask(input, () => (made += 1));
    const second = ask(input, () => (made += 1));
    const finishes = (await Promise.all([first, second])).map((plan) => plan?.finish);
    reading.slow = undefined;
    expect(new Set(finishes).size).toBe(1);
    expect(made).toBe(1);
  });

  it('is searched for from the one before when the state changes, or when what was to begin did not', async () => {
    const before = await ask(input);
    const formers: unknown[] = [];
    const other = { ...input, items: input.items.slice(0, -1) };
    const after = await ask(other, (former) => formers.push(former));
    expect(JSON.parse(JSON.stringify(formers))).toEqual([JSON.parse(JSON.stringify(before))]);
    const late = { ...other, from: (after?.start ?? 0) + 3_600_000 };
    const slipped = await ask(late, (former) => formers.push(former));
    expect(formers).toHaveLength(2);
    expect(slipped?.start).toBeGreaterThanOrEqual(late.from);
  });

  it('is made from nothing once it is dropped', async () => {
    await ask(input);
    await inFirm(lead.firm, () => dropCrewPlan());
    expect(await inFirm(lead.firm, () => readCrewPlan())).toBeUndefined();
    const formers: unknown[] = [];
    await ask(input, (former) => formers.push(former));
    expect(formers).toEqual([undefined]);
  });
});
