import { cookieOf } from '../../scripts/setup/served.mjs';
import type { Ground } from './oddRequests';
import { photoCorpus } from './photoCorpus';

/**
 * What odd requests to a server with the demo are made for.
 *
 * @param at an instant that its clock shows or has shown, ms since 1970
 */
export async function groundOf(url: string, at: number): Promise<Ground> {
  const cookies = await Promise.all(['Marit', 'Petra', 'Builder'].map((name) => cookieOf(url, name)));
  const answer = await fetch(`${url}/api/live/marks`, { headers: { cookie: cookies[0] ?? '' } });
  const [house = ''] = Object.keys(await answer.json());
  return {
    house,
    at: new Date(at).toISOString(),
    cookies,
    deviceKey: 'oak-demo-day-room',
    photos: await photoCorpus(),
  };
}
