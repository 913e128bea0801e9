import { parentPort } from 'node:worker_threads';
import { takeOff, whatIsKept } from '../../core/joints/takeOff';
import type { Question } from './takeOffWorker';

// One answer to each question; an error ends the thread, and whoever asked hears of it.
parentPort?.on('message', ({ room, head }: Question) => {
  parentPort?.postMessage(whatIsKept(takeOff(room, head)));
});
