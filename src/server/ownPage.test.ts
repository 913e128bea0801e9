import { afterEach, describe, expect, it, vi } from 'vitest';
import { isOwnPage } from './ownPage';

const from = (origin: string | undefined, host = 'inside:3000') =>
  isOwnPage(new Request('http://inside:3000/api/entries', { headers: { host, ...(origin ? { origin } : {}) } }));

afterEach(() => vi.unstubAllEnvs());

describe('a page of the application', () => {
  it('is one under the name that was asked', () => {
    expect([from('http://inside:3000'), from(undefined)]).toEqual([true, true]);
    expect([from('http://elsewhere.example'), from('null'), from('http://inside:3001')]).toEqual([false, false, false]);
  });

  it('is one under the public address where a proxy asks under another name', () => {
    vi.stubEnv('OAK_PUBLIC_URL', 'https://oak.example.org/');
    expect([from('https://oak.example.org'), from('http://inside:3000')]).toEqual([true, false]);
  });
});
