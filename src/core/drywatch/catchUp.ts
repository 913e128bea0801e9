import { milestones } from '../drying/milestones';
import { wetMudOf } from '../drying/wetMud';
import { COAT_KEYS, type Coat, type CoatedClass } from '../method/coat';
import { choicesFor } from '../method/resolveMethod';
import { kindOfCoat } from '../readiness/coatClock';
import type { ClassStanding } from '../readiness/whatNow';
import type { RoomSnapshot } from '../snapshot/houseSnapshot';

/** A class that holds its room up, and what setting mud would win. */
export interface CatchUp {
  readonly class: CoatedClass;
  readonly coat: Coat;
  /** On the label. */
  readonly minutes: number;
  /** How much sooner the coat could be coated again, if it went on now. */
  readonly hoursWon: number;
}

const HOUR_MS = 3_600_000;
/** Less is not worth another pail. Common practice, no source. */
const LEAST_WON_HOURS = 2;

/**
 * Classes that lag behind their room, as a bead that was forgotten at the tape round: every other class has that round on
 * and dry, and can go on or has gone on. Setting mud catches up the same day.
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
    // A thin pass loses its water before it has set.
    if (settled.troubles.includes('driesBeforeItSets')) return [];
    // What is sanded next has to be dry in either mud.
    const isLast = lagging.coats.at(-1)?.coat === coat;
    const next = isLast || between === 'sand' ? 'sandAt' : 'recoatAt';
    const hoursWon = (milestones(wet, clock.air)[next] - settled[next]) / HOUR_MS;
    return hoursWon < LEAST_WON_HOURS ? [] : [{ class: lagging.class, coat, minutes, hoursWon }];
  });
}

/** Whether a class has all of its coats up to the round of a coat, and waits for nothing but the rounds after it. */
function isPast({ coats, now }: ClassStanding, { round }: Coat): boolean {
  const place = COAT_KEYS.indexOf(round);
  const upTo = coats.filter(({ coat }) => COAT_KEYS.indexOf(coat.round) <= place);
  if (upTo.some(({ phase }) => phase === 'planned' || phase === 'part')) return false;
  return now.kind !== 'wet' || COAT_KEYS.indexOf(now.coat.round) > place;
}
