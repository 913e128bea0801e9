import { sendAll } from '../fuzz/sendAll';
import { ownServer } from './ownServer';
import { expect, minutesBefore, test } from './site';

test('odd requests over all routes are answered, never with a fault', async ({ site }) => {
  const { url, houseId, end } = await ownServer('odd', site.clock);
  const cookieOf = async (name: string) => {
    const body = JSON.stringify({ name, password: 'oak-demo' });
    const answer = await fetch(`${url}/api/commands/signIn`, { method: 'POST', body });
    return answer.headers.getSetCookie()[0]?.split(';')[0] ?? '';
  };
  try {
    const cookies = [await cookieOf('Marit'), await cookieOf('Petra'), await cookieOf('Builder')];
    const ground = { house: houseId, at: minutesBefore(5), cookies, deviceKey: 'oak-demo-day-room' };
    const { statuses, faults } = await sendAll(url, ground, 600, 1);
    expect(faults).toEqual([]);
    // They get beyond the door: some are done, and most of what is sent is looked at.
    expect(statuses[200]).toBeGreaterThan(20);
    expect(statuses[400]).toBeGreaterThan(100);
  } finally {
    await end();
  }
});
