import sharp from 'sharp';
import { drawnAnew } from './drawnAnew';

// Draws one photo and is ended; the other cores are for everybody else.
sharp.concurrency(1);
process.once('message', async (bytes: Uint8Array) => process.send?.(await drawnAnew(Buffer.from(bytes))));
// A decoder that runs is not waited for.
process.once('disconnect', () => process.kill(process.pid, 'SIGKILL'));
