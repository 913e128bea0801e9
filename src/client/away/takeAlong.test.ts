import { afterEach, beforeEach, expect, it, vi } from 'vitest';
import { memoryDevice } from '../../../tests/setup/memoryDevice';
import { leaveNothing, seenMarks } from '../outbox/deviceStore';
import { takeAlong } from './takeAlong';

beforeEach(async () => {
  memoryDevice();
  vi.stubGlobal('navigator', { serviceWorker: { register: async () => ({}) } });
  await leaveNothing();
});
afterEach(() => void vi.unstubAllGlobals());

/** A server that answers what is asked of it when it is told to. */
function slowServer() {
  let answer = () => {};
  let tellAsked = () => {};
  const asked = new Promise<void>((resolve) => {
    tellAsked = resolve;
  });
  const house = { id: 'h1', made: 5, me: { id: 'petra' }, head: { name: 'House h1' }, entries: [] };
  const answered = new Promise<Response>((resolve) => {
    answer = () => resolve(Response.json(house));
  });
  vi.stubGlobal('fetch', () => {
    tellAsked();
    return answered;
  });
  return { asked, answer };
}
const taken = async () => (await seenMarks()).map(({ id }) => id);

it('keeps the house of a page', async () => {
  const { answer } = slowServer();
  const took = takeAlong('h1', new AbortController().signal);
  answer();
  await took;
  expect(await taken()).toEqual(['h1']);
});

it('keeps nothing of what was on its way when somebody signed out', async () => {
  const { asked, answer } = slowServer();
  const took = takeAlong('h1', new AbortController().signal);
  await asked;
  await leaveNothing();
  answer();
  await took;
  expect(await taken()).toEqual([]);
});

it('keeps nothing of what was on its way in another tab either', async () => {
  // A tab has everything of its own but what the device keeps.
  vi.resetModules();
  const other = await import('./takeAlong');
  const { asked, answer } = slowServer();
  const took = other.takeAlong('h1', new AbortController().signal);
  await asked;
  await leaveNothing();
  answer();
  await took;
  expect(await taken()).toEqual([]);
});
