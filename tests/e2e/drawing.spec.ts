import { randomUUID } from 'node:crypto';
import { readFile } from 'node:fs/promises';
import { readDxf } from '../../src/core/dxf/readDxf';
import { expect, test, untilTaken, visit } from './site';

type Pair = readonly [number, string | number];
const outline = (layer: string, points: readonly (readonly [number, number])[], closed = 1): readonly Pair[] => [
  [0, 'LWPOLYLINE'],
  [8, layer],
  [90, points.length],
  [70, closed],
  ...points.flatMap(([x, y]): readonly Pair[] => [
    [10, x],
    [20, y],
  ]),
];
const box = (x: number, y: number, width: number, height: number) =>
  [
    [x, y],
    [x + width, y],
    [x + width, y + height],
    [x, y + height],
  ] as const;
const words = (text: string, x: number, y: number): readonly Pair[] => [
  [0, 'TEXT'],
  [8, 'names'],
  [10, x],
  [20, y],
  [40, 8],
  [1, text],
];
const file = (name: string, content: string) => ({ name, mimeType: 'application/dxf', buffer: Buffer.from(content) });
const FLAT = [
  [0, 'SECTION'],
  [2, 'HEADER'],
  [9, '$INSUNITS'],
  [70, 1],
  [0, 'ENDSEC'],
  [0, 'SECTION'],
  [2, 'ENTITIES'],
  ...outline('rooms', box(0, 0, 144, 120)),
  ...outline('rooms', box(150, 0, 96, 120)),
  ...outline('rooms', box(300, 0, 96, 120), 0),
  ...outline('furniture', box(20, 20, 30, 60)),
  ...words('Reading room', 40, 60),
  ...words('Linen', 180, 60),
  [0, 'ENDSEC'],
  [0, 'EOF'],
]
  .flat()
  .join('\n');

test('rooms come in from a drawing, and go out as one', async ({ page, house, signIn }) => {
  await signIn(page, 'Marit');
  await visit(page, `${house}/tally?room=hall`);
  await page.getByRole('button', { name: 'From a drawing …' }).click();
  const dialog = page.getByRole('dialog');
  const chooser = dialog.getByLabel('Drawing (DXF)');
  await chooser.setInputFiles(file('plan.pdf', '%PDF-1.7'));
  await expect(dialog.getByRole('alert')).toContainText('A PDF is not read');
  await chooser.setInputFiles(file('broken.dxf', FLAT.slice(0, 200)));
  await expect(dialog.getByRole('alert')).toContainText('broken.dxf ends in the middle');
  await chooser.setInputFiles(file('flat.dxf', FLAT));
  const list = dialog.getByRole('list', { name: 'Rooms in the drawing' });
  await expect(list.getByRole('listitem')).toHaveText([/Reading room\s*120 ft²/, /Linen\s*80 ft²/]);
  await expect(dialog.getByLabel('Drawn in')).toHaveValue('in');
  await expect(dialog.getByRole('region', { name: 'Left out' })).toContainText(
    'outline 3 is open: its ends do not meet',
  );
  // The same drawing in feet is a hall too large to be one.
  await dialog.getByLabel('Drawn in').selectOption('ft');
  await expect(list.getByRole('listitem').first()).not.toHaveText(/120 ft²/);
  await dialog.getByLabel('Drawn in').selectOption('in');
  await dialog.getByLabel('Height of all').fill('nine');
  await expect(dialog.getByRole('button', { name: /^Save/ })).toBeDisabled();
  await dialog.getByLabel('Height of all').fill("9'");
  await dialog.getByLabel('Floor', { exact: true }).fill('Cellar');
  await dialog.getByRole('checkbox', { name: /Linen/ }).uncheck();
  await untilTaken(page, '/commands/addRooms', () => dialog.getByRole('button', { name: 'Save 1 room' }).click());
  await page
    .getByRole('region', { name: 'Cellar' })
    .getByRole('link', { name: /Reading room/ })
    .click();
  await expect(page.getByLabel('Quick line')).toHaveValue("Reading room: 12' x 10' x 9', on Cellar");

  const saved = async (name: string) => {
    const download = page.waitForEvent('download');
    await page.getByRole('button', { name, exact: true }).click();
    return readFile(await (await download).path(), 'utf8');
  };
  const one = readDxf(await saved('DXF'));
  if (!one.ok) throw new Error(one.reason);
  expect(new Set(one.drawing.lines.map(({ layer }) => layer))).toContain('JOINT INSIDE ANGLES');
  expect(one.drawing.texts.map(({ text }) => text)).toContain('Reading room');
  const all = readDxf(await saved('Rooms as DXF'));
  if (!all.ok) throw new Error(all.reason);
  expect(all.drawing.texts.map(({ text }) => text)).toEqual(expect.arrayContaining(['Reading room', 'Hall', 'Bath']));
  await page.getByLabel('Quick line').press('End');
  await page.getByLabel('Quick line').pressSequentially(', note back door only');
  await expect(page.getByText('Note: back door only')).toBeVisible();
  const picture = await saved('SVG');
  expect(picture).toMatch(/^<\?xml/);
  expect(picture).toContain('stroke="rgb(');
  expect(picture).not.toContain('class=');
  // Picture, tally and note stand on one page.
  for (const words of ['Reading room', 'Inside angles', 'Fasteners to spot', 'back door only'])
    expect(picture).toContain(`>${words}<`);
});

test('a finisher takes nothing from a drawing', async ({ page, house, signIn }) => {
  await signIn(page, 'Tobin');
  await visit(page, `${house}/tally?room=hall`);
  await expect(page.getByRole('button', { name: 'DXF', exact: true })).toBeVisible();
  await expect(page.getByRole('button', { name: 'From a drawing …' })).toHaveCount(0);
  const answer = await page.request.post('/api/commands/addRooms', {
    data: { house: house.split('/').at(-1), rooms: [{ name: 'A', outline: box(0, 0, 144, 120), height: 96 }] },
  });
  expect(answer.status()).toBe(403);
});

test('a house file that was worked on elsewhere is laid beside the house, and what is chosen of it is taken over', async ({
  page,
  house,
  signIn,
}) => {
  await signIn(page, 'Marit');
  await visit(page, `${house}/tally?room=hall`);
  const written = await (await page.request.get(`${house}/file`)).json();
  const { rooms, ...head } = written;
  const worked = {
    ...head,
    method: { ...head.method, level: 3 },
    rooms: [
      ...rooms
        .filter(({ id }: { id: string }) => id !== 'bath')
        .map((room: { id: string; height: number }) =>
          room.id === 'hall' ? { ...room, height: room.height + 12 } : room,
        ),
      { id: 'loft', name: 'Loft', outline: box(0, 0, 144, 120), height: 96 },
    ],
  };
  const open = async (content: object | string) => {
    const text = typeof content === 'string' ? content : JSON.stringify(content);
    await dialog.getByLabel('House file (JSON)').setInputFiles(file('house.json', text));
  };
  await page.getByRole('button', { name: 'From a house file …' }).click();
  const dialog = page.getByRole('dialog');
  await open('{');
  await expect(dialog.getByRole('alert')).toContainText('it is no JSON');
  await open({ ...worked, version: 9 });
  await expect(dialog.getByRole('alert')).toContainText('version');
  await open(written);
  await expect(dialog.getByRole('status')).toContainText(
    `0 new rooms, 0 changed, 0 not in the file; ${rooms.length} rooms as here`,
  );
  await expect(dialog.getByRole('button', { name: 'Take over 0 changes' })).toBeDisabled();
  await open(worked);
  const list = dialog.getByRole('list', { name: 'What the file changes' });
  await expect(list.getByRole('checkbox', { name: /Hall.*changed: height/ })).toBeChecked();
  await expect(list.getByRole('checkbox', { name: /Loft.*new/ })).toBeChecked();
  await expect(list.getByRole('checkbox', { name: /Bath.*not in the file/ })).not.toBeChecked();
  await list.getByRole('checkbox', { name: /How the house is finished/ }).uncheck();
  // What nobody chose of the file stays as it is by then: somebody puts the room to its place on the plan.
  const placed = {
    house: house.split('/').at(-1),
    room: 'hall',
    at: [12, 34],
    change: { id: randomUUID(), after: [] },
  };
  expect((await page.request.post('/api/commands/placeRoom', { data: placed })).status()).toBe(200);
  await untilTaken(page, '/commands/mergeHouse', () =>
    dialog.getByRole('button', { name: 'Take over 2 changes' }).click(),
  );
  const after = await (await page.request.get(`${house}/file`)).json();
  const named = (id: string) => after.rooms.find((room: { id: string }) => room.id === id);
  expect(after.rooms).toHaveLength(rooms.length + 1);
  expect(named('hall').height).toBe(rooms.find((room: { id: string }) => room.id === 'hall').height + 12);
  expect(named('hall').at).toEqual([12, 34]);
  expect(after.method).toEqual(head.method);

  // Over what somebody changed meanwhile nothing is taken, not even what would fit.
  await visit(page, `${house}/tally?room=galley`);
  await page.getByRole('button', { name: 'From a house file …' }).click();
  await open({
    ...after,
    rooms: after.rooms.map((room: { id: string; height: number }) => ({ ...room, height: room.height + 2 })),
  });
  await expect(list.getByRole('checkbox', { name: /Hall/ })).toBeChecked();
  const saved = await page.request.post('/api/commands/saveRoom', {
    data: { house: house.split('/').at(-1), version: 2, room: { ...named('hall'), name: 'Long hall' } },
  });
  expect(await saved.json()).toMatchObject({ ok: true, value: { kind: 'saved' } });
  // Also where the page has heard of it.
  await expect(page.locator('main')).toContainText('Long hall');
  await dialog.getByRole('button', { name: /^Take over/ }).click();
  await expect(dialog.getByRole('alert')).toContainText(
    'Somebody changed this house in the meantime. Nothing was imported',
  );
  const last = await (await page.request.get(`${house}/file`)).json();
  expect(last.rooms.find(({ id }: { id: string }) => id === 'loft').height).toBe(96);
});
