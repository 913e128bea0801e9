import { groundOf } from '../fuzz/groundOf';
import { sendAll } from '../fuzz/sendAll';
import { DEMO_INSTANT } from './instants';
import { ownServer } from './ownServer';
import { expect, test } from './site';

test('odd requests over all routes are answered, never with a fault', async ({ site }) => {
  const { url, end } = await ownServer('odd', site.clock);
  try {
    const { statuses, faults } = await sendAll(url, await groundOf(url, DEMO_INSTANT), 300, 1);
    expect(faults).toEqual([]);
    // They get beyond the door: some are done, and most of what is sent is looked at.
    expect(statuses[200]).toBeGreaterThan(10);
    expect(statuses[400]).toBeGreaterThan(50);
  } finally {
    await end();
  }
});
