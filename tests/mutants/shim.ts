import {
  ASYMMETRIC_MATCHERS_OBJECT,
  GLOBAL_EXPECT,
  getState,
  JestAsymmetricMatchers,
  JestChaiExpect,
  JestExtend,
  setState,
} from '@vitest/expect';
import * as chai from 'chai';

chai.use(JestExtend);
chai.use(JestChaiExpect);
chai.use(JestAsymmetricMatchers);

type Body = () => unknown;
/** The tests of the file that was loaded last, in their order. */
export const tests: Body[] = [];

export const expect = ((value: unknown, message?: string) => chai.expect(value, message)) as unknown as Record<
  string,
  unknown
>;
Object.assign(expect, chai.expect);
Object.assign(expect, Reflect.get(globalThis, ASYMMETRIC_MATCHERS_OBJECT));
Reflect.set(globalThis, GLOBAL_EXPECT, expect);
setState({ assertionCalls: 0, isExpectingAssertions: false }, expect as never);
expect.getState = () => getState(expect as never);

const each =
  (run: (name: string, body: Body) => void) =>
  (rows: readonly unknown[]) =>
  (name: string, body: (...row: unknown[]) => unknown): void => {
    for (const row of rows) run(name, () => body(...(Array.isArray(row) ? row : [row])));
  };
const one = (_: string, body: Body): void => {
  tests.push(body);
};
const group = (_: string, body: Body): void => {
  body();
};
export const it = Object.assign(one, { each: each(one) });
export const test = it;
export const describe = Object.assign(group, { each: each(group) });
