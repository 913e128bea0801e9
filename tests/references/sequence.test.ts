import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { plainInput } from '@/cli/planReport';
import type { House } from '@/core/house/schema';
import { SCHOOLS, type School, startingMethods } from '@/core/method/startingMethods';
import { type HousePlan, planHouse } from '@/core/plan/planHouse';
import type { MethodChoices } from '@/core/room/methodSchema';
import type { Room } from '@/core/room/schema';
import { anyRoom } from '../houses/anyRoom';

const FROM = Date.parse('2031-05-05T07:00:00Z');
const MINUTE_MS = 60_000;

/** The order of a room by round and kind, written down by hand. Common practice, no source. */
const TAPE = ['bead', 'butt', 'flat', 'angle', 'fasteners'];
const BUTTS_FIRST = ['butt', 'fasteners', 'flat', 'bead', 'angle'];
const BOXES = ['flat', 'butt', 'bead', 'angle', 'fasteners'];
const CEILING_SIDES = ['angle', 'fasteners', 'flat', 'butt', 'bead'];
const LATER: Readonly<Record<School | 'bathroom', readonly string[]>> = {
  hand: BUTTS_FIRST,
  trowel: BUTTS_FIRST,
  boxes: BOXES,
  setting: BUTTS_FIRST,
  metric: BUTTS_FIRST,
  bathroom: CEILING_SIDES,
};
/** What a knife runs over, or is run over by. */
const CROSSED = ['bead', 'butt', 'flat', 'angle'];

const choicesOf = (school: School | 'bathroom'): MethodChoices =>
  school === 'bathroom'
    ? { order: 'ceilingSides' }
    : (startingMethods('in').find(({ id }) => id === school)?.choices ?? {});

function planOf(room: Room, school: School | 'bathroom', people: number) {
  const house: House = {
    format: 'oak-tally-house',
    version: 1,
    unit: 'in',
    name: 'House',
    hang: {},
    method: { level: 4, ...choicesOf(school) },
    rooms: [{ ...room, method: undefined }],
  };
  const input = plainInput(house, people, FROM, 'UTC');
  return { input, plan: planHouse(input, { effort: 0 }) };
}

interface Run {
  readonly round: string;
  readonly kind: string;
  readonly start: number;
  readonly end: number;
  /** Minutes until it is firm. */
  readonly firm: number;
}

/** The coats of a plan by what their ids say. */
function runsOf({ plan, input }: ReturnType<typeof planOf>): readonly Run[] {
  return plan.assignments.flatMap(({ item, start, end }: HousePlan['assignments'][number]): readonly Run[] => {
    const of = input.items.find(({ id }) => id === item);
    if (!of || of.coats.length === 0 || of.kind === 'surface') return [];
    const minutes = of.muds.map(({ mud }) => (mud.kind === 'setting' ? mud.minutes : 30));
    return [{ round: of.pass, kind: of.kind, start, end, firm: Math.max(...minutes) }];
  });
}

describe('the order of a room in its plan', () => {
  it('is that of the school in 400 rooms, and what crosses something waits until that is firm', () => {
    let [orders, waits] = [0, 0];
    fc.assert(
      fc.property(
        anyRoom,
        fc.constantFrom<School | 'bathroom'>(...SCHOOLS, 'bathroom'),
        fc.integer({ min: 1, max: 3 }),
        (room, school, people) => {
          const runs = runsOf(planOf(room, school, people));
          for (const one of runs)
            for (const other of runs) {
              if (one.round !== other.round) continue;
              const order = one.round === 'tape' ? TAPE : LATER[school];
              if (order.indexOf(one.kind) >= order.indexOf(other.kind)) continue;
              expect(other.start, `${one.round}: ${one.kind}, then ${other.kind}`).toBeGreaterThanOrEqual(one.end);
              orders += 1;
            }
          for (const one of runs)
            for (const other of runs) {
              if (one.round === 'tape' || other.round === 'tape' || one.kind === other.kind) continue;
              if (!CROSSED.includes(one.kind) || !CROSSED.includes(other.kind) || other.start < one.start) continue;
              expect(other.start, `${other.kind} over ${one.kind}`).toBeGreaterThanOrEqual(
                one.end + one.firm * MINUTE_MS,
              );
              waits += 1;
            }
        },
      ),
      { numRuns: 400 },
    );
    expect(Math.min(orders, waits)).toBeGreaterThan(2000);
  });

  it('has no wait in the tape round: one person tapes a room in one go', () => {
    fc.assert(
      fc.property(anyRoom, fc.constantFrom<School | 'bathroom'>(...SCHOOLS, 'bathroom'), (room, school) => {
        const posed = planOf(room, school, 1);
        const tape = runsOf(posed).filter(({ round }) => round === 'tape');
        for (const [index, { start }] of tape.entries()) {
          const before = tape[index - 1];
          // Over night it rests.
          if (!before || new Date(before.end).getUTCDate() !== new Date(start).getUTCDate()) continue;
          const between = posed.plan.assignments.filter((one) => one.start >= before.end && one.end <= start);
          expect(before.end + between.reduce((sum, one) => sum + one.end - one.start, 0)).toBe(start);
        }
      }),
      { numRuns: 60 },
    );
  });

  it('centres boxed butts the same day, two hours or more after they were run', () => {
    let centred = 0;
    fc.assert(
      fc.property(anyRoom, (room) => {
        const { plan, input } = planOf(room, 'boxes', 2);
        for (const round of ['fill', 'finish']) {
          const of = (work: string) => plan.assignments.find(({ item }) => item === `${input.rooms[0]?.id}/${work}`);
          const [butts, centring] = [of(`${round}.butt`), of(`centring.${round}`)];
          if (!butts || !centring) continue;
          expect(centring.start - butts.end).toBeGreaterThanOrEqual(120 * MINUTE_MS);
          centred += 1;
        }
      }),
      { numRuns: 60 },
    );
    expect(centred).toBeGreaterThan(30);
  });
});
