import { type AirClock, airClock } from '../air/airClock';
import { withFan } from '../air/fan';
import { milestones } from '../drying/milestones';
import { wetMudOf } from '../drying/wetMud';
import { COAT_KEYS, type Coat, type CoatedClass } from '../method/coat';
import { choicesFor } from '../method/resolveMethod';
import { kindOfCoat } from '../readiness/coatClock';
import type { ClassStanding } from '../readiness/whatNow';
import type { RoomSnapshot } from '../snapshot/houseSnapshot';

/** A class that holds its room up, and how much sooner its coat could be coated again, or sanded, if it went on now. */
export interface CatchUp {
  readonly class: CoatedClass;
  readonly coat: Coat;
  /** In setting mud of so many minutes; undefined where the coat is too thin for it. */
  readonly setting: { readonly minutes: number; readonly hoursWon: number } | undefined;
  /** With a fan beside it. */
  readonly fanHours: number;
}

const HOUR_MS = 3_600_000;
/** Less is not worth another pail. Common practice, no source. */
const LEAST_WON_HOURS = 2;

/**
 * Classes that lag behind their room, as a bead that was forgotten at the tape round: every other class has that round on
 * and dry, and can go on or has gone on. Setting mud catches up the same day; a fan wins about as much on a last coat.
 *
 * @param now ms since 1970
 */
export function catchUps({ standing, method, clock }: RoomSnapshot, now: number): readonly CatchUp[] {
  const joints = standing.classes.filter((one) => one.class !== 'surface');
  return joints.flatMap((lagging): readonly CatchUp[] => {
    if (lagging.now.kind !== 'go') return [];
    const { coat } = lagging.now;
    const others = joints.filter((other) => other !== lagging);
    if (coat.settingMinutes !== undefined || others.length === 0 || !others.every((other) => isPast(other, coat)))
      return [];
    const { settingMinutes: minutes, between } = choicesFor(method, lagging.class);
    const slowness = clock.slowness.get(kindOfCoat(coat)) ?? 1;
    const wet = { ...wetMudOf(coat, method), slowness, at: now };
    const setting = { ...wet, mud: { kind: 'setting', minutes } as const };
    const settled = milestones(setting, clock.air);
    // What is sanded next has to be dry in either mud.
    const isLast = lagging.coats.at(-1)?.coat === coat;
    const next = isLast || between === 'sand' ? 'sandAt' : 'recoatAt';
    const dried = milestones(wet, clock.air)[next];
    const won = (at: number) => (dried - at) / HOUR_MS;
    // A thin pass loses its water before it has set.
    const sets = !settled.troubles.includes('driesBeforeItSets') && won(settled[next]) >= LEAST_WON_HOURS;
    const fanHours = won(milestones(wet, withFanFrom(clock.air, now))[next]);
    if (!sets && fanHours < LEAST_WON_HOURS) return [];
    return [
      {
        class: lagging.class,
        coat,
        setting: sets ? { minutes, hoursWon: won(settled[next]) } : undefined,
        fanHours: Math.max(0, fanHours),
      },
    ];
  });
}

/** The air of a room with a fan in it from now on. */
function withFanFrom({ steps }: AirClock, now: number): AirClock {
  const before = steps.filter(({ from }) => from <= now);
  return airClock([
    ...before,
    ...before.slice(-1).map((step) => ({ from: now, air: withFan(step.air) })),
    ...steps.filter(({ from }) => from > now).map((step) => ({ from: step.from, air: withFan(step.air) })),
  ]);
}

/** Whether a class has all of its coats up to the round of a coat, and waits for nothing but the rounds after it. */
function isPast({ coats, now }: ClassStanding, { round }: Coat): boolean {
  const place = COAT_KEYS.indexOf(round);
  const upTo = coats.filter(({ coat }) => COAT_KEYS.indexOf(coat.round) <= place);
  if (upTo.some(({ phase }) => phase === 'planned' || phase === 'part')) return false;
  return now.kind !== 'wet' || COAT_KEYS.indexOf(now.coat.round) > place;
}
