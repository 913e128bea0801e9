import { createHash } from 'node:crypto';
import pg from 'pg';
import { afterAll, beforeAll, expect, it } from 'vitest';
import { newEntrySchema } from '@/core/log/entry';
import { closeConnection, connection } from '@/db/connection';
import { findDevice } from '@/db/devices';
import { appendEntries, listEntries } from '@/db/entries';
import { inFirm } from '@/db/firm';
import { findFirm } from '@/db/firms';
import { findHouse, listHouses } from '@/db/houses';
import { migrate } from '@/db/migrate';
import { chartAir } from '@/db/readingHours';
import { findSession } from '@/db/sessions';

const NAME = 'upgrade_test';
const cluster = process.env.DATABASE_URL ?? '';
const AT = '2031-05-06T07:00:00.000Z';
const id = (last: number) => `00000000-0000-4000-8000-00000000000${last}`;
const [LEAD, VIEWER, HOUSE, ENTRY, DEVICE, SESSION, COAT] = [id(1), id(2), id(3), id(4), id(5), id(6), id(7)];
const sha = (text: string, encoding: 'hex' | 'base64url') => createHash('sha256').update(text).digest(encoding);

const inCluster = async (statement: string) => {
  const client = new pg.Client({ connectionString: cluster });
  await client.connect();
  await client.query(statement);
  await client.end();
};

beforeAll(async () => {
  await inCluster(`DROP DATABASE IF EXISTS ${NAME}`);
  await inCluster(`CREATE DATABASE ${NAME}`);
  const own = new URL(cluster);
  own.pathname = `/${NAME}`;
  process.env.DATABASE_URL = own.href;
});
afterAll(async () => {
  await closeConnection();
  process.env.DATABASE_URL = cluster;
  await inCluster(`DROP DATABASE ${NAME}`);
});

it('what was there before becomes one firm’s and is lifted; sign-ins and sensors hold, viewers see what they saw', async () => {
  await migrate('0007-sessions');
  await connection().query(`
    INSERT INTO people (id, name, folded, role, password_hash)
      VALUES ('${LEAD}', 'Marit', 'marit', 'lead', ''), ('${VIEWER}', 'Builder', 'builder', 'viewer', '');
    INSERT INTO houses (id, head, time_zone, next_seq) VALUES ('${HOUSE}', '{"name": "Plot 6", "unit": "in", "hang": {}, "method": {"level": 4}}', 'UTC', 3);
    INSERT INTO rooms (house_id, id, position, room) VALUES ('${HOUSE}', 'bath', 0, 
      '{"id": "bath", "name": "Bath", "level": "Ground floor", "outline": [[0, 0], [96, 0], [96, 60], [0, 60]], "height": 96,
        "ceiling": {"shape": "flat"}, "openings": []}');
    INSERT INTO entries (id, house_id, seq, room_id, kind, at, by, role, payload)
      VALUES ('${ENTRY}', '${HOUSE}', 1, 'bath', 'held', '${AT}', '${LEAD}', 'lead', '{"why": "closed"}'),
        ('${COAT}', '${HOUSE}', 2, 'bath', 'coat', '${AT}', '${LEAD}', 'lead',
          '{"class": "flat", "key": "tape", "share": {"of": "half"}, "mud": {"kind": "drying"}}');
    INSERT INTO devices (id, house_id, room_id, name, key_hash)
      VALUES ('${DEVICE}', '${HOUSE}', 'bath', 'Bath sensor', '${sha('key', 'hex')}');
    INSERT INTO reading_hours VALUES ('${HOUSE}', '${DEVICE}', 'bath', '${AT}', 6, 0, 17, 19, 18, 49, 51, 50, NULL, 1);
    INSERT INTO sessions VALUES ('${sha('token', 'base64url')}', '${SESSION}', '${VIEWER}', 'Phone', '${AT}', '${AT}');
  `);
  await migrate();
  const firm = (await findFirm('')) ?? '';
  const viewer = { firm, id: VIEWER, name: 'Builder', role: 'viewer' } as const;
  expect(await findSession('token', Date.parse(AT))).toEqual({ id: SESSION, person: viewer });
  expect(await findDevice('key')).toMatchObject({ firm, id: DEVICE, houseId: HOUSE });
  await inFirm(firm, async () => {
    expect(await listHouses(viewer)).toEqual([{ id: HOUSE, name: 'Plot 6' }]);
    expect((await findHouse(HOUSE))?.rooms.map(({ room: { name, floor } }) => [name, floor])).toEqual([
      ['Bath', 'Ground floor'],
    ]);
    const entries = await listEntries(HOUSE);
    expect(entries).toMatchObject([
      { id: ENTRY, by: LEAD },
      { id: COAT, payload: { class: 'flat', part: 0.5 } },
    ]);
    expect(entries[1]?.payload).not.toHaveProperty('share');
    // Sent again by a page of then it is known.
    const sent = {
      id: COAT,
      room: 'bath',
      at: AT,
      kind: 'coat',
      payload: { class: 'flat', key: 'tape', share: { of: 'half' } },
    };
    const again = await appendEntries(HOUSE, { id: LEAD, role: 'lead' }, [newEntrySchema.parse(sent)]);
    expect(again).toEqual({ kind: 'recorded', seqs: { [COAT]: 2 } });
    expect(await chartAir(HOUSE, 'bath', 0, Date.parse(AT), 10)).toMatchObject([{ temperature: [17, 18, 19] }]);
  });
});

it('a database without anything gets no firm', async () => {
  await connection().query('DROP SCHEMA public CASCADE; CREATE SCHEMA public');
  await migrate();
  expect(await findFirm('')).toBeUndefined();
});
