import pg from 'pg';
import { databaseUrl } from './connection';
import type { LaserReading } from './lasers';

const AGAIN_MS = 1000;

/**
 * Listens for houses that change. After the connection was lost it comes back by itself; what changed meanwhile is not
 * told, so the listener is told to look at all houses again. Sign-ins that end are told too, and what laser measures read.
 *
 * @returns ends the listening
 */
export function listenForChanges(
  onHouse: (id: string) => void,
  onAll: () => void,
  onSessionEnded: (id: string) => void,
  onReading: (reading: LaserReading) => void = () => {},
): () => void {
  let client: pg.Client | undefined;
  let timer: NodeJS.Timeout | undefined;
  let ended = false;

  const connect = async () => {
    const next = new pg.Client({ connectionString: databaseUrl() });
    client = next;
    let lost = false;
    const again = () => {
      if (lost || ended) return;
      lost = true;
      timer = setTimeout(() => void connect(), AGAIN_MS);
    };
    next.on('notification', ({ channel, payload }) => {
      if (!payload) return;
      if (channel === 'laser_read') onReading(JSON.parse(payload));
      else (channel === 'session_ended' ? onSessionEnded : onHouse)(payload);
    });
    next.on('error', again);
    next.on('end', again);
    try {
      await next.connect();
      await next.query('LISTEN house_changed; LISTEN session_ended; LISTEN laser_read');
      if (ended) return void next.end();
      onAll();
    } catch {
      again();
    }
  };
  void connect();
  return () => {
    ended = true;
    clearTimeout(timer);
    client?.end().catch(() => undefined);
  };
}
