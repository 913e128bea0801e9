import { openHouse } from './openHouse';

/** A house as a house file to keep, for those whose house it is. */
export const houseFile = (id: string): Promise<Response> =>
  openHouse(id, ({ head, rooms }) => {
    const file = { format: 'oak-tally-house', version: 2, ...head, rooms: rooms.map(({ room }) => room) };
    const name =
      head.name
        .toLowerCase()
        .replace(/[^a-z0-9]+/g, '-')
        .replace(/^-|-$/g, '') || 'house';
    return new Response(`${JSON.stringify(file, null, 2)}\n`, {
      headers: {
        'content-type': 'application/json',
        'cache-control': 'no-store',
        'content-disposition': `attachment; filename="${name}.json"`,
      },
    });
  });
