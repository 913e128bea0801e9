import type { AnswerOf, CheckedInputOf, CommandName } from '../../contract/commands';
import type { Person } from '../../core/log/person';

/** Carries a command out; who sends it and what is sent are checked already. */
export type Handler<Name extends CommandName> = (
  input: CheckedInputOf<Name>,
  person: Person,
) => Promise<AnswerOf<Name>>;

/** The handlers of some commands. */
export type Handlers<Names extends CommandName = CommandName> = { readonly [Name in Names]: Handler<Name> };

export const HOUSE_GONE = 'This house is gone.';
export const ROOM_GONE = 'This room is gone.';
