import type { Cause } from '@/core/inspect/causeOf';
import { ACCOUNT_WORDS } from '@/words/defectWords';
import { PASS_NAMES } from '@/words/stateWords';
import { instantWords, spanWords } from '@/words/when';

const HOUR_MS = 3_600_000;

/** What something comes from, in a line: whose coat it lies in, and whether that was coated too soon; else whose account it is. */
export function causeWords(
  { account, coat, who, coatedAfter }: Cause,
  namesOf: (who: readonly string[]) => string,
  timeZone: string,
): string | undefined {
  if (!coat) return account === 'crew' ? undefined : `On ${ACCOUNT_WORDS[account]} account.`;
  const when = `${PASS_NAMES[coat.payload.key]} coat by ${namesOf(who)}, ${instantWords(Date.parse(coat.at), timeZone)}`;
  return coatedAfter
    ? `${when}: coated again after ${spanWords(coatedAfter.waited / HOUR_MS)}, it needed ${spanWords(coatedAfter.asked / HOUR_MS)}.`
    : `${when}.`;
}
