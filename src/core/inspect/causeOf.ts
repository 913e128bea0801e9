import type { CoatEntry } from '../log/entry';
import type { OpenItem } from '../log/roomState';
import { whoDid } from '../log/whoDid';
import { coatNamed } from '../method/coatNamed';
import { type Account, DEFECTS, type DefectKind } from '../method/defects';
import { coatClock } from '../readiness/coatClock';
import type { RoomSnapshot } from '../snapshot/houseSnapshot';

/** What something that is wrong comes from, as far as the record says: whose account, and which coat by whom. */
export interface Cause {
  readonly account: Account;
  /** The coat that it lies in. */
  readonly coat: CoatEntry | undefined;
  readonly who: readonly string[];
  /** The coat over it went on before it could be coated again: the time between, and what it should have been; ms. */
  readonly coatedAfter: { readonly waited: number; readonly asked: number } | undefined;
}

/**
 * By whose account something is wrong: before any coat is on, nothing is the crew's. Undefined where nobody gave it a name after
 * that.
 */
export function accountOf({ defect, after }: Pick<OpenItem, 'defect' | 'after'>): Account | undefined {
  const account = defect && DEFECTS[defect].account;
  return after === 0 && account !== 'others' ? 'hanger' : account;
}

/** What is wrong with the tape; all else lies in the coat that was put on last. */
const IN_TAPE: ReadonlySet<DefectKind> = new Set(['bubble', 'tapeShows']);

/**
 * The cause of something that is wrong, proposed from what was put on where it lies before it was seen. Of what lies on no piece, and of
 * the hanger's or another trade's, there is no coat.
 */
export function causeOf(
  item: Pick<OpenItem, 'defect' | 'piece' | 'at' | 'after'>,
  { state, coats, method, clock }: Pick<RoomSnapshot, 'state' | 'coats' | 'method' | 'clock'>,
): Cause {
  const account = accountOf(item) ?? 'crew';
  const nobody: Cause = { account, coat: undefined, who: [], coatedAfter: undefined };
  if (account !== 'crew' || item.piece === undefined) return nobody;
  const on = state.applied.filter(
    (entry) => Date.parse(entry.at) <= Date.parse(item.at) && entry.payload.on?.some(({ id }) => id === item.piece),
  );
  const inTape = item.defect !== undefined && IN_TAPE.has(item.defect);
  const coat = inTape ? on.find(({ payload }) => payload.key === 'tape') : on.at(-1);
  if (!coat) return nobody;
  const next = on[on.indexOf(coat) + 1];
  const planned = coatNamed(coats, coat.payload);
  const asked = planned && coatClock(coat, planned, method, clock).recoatAt - Date.parse(coat.at);
  const waited = next && Date.parse(next.at) - Date.parse(coat.at);
  return {
    account,
    coat,
    who: whoDid(coat),
    coatedAfter:
      inTape && asked !== undefined && waited !== undefined && waited < asked ? { waited, asked } : undefined,
  };
}
