import { describe, expect, it, vi } from 'vitest';
import { type Listener, listen } from './hub';
import { liveStream } from './liveStream';

vi.mock('../session', () => ({
  currentSession: vi.fn(async () => ({ id: 'session', person: { id: 'p', firm: 'f', name: 'Marit', role: 'lead' } })),
  signedIn: vi.fn(),
  renewSession: vi.fn(),
  wasSignedIn: vi.fn(),
}));
vi.mock('../../db/houses', () => ({ listMarks: vi.fn(async () => []), marksFor: () => ({}) }));
const listeners: Listener[] = [];
const stopped = vi.fn();
const openNow = vi.fn(() => 0);
vi.mock('./hub', () => ({ isStopping: () => false, listen: vi.fn(), openOf: () => openNow() }));

describe('a stream of what changes', () => {
  it('is dropped when its reader never reads, and not while it reads', async () => {
    vi.mocked(listen).mockImplementation((listener) => {
      listeners.push(listener);
      return stopped;
    });
    const open = async () => (await liveStream(new Request('http://here.example/api/live'))).body?.getReader();
    const reader = await open();
    const [reading] = listeners;
    for (let turn = 0; turn < 500; turn += 1) {
      reading?.tell({});
      await reader?.read();
    }
    expect(stopped).not.toHaveBeenCalled();
    await open();
    for (let turn = 0; turn < 300; turn += 1) listeners[1]?.tell({});
    expect(stopped).toHaveBeenCalledOnce();
    await reader?.cancel();
  });

  it('is one of eight of a person at most', async () => {
    const statusOf = async () => (await liveStream(new Request('http://here.example/api/live'))).status;
    openNow.mockReturnValue(7);
    expect(await statusOf()).toBe(200);
    openNow.mockReturnValue(8);
    expect(await statusOf()).toBe(503);
  });
});
