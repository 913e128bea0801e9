import type { PlanStanding } from '@/client/usePlan';
import type { LengthUnit } from '@/core/measure/unit';
import type { Planned } from '@/core/plan/housePart';
import type { HousePlan } from '@/core/plan/planHouse';
import { PrintButton } from '@/ui/PrintButton';
import { plural } from '@/words/plural';
import { changeWords } from '@/words/when';
import { boundWords, finishWords } from './planWords';

/** When the house is finished by this plan, how soon it could be at all and why, and what can be done with the proposal. */
export function PlanSummary({
  standing,
  shown,
  unit,
  open,
  moves,
  mayHand,
  chosen,
  busy,
  undo,
  takeAll,
  takeChosen,
  show,
  together,
  setTogether,
}: {
  readonly standing: PlanStanding;
  /** What of the plan is shown: one house, or all. */
  readonly shown: Planned | undefined;
  readonly unit: LengthUnit;
  /** How many cards are not handed out. */
  readonly open: number;
  readonly moves: number;
  readonly mayHand: boolean;
  readonly chosen: number;
  readonly busy: boolean;
  readonly undo: () => void;
  readonly takeAll: () => void;
  readonly takeChosen: () => void;
  readonly show: (panel: 'crew' | 'whatIf' | 'many') => void;
  readonly together: boolean;
  readonly setTogether: (together: boolean) => void;
}) {
  const { ground, searching, better, showBetter, failed, stop, again } = standing;
  const { plan, input } = shown ?? {};
  // Others have the crew too.
  const isShared = !together && (ground?.houses ?? 1) > 1;
  const isBest = plan !== undefined && plan.finish <= plan.bound;
  return (
    <section className="sheet space-y-3 p-4" aria-label="The plan">
      {failed && (
        <p role="alert" className="text-error">
          {failed}
        </p>
      )}
      {!plan && !failed && <p className="text-muted">Planning…</p>}
      {plan && input && plan.assignments.length === 0 && (
        <p className="text-lg">
          {input.items.length === 0
            ? 'Nothing is left to do in this house.'
            : 'Nothing of this house can be planned: see below.'}
        </p>
      )}
      {ground && ground.unplanned > 0 && (
        <p>
          <strong>{plural(ground.unplanned, 'room')} not in the plan yet.</strong> The rooms with the earliest painters’
          dates come first; the others follow as these are done.
        </p>
      )}
      {plan && input && plan.assignments.length > 0 && (
        <div className="flex flex-wrap items-baseline gap-x-6 gap-y-1">
          <p className="text-xl">
            Finish <strong>{finishWords(plan.finish, input)}</strong>
            {plan.withHeld && plan.withHeld.finish > plan.finish && (
              <span className="text-base text-muted">
                {' '}
                except rooms on hold; with them {finishWords(plan.withHeld.finish, input)}
              </span>
            )}
          </p>
          <p className="text-muted">
            {isBest
              ? `No plan finishes sooner: ${boundWords(plan, input, unit)}.`
              : isShared
                ? `With everybody here it could be ${finishWords(plan.bound, input)} at the soonest: ${boundWords(plan, input, unit)}.`
                : `Cannot be before ${finishWords(plan.bound, input)} (${changeWords(plan.finish, plan.bound)}): ${boundWords(plan, input, unit)}.`}
          </p>
        </div>
      )}
      <div className="flex flex-wrap items-center gap-2">
        {mayHand && (
          <>
            <button type="button" className="btn btn-primary btn-sm" disabled={busy || open === 0} onClick={takeAll}>
              Confirm plan
            </button>
            <button type="button" className="btn btn-primary btn-sm" disabled={!input} onClick={() => show('many')}>
              Assign several
            </button>
            <button type="button" className="btn btn-sm" disabled={busy || chosen === 0} onClick={takeChosen}>
              {chosen === 0 ? 'Confirm selected' : `Confirm selected (${chosen})`}
            </button>
            <button type="button" className="btn btn-sm" disabled={moves === 0} onClick={undo}>
              Undo move
            </button>
            <button type="button" className="btn btn-sm" disabled={!plan} onClick={() => show('whatIf')}>
              What if
            </button>
            <button type="button" className="btn btn-sm" disabled={!input} onClick={() => show('crew')}>
              Crew and tools
            </button>
          </>
        )}
        <label className="flex items-center gap-2 px-1 text-sm">
          <input
            type="checkbox"
            className="checkbox checkbox-sm"
            checked={together}
            onChange={(event) => setTogether(event.target.checked)}
          />
          All houses of the crew
          {ground &&
            together &&
            ground.houses < ground.allHouses &&
            `: ${ground.houses} of ${ground.allHouses}, those with the earliest painters’ dates`}
        </label>
        <PrintButton small />
        {searching ? (
          <button type="button" className="btn btn-ghost btn-sm" onClick={stop}>
            Improving… Stop
          </button>
        ) : (
          plan &&
          mayHand && (
            <button type="button" className="btn btn-ghost btn-sm" onClick={again}>
              Propose anew
            </button>
          )
        )}
      </div>
      {better && standing.plan && (
        <p role="status" className="flex flex-wrap items-center gap-2">
          A better plan is ready: {betterWords(standing.plan, better)}.
          <button type="button" className="btn btn-sm" onClick={showBetter}>
            Show it
          </button>
        </p>
      )}
      {mayHand && open > 0 && (
        <p className="text-sm text-muted">
          Dashed cards are a proposal: nobody sees them until you confirm. Drag a card to another person or day, or
          press it.
        </p>
      )}
    </section>
  );
}

/** Returns what is better about a plan: it ends sooner, else there is less walking to and fro. */
const betterWords = (plan: HousePlan, better: HousePlan): string =>
  better.finish < plan.finish ? `finish ${changeWords(plan.finish, better.finish)}` : 'same finish, fewer changes';
