import { mkdtempSync, readFileSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { afterEach, describe, expect, it, vi } from 'vitest';

/** The log as a server that was just started has it. */
async function freshLog(file: string) {
  vi.stubEnv('OAK_LOG', file);
  vi.resetModules();
  Reflect.deleteProperty(globalThis, 'oakLog');
  return import('./requestLog');
}

const folders: string[] = [];
afterEach(() => {
  vi.unstubAllEnvs();
  Reflect.deleteProperty(globalThis, 'oakLog');
  for (const folder of folders.splice(0)) rmSync(folder, { recursive: true });
});

describe('the log of requests', () => {
  it('is one line of JSON each, in the file that is named, whose folder is made', async () => {
    const folder = mkdtempSync(join(tmpdir(), 'oak-log-'));
    folders.push(folder);
    const file = join(folder, 'deep', 'server.log');
    const { requestLog } = await freshLog(file);
    requestLog().info({ route: 'entries' });
    requestLog().error({ route: 'live' });
    const lines = readFileSync(file, 'utf8').trim().split('\n');
    expect(lines.map((line) => JSON.parse(line).route)).toEqual(['entries', 'live']);
  });

  it('keeps nobody from anything where it cannot be written', async () => {
    const full = await freshLog('/dev/full');
    for (let turn = 0; turn < 3; turn += 1) full.requestLog().info({ turn });
    const nowhere = await freshLog('/dev/null/server.log');
    expect(() => nowhere.requestLog().debug({ route: 'entries' })).not.toThrow();
  });

  it('takes a name for a request over where it is one', async () => {
    const { requestId } = await freshLog('');
    expect(requestId('5f2c:job-7.A')).toBe('5f2c:job-7.A');
    for (const none of [null, '', 'a b', 'x'.repeat(65), '{"', 'ü'])
      expect(requestId(none)).toMatch(/^[\da-f]{8}(-[\da-f]{4}){3}-[\da-f]{12}$/);
  });

  it('tells of a fault where it was and which kind, and none of its words', async () => {
    const { faultOf } = await freshLog('');
    const error = Object.assign(new TypeError('Ridge over the door'), { original: { code: '23505', detail: 'Petra' } });
    expect(faultOf(error)).toMatchObject({ fault: 'TypeError', code: '23505' });
    expect(JSON.stringify(faultOf(error))).not.toMatch(/Ridge|Petra/);
    expect(JSON.stringify(faultOf(error))).toMatch(/requestLog\.test/);
    expect(faultOf('Ridge')).toEqual({ fault: 'string' });
  });

  it.each([
    ['/shown/abc-DEF_1', '/shown/…'],
    ['/shown/abc/photos/1', '/shown/…/photos/1'],
    ['/api/shown/abc/csv', '/api/shown/…/csv'],
    ['/api/calendar/abc.ics', '/api/calendar/…'],
    ['/h/abc/board', '/h/abc/board'],
  ])('has %s as %s', async (path, told) => {
    const { pathWithoutSecret } = await import('./requestLog');
    expect(pathWithoutSecret(path)).toBe(told);
  });
});
