import { afterEach, describe, expect, it, vi } from 'vitest';
import { isOwnPage } from './ownPage';

const from = (origin: string | undefined, headers: Readonly<Record<string, string>> = {}) =>
  isOwnPage(
    new Request('http://inside:3000/api/entries', {
      headers: { host: 'inside:3000', ...headers, ...(origin ? { origin } : {}) },
    }),
  );

afterEach(() => vi.unstubAllEnvs());

describe('a page of the application', () => {
  it('is one under the name that was asked', () => {
    expect([from('http://inside:3000'), from(undefined)]).toEqual([true, true]);
    expect([from('http://elsewhere.example'), from('null'), from('http://inside:3001')]).toEqual([false, false, false]);
  });

  it('is none of another protocol under the same name', () => {
    expect(from('https://inside:3000')).toBe(false);
    const behind = { host: 'oak.example.org', 'x-forwarded-proto': 'https, http' };
    expect([from('https://oak.example.org', behind), from('http://oak.example.org', behind)]).toEqual([true, false]);
    // A proxy that says nothing of it.
    vi.stubEnv('OAK_SECURE_COOKIES', '1');
    const silent = { host: 'oak.example.org', 'x-forwarded-proto': 'http' };
    expect([from('https://oak.example.org', silent), from('http://oak.example.org', silent)]).toEqual([true, false]);
  });

  it('is one under the public address where a proxy asks under another name', () => {
    vi.stubEnv('OAK_PUBLIC_URL', 'https://oak.example.org/');
    expect([from('https://oak.example.org'), from('http://inside:3000')]).toEqual([true, false]);
  });
});
