import { parentPort } from 'node:worker_threads';
import { planHouse } from '../../core/plan/planHouse';
import type { Question } from './planWorker';

// One answer to each question; an error ends the thread, and whoever asked hears of it.
parentPort?.on('message', (question: string) => {
  const { input, options }: Question = JSON.parse(question);
  parentPort?.postMessage(planHouse(input, options));
});
