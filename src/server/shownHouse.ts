import { notFound } from 'next/navigation';
import { cache } from 'react';
import type { Company } from '../core/house/company';
import { recordOf } from '../core/inspect/handOver';
import { hangersItems } from '../core/inspect/hangersList';
import type { Shown } from '../core/log/choices';
import { readCompany } from '../db/company';
import { inFirm } from '../db/firm';
import { findPhoto } from '../db/photos';
import { findShown } from '../db/shownHouses';
import { photoAnswer } from './drawing/photos';
import { forBuilder } from './forBuilder';
import { hungOtherwise } from './hungOtherwise';
import { type LoadedSnapshot, loadSnapshot } from './loadSnapshot';
import { openHouse } from './openHouse';
import { refuse } from './refuse';
import { sheetHashes } from './signedSheets';

/** A house as a secret address shows it. */
interface ShownHouse extends LoadedSnapshot {
  readonly what: Shown;
  readonly company: Company;
  /** The hashes of the sheets as they would be signed now, by room id. */
  readonly sheets: ReadonlyMap<string, string>;
}

/** The house that a secret address shows; an address that has ended, was taken back or is guessed is the not-found page. */
export const shownHouse = cache(async (secret: string): Promise<ShownHouse> => {
  const shown = await findShown(secret);
  if (!shown) notFound();
  const { firm, house, what } = shown;
  return inFirm(firm, async () => {
    const loaded = await loadSnapshot(house);
    const sheets = sheetHashes(loaded.snapshot.rooms, loaded.people);
    return { ...forBuilder(loaded), company: await readCompany(), sheets, what };
  });
});

/** What its rooms take otherwise because their boards hang otherwise. */
export const shownHung = ({ snapshot }: Awaited<ReturnType<typeof shownHouse>>): ReturnType<typeof hungOtherwise> =>
  hungOtherwise(snapshot);

/** `GET /api/shown/SECRET/PHOTO`: a photo that a lead chose for the hand-over, or of what the hanger has to mend, and no other. */
export async function shownPhoto(secret: string, photo: string): Promise<Response> {
  const shown = await findShown(secret);
  const id = photo.toLowerCase();
  if (!shown) return refuse(404, 'There is no such photo.');
  return inFirm(shown.firm, async () => {
    const { snapshot } = await loadSnapshot(shown.house);
    const isChosen = snapshot.rooms.some((room) =>
      shown.what === 'hanger'
        ? hangersItems(room).some(({ photos }) => photos.includes(id))
        : room.state.shown.includes(id),
    );
    const bytes = isChosen ? await findPhoto(shown.house, id) : undefined;
    return bytes ? photoAnswer(bytes) : refuse(404, 'There is no such photo.');
  });
}

/** `GET …/record`: the hand-over of a house as JSON, for those whose house it is. */
export const houseRecord = (house: string): Promise<Response> =>
  openHouse(house, async ({ id, head }) => {
    const { snapshot, people } = await loadSnapshot(id);
    const names = new Map(people.map((person) => [person.id, person.name]));
    const record = recordOf(head.name, snapshot.rooms, (who) => names.get(who) ?? 'somebody');
    return Response.json(record, {
      headers: {
        'cache-control': 'no-store',
        'content-disposition': `attachment; filename="hand-over.json"`,
      },
    });
  });
