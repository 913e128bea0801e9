import { parentPort } from 'node:worker_threads';
import { cutBead } from '../../core/materials/cut/cutBead';
import type { Question } from './cutAside';

// One answer to each question; an error ends the thread, and whoever asked hears of it.
parentPort?.on('message', ({ pieces, unit, wares }: Question) => {
  parentPort?.postMessage(cutBead(pieces, unit, wares));
});
