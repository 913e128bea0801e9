import type { Air } from '../air/air';
import type { HouseHead } from '../house/schema';
import type { CrewPace } from '../rates/learn';
import { LEVELS, type Level } from '../room/level';
import { ANSWERS, type AnswerTo, QUESTIONS, type Question } from '../room/methodAnswers';
import type { MethodPatch } from './methodPatch';
import { type Price, priceOf, type TakenRoom } from './priceOf';
import { SAFER } from './safer';
import { choicesIn, patched, patchOf, type Scope, WHOLE_HOUSE } from './scope';

/** One answer to a question with what it would make of this house. */
export interface PricedAnswer<Key extends Question = Question> {
  readonly question: Key;
  readonly answer: AnswerTo<Key>;
  readonly chosen: boolean;
  readonly price: Price;
  /** Fewest hours of the answers to the question; not marked where all cost the same. */
  readonly cheapest: boolean;
  /** With which least goes wrong. */
  readonly safer: boolean;
}

export interface PricedMethod {
  readonly now: Price;
  readonly levels: readonly { readonly level: Level; readonly price: Price }[];
  readonly answers: readonly PricedAnswer[];
}

/** Hours nearer than this are the same price. */
const SAME_HOURS = 0.05;

/**
 * The price of every level and of every answer to every question, for this house: the whole house is worked out with
 * that one answer changed.
 *
 * @param scope what the answers are given for; levels are the house's
 * @param crew how fast it is at what, see `learnCrew`
 */
export function priceAnswers(
  house: Pick<HouseHead, 'unit' | 'method'>,
  rooms: readonly TakenRoom[],
  air: Air,
  scope: Scope = WHOLE_HOUSE,
  crew: CrewPace = {},
): PricedMethod {
  const now = priceOf(house, rooms, air, crew);
  const chosen = choicesIn(
    scope,
    house,
    rooms.map(({ room }) => room),
  );
  const priced = (patch: MethodPatch, where = scope) => {
    const changed = patched(where, house, rooms, patch);
    return priceOf(changed.house, changed.rooms, air, crew);
  };
  const levels = LEVELS.map((level) => ({ level, price: priced({ level }, WHOLE_HOUSE) }));
  const answers = QUESTIONS.flatMap((question): readonly PricedAnswer[] => {
    const each = ANSWERS[question].map((answer) => ({
      answer,
      price: answer === chosen[question] ? now : priced(patchOf(scope, question, answer)),
    }));
    const hours = each.map(({ price }) => price.hours);
    const [least, most] = [Math.min(...hours), Math.max(...hours)];
    return each.map(({ answer, price }) => ({
      question,
      answer,
      chosen: answer === chosen[question],
      price,
      cheapest: most - least > SAME_HOURS && price.hours - least <= SAME_HOURS,
      safer: SAFER[question] === answer,
    }));
  });
  return { now, levels, answers };
}
