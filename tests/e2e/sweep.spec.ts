import { TZDate } from '@date-fns/tz';
import { format } from 'date-fns';
import { SWEEP_DAYS, SWEEP_ZONE } from '../houses/sweepInstants';
import { expect, isLive, test } from './site';

// The demo is in the middle of the job, and a finisher can work in it, at every hour of every day.
for (const { words, hours } of SWEEP_DAYS) {
  test(`a finisher finds and logs their work at any hour ${words}`, async ({ page, signIn, loadHouse }) => {
    for (const { at, words: time } of hours) {
      await test.step(time, async () => {
        const { house, keyEnd } = await loadHouse(at);
        await signIn(page, 'Petra');
        await page.goto(`${house}/my-day`);
        await expect(page.getByRole('main')).toContainText(
          `${format(new TZDate(at, SWEEP_ZONE), 'EEE d MMM')}: 2 jobs left`,
        );
        const now = page.getByRole('region', { name: 'Now' });
        await expect(now).toContainText('Bunk room');
        await isLive(page);
        await now.getByRole('button', { name: 'Done' }).click();
        // What went on is wet now, and the next job is shown.
        await expect(now).toContainText('Now, Bath');
        await expect(page.getByRole('list', { name: 'Then' })).toContainText(/Bunk room, fill.*wet until/);
        const answer = await page.request.post('/api/readings', {
          data: { readings: [{ at: new Date(at - 60_000).toISOString(), temperature: 20, humidity: 50 }] },
          headers: { authorization: `Bearer oak-demo-bath${keyEnd}` },
        });
        expect(await answer.json()).toMatchObject({ refused: [], doubtful: 0 });
      });
    }
  });
}
