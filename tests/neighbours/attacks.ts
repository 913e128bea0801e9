import { randomUUID } from 'node:crypto';
import sharp from 'sharp';
import { houseOfRooms } from '../bench/rooms';

/** Where attacks are sent, and by whom. */
export interface Target {
  readonly url: string;
  readonly house: string;
  /** The cookies of people of the company that attacks. */
  readonly lead: string;
  readonly finisher: string;
  readonly viewer: string;
}

/** So long streams are held open. */
const HELD_MS = 20_000;

/** Sends one thing that takes much once; it is sent again and again while others are measured. */
export type Attack = (target: Target) => Promise<unknown>;

/** A small file that is a picture of 59 million pixels, or of 15, which may be sent. */
const avifOf = (edge: number): Promise<Buffer> =>
  sharp({ create: { width: edge, height: edge, channels: 3, background: '#8a6' }, limitInputPixels: false })
    .avif({ effort: 0 })
    .toBuffer();
const pictures = new Map<number, Promise<Buffer>>();
function pictureOf(edge: number): Promise<Buffer> {
  const made = pictures.get(edge) ?? avifOf(edge);
  pictures.set(edge, made);
  return made;
}

const times = <Value>(count: number, run: (index: number) => Promise<Value>): Promise<readonly Value[]> =>
  Promise.all(Array.from({ length: count }, (_, index) => run(index)));

/** Reads an answer to its end. */
const drained = async (answer: Promise<Response>): Promise<number> => {
  const { status, body } = await answer;
  for await (const _ of body ?? []);
  return status;
};
const json = { 'content-type': 'application/json' };
const command = ({ url, lead: cookie }: Target, name: string, input: object) =>
  fetch(`${url}/api/commands/${name}`, { method: 'POST', headers: { ...json, cookie }, body: JSON.stringify(input) });

const photos =
  (count: number, edge: number): Attack =>
  async ({ url, house, finisher: cookie }) => {
    const body = await pictureOf(edge);
    return times(count, () =>
      drained(
        fetch(`${url}/api/photos/${house}/${randomUUID()}`, {
          method: 'PUT',
          headers: { cookie },
          body: new Uint8Array(body),
        }),
      ),
    );
  };

/** A house file of 3.4 MB in which everything is wrong. */
const wrongHouse = JSON.stringify({
  ...houseOfRooms(1),
  rooms: Array.from({ length: 2000 }, () => ({ outline: Array.from({ length: 150 }, () => 'no corner') })),
});

let large: Promise<string> | undefined;
const largeHouse = (target: Target): Promise<string> => {
  large ??= importLarge(target);
  return large;
};
async function importLarge(target: Target): Promise<string> {
  const text = JSON.stringify(houseOfRooms(2000));
  const answer = await (await command(target, 'importHouse', { text, turn: false, timeZone: 'UTC' })).json();
  if (!answer.ok) throw new Error(JSON.stringify(answer).slice(0, 500));
  return answer.value.id;
}
const largePage =
  (page: string): Attack =>
  async (target) =>
    drained(fetch(`${target.url}/h/${await largeHouse(target)}${page}`, { headers: { cookie: target.lead } }));

/** What one company can ask for, by name. */
export const ATTACKS: Readonly<Record<string, Attack>> = {
  nothing: () => new Promise((resolve) => setTimeout(resolve, 100)),
  'four photos of 59 megapixels': photos(4, 7680),
  'sixteen photos of 15 megapixels': photos(16, 3900),
  'a wrong house file': (target) =>
    drained(command(target, 'importHouse', { text: wrongHouse, turn: false, timeZone: 'UTC' })),
  'entries of 300,000 empty pieces': ({ url, house, viewer: cookie }) =>
    drained(
      fetch(`${url}/api/entries`, {
        method: 'POST',
        headers: { ...json, cookie },
        body: JSON.stringify({
          house,
          entries: Array.from({ length: 499 }, () => ({ payload: { pieces: Array.from({ length: 600 }, () => '') } })),
        }),
      }),
    ),
  'four plans of all houses': ({ url, house, finisher: cookie }) =>
    times(4, () => drained(fetch(`${url}/h/${house}/plan?houses=all`, { headers: { cookie } }))),
  'a thousand streams': async ({ url, finisher: cookie }) => {
    const gone = new AbortController();
    const open = () => fetch(`${url}/api/live`, { headers: { cookie }, signal: gone.signal }).catch(() => undefined);
    const streams = times(1000, open);
    await new Promise((resolve) => setTimeout(resolve, HELD_MS));
    gone.abort();
    await streams;
  },
  'the import of 2,000 rooms': async (target) => {
    await importLarge(target);
  },
  'a house of 2,000 rooms': largePage(''),
  'its board': largePage('/board'),
  'its Load': largePage('/load'),
  'its Run sheet': largePage('/run'),
  'its plan': largePage('/plan'),
  'its goods by the plan': largePage('/plan/goods'),
};
