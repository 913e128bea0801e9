import type { HouseHead } from '../house/schema';
import { type ClassChoices, choicesFor, type Method, methodOfRoom, resolveMethod } from '../method/resolveMethod';
import type { Choices, MethodClass, Question } from '../room/methodAnswers';
import type { Room } from '../room/schema';
import { type MethodPatch, withPatch } from './methodPatch';

/** What a choice is made for: the house or one room, all joints or one class. */
export interface Scope {
  readonly room: string | undefined;
  readonly class: MethodClass | undefined;
}
export const WHOLE_HOUSE: Scope = { room: undefined, class: undefined };

type Head = Pick<HouseHead, 'unit' | 'method'>;
type MethodRoom = Pick<Room, 'id' | 'finish' | 'method'>;

/** The answers that hold in a scope, its own or taken over. */
export function choicesIn(scope: Scope, house: Head, rooms: readonly MethodRoom[]): ClassChoices {
  const method = methodIn(scope, house, rooms);
  return scope.class ? choicesFor(method, scope.class) : method.all;
}

/** The method that holds in a scope. */
export function methodIn({ room: id }: Scope, house: Head, rooms: readonly MethodRoom[]): Method {
  const shared = resolveMethod(house);
  const room = rooms.find((candidate) => candidate.id === id);
  return room ? methodOfRoom(house, room, shared) : shared;
}

/** One answer as a change in a scope. */
export const patchOf = (scope: Scope, question: Question, answer: string): MethodPatch => {
  const choices = { [question]: answer } as Partial<Choices>;
  return scope.class ? { classes: { [scope.class]: choices } } : { choices };
};

/** The house and its rooms with a change made in a scope. */
export function patched<Taken extends { readonly room: MethodRoom }, House extends Head>(
  scope: Scope,
  house: House,
  rooms: readonly Taken[],
  patch: MethodPatch,
): { readonly house: House; readonly rooms: readonly Taken[] } {
  if (scope.room === undefined) return { house: { ...house, method: withPatch(house.method, patch) }, rooms };
  return {
    house,
    rooms: rooms.map((taken) =>
      taken.room.id === scope.room
        ? { ...taken, room: { ...taken.room, method: withPatch(taken.room.method ?? {}, patch) } }
        : taken,
    ),
  };
}
