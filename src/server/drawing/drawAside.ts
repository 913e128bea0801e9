import { spawn } from 'node:child_process';
import { constants, setPriority } from 'node:os';
import PQueue from 'p-queue';
import { firmOfNow } from '../../db/firm';
import { Busy } from '../threads/places';
import { TurnsByFirm, type WhoseTurn } from '../threads/turnsByFirm';
import type { Drawn } from './drawnAnew';

/** The largest picture that is let in takes two seconds. */
const CUT_OFF_MS = 15_000;
/** The server runs in the folder of the application. */
const PROGRAM = './src/server/drawing/drawing.process.ts';

const turns = new PQueue<TurnsByFirm, WhoseTurn>({ concurrency: 1, queueClass: TurnsByFirm });

/**
 * Draws a photo anew, one photo at a time, each in a process of its own: decoders work in the few threads that a process has for that,
 * which opening every session needs too, and what a large picture takes is given back with its process.
 *
 * @returns undefined where the decoder fails
 * @throws Busy where it takes too long
 */
export const drawAside = (bytes: Buffer): Promise<Drawn | undefined> =>
  turns.add(() => drawnByProcess(bytes), { firm: firmOfNow() });

const drawnByProcess = (bytes: Buffer): Promise<Drawn | undefined> =>
  new Promise((resolve, reject) => {
    const child = spawn(process.execPath, ['--import', 'tsx', PROGRAM], {
      serialization: 'advanced',
      stdio: ['ignore', 'ignore', 'ignore', 'ipc'],
      timeout: CUT_OFF_MS,
      killSignal: 'SIGKILL',
    });
    // Whoever asks for a page comes first.
    if (child.pid !== undefined) setPriority(child.pid, constants.priority.PRIORITY_BELOW_NORMAL);
    const end = (drawn?: Drawn) => {
      child.kill('SIGKILL');
      resolve(drawn);
    };
    child.once('message', (drawn) => end(drawn as Drawn));
    child.once('error', () => end());
    child.once('exit', (_code, signal) => (signal === 'SIGKILL' ? reject(new Busy()) : end()));
    child.send(bytes);
  });
