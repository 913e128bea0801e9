import { execFile } from 'node:child_process';
import { promisify } from 'node:util';
import { expect, isLive, test, untilTaken, visit } from './site';

/** The measure that ships, sending as a real one does. */
const sendAs = (url: string, key: string, readings: readonly string[]) =>
  promisify(execFile)(process.execPath, [
    '--import',
    'tsx',
    'standins/laser.ts',
    '--url',
    url,
    '--key',
    key,
    ...readings,
  ]);

test('a room of four walls, a door and two windows is taken off with the laser and one hand', async ({
  browser,
  house,
  site,
  signIn,
}) => {
  const phone = await browser.newPage({ viewport: { width: 820, height: 1180 } });
  await signIn(phone, 'Marit');
  await visit(phone, `${house}/tally?new`);
  await isLive(phone);
  await phone.getByRole('button', { name: 'By laser' }).click();
  const panel = phone.getByRole('region', { name: 'By laser' });
  await panel.getByText('Pair a laser measure').click();
  await panel.getByRole('button', { name: 'Make a key' }).click();
  const key = (await panel.locator('code').filter({ hasText: /^oak_/ }).textContent()) ?? '';
  const asked = panel.getByRole('heading', { level: 2 });
  const measure = async (readings: string, next: string | RegExp) => {
    const answer = await phone.request.post('/api/laser', {
      headers: { authorization: `Bearer ${key}` },
      data: readings,
    });
    expect(await answer.json()).toEqual({ read: readings.split('\n').length, refused: [] });
    await expect(asked).toHaveText(next);
  };
  await expect(asked).toHaveText('Length, along wall 1');
  await sendAs(site.url, key, ['3.658m']);
  await expect(asked).toHaveText('Width, along wall 2');
  await measure("10'", 'Height');
  // What was read wrong is taken back.
  await measure('96.2in', 'A door, a window, or keep the room');
  await panel.getByRole('button', { name: 'Back' }).click();
  await measure("8'", 'A door, a window, or keep the room');
  await panel.getByRole('button', { name: 'Door' }).click();
  await panel.getByRole('button', { name: 'Wall 2' }).click();
  await measure('12in', /its width$/);
  await measure('32in', /its height$/);
  await measure('80in', 'A door, a window, or keep the room');
  for (const wall of [1, 3]) {
    await panel.getByRole('button', { name: 'Window' }).click();
    await panel.getByRole('button', { name: `Wall ${wall}` }).click();
    // All four at once: none is lost, however fast they come.
    await measure('54in\n36in\n48in\n36in', 'A door, a window, or keep the room');
  }
  const line = phone.getByLabel('Quick line');
  await expect(line).toHaveValue(
    /^Room: 12' x 10' x 8', door 32x80 wall 2 at 1', window 36x48 @36 wall 1, window 36x48 @36 wall 3$/,
  );
  await untilTaken(phone, '/commands/addRooms', () => phone.getByRole('button', { name: 'Save room' }).click());

  // On a page with a field for a length, a reading goes there; in another unit than its own as well.
  await phone.getByRole('link', { name: 'Open Room' }).click();
  await phone.waitForURL(/room=room/);
  await expect(phone.getByRole('button', { name: 'Save changes' })).toBeVisible();
  await line.fill("Den: 12' x , door 32x80 wall 1");
  await line.evaluate((field: HTMLTextAreaElement) => field.setSelectionRange(11, 11));
  await sendAs(site.url, key, ['2.540 m']);
  await expect(line).toHaveValue(/^Den: 12' x 8' 4, door/);

  // A key that is not one's own is told so, and so is a reading that is none.
  await expect(sendAs(site.url, 'oak_wrong', ['3m'])).rejects.toMatchObject({
    stdout: expect.stringContaining('No laser measure has this key'),
  });
  await expect(sendAs(site.url, key, ['ERR'])).rejects.toMatchObject({
    stdout: expect.stringContaining('does not belong'),
  });
  await phone.close();
});
