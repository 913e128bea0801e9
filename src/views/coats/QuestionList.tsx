'use client';

import type { PricedAnswer, PricedMethod } from '@/core/estimate/priceAnswers';
import type { Price } from '@/core/estimate/priceOf';
import type { Scope } from '@/core/estimate/scope';
import type { LengthUnit } from '@/core/measure/unit';
import type { ClassChoices } from '@/core/method/resolveMethod';
import type { Question } from '@/core/room/methodAnswers';
import { SelectField } from '@/ui/SelectField';
import { useLater } from '@/ui/useLater';
import { SAFER_WORDS } from '@/words/methodWords';
import { differenceWords } from './priceWords';
import { asksOfClass, GROUPS, QUESTION_WORDS } from './questionWords';

/** Minutes on the bags that are sold. Common practice, no source. */
const LABELS = [5, 20, 45, 90, 210] as const;

/** More groups than a screen shows. */
const SEEN_FIRST = 3;

/** Every question on which crews differ, each answer with what it would change of this house. */
export function QuestionList({
  scope,
  choices,
  prices,
  unit,
  mayEdit,
  choose,
  setMinutes,
}: {
  readonly scope: Scope;
  readonly choices: ClassChoices;
  readonly prices: PricedMethod | undefined;
  readonly unit: LengthUnit;
  readonly mayEdit: boolean;
  readonly choose: (question: Question, answer: string) => void;
  readonly setMinutes: (minutes: number) => void;
}) {
  const groups = useLater(GROUPS, SEEN_FIRST);
  return (
    <div className="space-y-4">
      {groups.map(({ name, questions }) => {
        const asked = questions.filter((question) => !scope.class || asksOfClass(question, scope.class));
        if (asked.length === 0) return null;
        return (
          <section key={name} className="sheet p-4">
            <h2>{name}</h2>
            {asked.map((question) => (
              <QuestionField
                key={question}
                question={question}
                chosen={choices[question]}
                priced={prices?.answers.filter((answer) => answer.question === question) ?? []}
                now={prices?.now}
                unit={unit}
                mayEdit={mayEdit}
                choose={(answer) => choose(question, answer)}
              />
            ))}
            {questions.includes('mud') && !scope.class && choices.mud !== 'drying' && (
              <SelectField
                label="Label of the setting mud"
                className="max-w-60"
                disabled={!mayEdit}
                value={String(choices.settingMinutes)}
                options={LABELS.map((minutes) => [String(minutes), `${minutes} min`] as const)}
                onChange={(event) => setMinutes(Number(event.target.value))}
              />
            )}
          </section>
        );
      })}
    </div>
  );
}

function QuestionField({
  question,
  chosen,
  priced,
  now,
  unit,
  mayEdit,
  choose,
}: {
  readonly question: Question;
  readonly chosen: string;
  readonly priced: readonly PricedAnswer[];
  readonly now: Price | undefined;
  readonly unit: LengthUnit;
  readonly mayEdit: boolean;
  readonly choose: (answer: string) => void;
}) {
  const words = QUESTION_WORDS[question];
  return (
    <fieldset className="border-t border-base-300 py-2.5 first-of-type:border-0" disabled={!mayEdit}>
      <legend className="float-left mb-1 w-full font-semibold">{words.asks}</legend>
      <div className="clear-both grid gap-2 sm:grid-cols-2 xl:grid-cols-[repeat(auto-fit,minmax(9.5rem,1fr))]">
        {Object.entries(words.answers).map(([answer, label]) => {
          const price = priced.find((own) => own.answer === answer);
          const current = answer === chosen;
          return (
            <label
              key={answer}
              className={`flex min-h-12 flex-col rounded-field border px-3 py-2 text-sm has-focus-visible:outline-2 has-focus-visible:outline-offset-2 has-focus-visible:outline-primary ${current ? 'border-2 border-secondary bg-base-200' : 'border-base-300'} ${mayEdit ? 'cursor-pointer hover:bg-base-200' : ''}`}
            >
              <span className="flex items-start gap-2">
                <input
                  type="radio"
                  className="radio radio-xs mt-1"
                  name={question}
                  value={answer}
                  checked={current}
                  onChange={() => choose(answer)}
                />
                <span className="font-semibold">{label}</span>
              </span>
              <span className="pl-6 text-muted">
                {current ? 'as planned' : price && now ? differenceWords(price.price, now, unit) : '…'}
              </span>
              {price?.cheapest && <span className="pl-6 text-success">cheapest: fewest hours</span>}
              {price?.safer && <span className="pl-6 text-primary">safer: {SAFER_WORDS[question]}</span>}
            </label>
          );
        })}
      </div>
    </fieldset>
  );
}
