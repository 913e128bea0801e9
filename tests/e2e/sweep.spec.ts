import { randomUUID } from 'node:crypto';
import { TZDate } from '@date-fns/tz';
import { format } from 'date-fns';
import { SWEEP_DAYS, SWEEP_ZONE } from '../houses/sweepInstants';
import { expect, isLive, test } from './site';

// The demo is in the middle of the job, and a finisher can work in it, at every hour of every day.
for (const { words, hours } of SWEEP_DAYS) {
  test(`a finisher finds and logs their work at any hour ${words}`, async ({ page, signIn, loadHouse }) => {
    for (const [index, { at, words: time }] of hours.entries()) {
      await test.step(time, async () => {
        const { house, keyEnd } = await loadHouse(at);
        const instant = (msBefore: number) => new Date(at - msBefore).toISOString();
        await signIn(page, 'Petra');
        const myDay = await (await page.request.get(`${house}/my-day`)).text();
        expect(myDay.replaceAll('<!-- -->', '')).toContain(
          `${format(new TZDate(at, SWEEP_ZONE), 'EEE d MMM')}: 3 jobs left`,
        );
        const item = {
          id: randomUUID(),
          room: 'bath',
          at: instant(0),
          kind: 'item',
          payload: { text: `Noted ${time}` },
        };
        const entries = await page.request.post('/api/entries', {
          data: { house: house.slice('/h/'.length), entries: [item] },
        });
        expect(entries.status()).toBe(200);
        expect(await (await page.request.get(`${house}/sand`)).text()).toContain(`Noted ${time}`);
        const readings = await page.request.post('/api/readings', {
          data: { readings: [{ at: instant(60_000), temperature: 20, humidity: 50 }] },
          headers: { authorization: `Bearer oak-demo-bath${keyEnd}` },
        });
        expect(await readings.json()).toMatchObject({ refused: [], doubtful: 0 });

        // Before dawn the day is the one before in most of the world.
        if (index > 0) return;
        await page.goto(`${house}/my-day`);
        const now = page.getByRole('region', { name: 'Now' });
        await expect(now).toContainText('Bunk room');
        await isLive(page);
        // What was left from days before comes first.
        await expect(now).toContainText('Left from');
        await now.getByRole('button', { name: 'Done', exact: true }).click();
        await page.getByRole('link', { name: 'Do first: Bunk room, fill' }).click();
        await expect(now).toContainText('Fill coat');
        await now.getByRole('button', { name: 'Done', exact: true }).click();
        // What went on is wet now, and the next job is shown.
        await expect(now).toContainText('Now, Bath');
        await expect(page.getByRole('list', { name: 'Then' })).toContainText(/Bunk room, fill.*wet until/);
      });
    }
  });
}
