import { parentPort } from 'node:worker_threads';
import { takeOff } from '../../core/joints/takeOff';
import type { Question } from './tallyAside';

// One answer to each question; an error ends the thread, and whoever asked hears of it.
parentPort?.on('message', ({ room, head }: Question) => {
  parentPort?.postMessage(takeOff(room, head).tally);
});
