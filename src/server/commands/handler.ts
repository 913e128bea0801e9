import type { AnswerOf, CheckedInputOf, CommandName } from '../../contract/commands';
import { MOST_ROOMS } from '../../core/house/schema';
import type { Member } from '../../db/people';

/** Carries a command out, for the firm of who sends it; they and what is sent are checked already. */
export type Handler<Name extends CommandName> = (
  input: CheckedInputOf<Name>,
  person: Member,
) => Promise<AnswerOf<Name>>;

/** The handlers of some commands. */
export type Handlers<Names extends CommandName = CommandName> = { readonly [Name in Names]: Handler<Name> };

export const FULL = `A house holds at most ${MOST_ROOMS} rooms.`;
export const HOUSE_GONE = 'This house is gone.';
export const ROOM_GONE = 'This room is gone.';
