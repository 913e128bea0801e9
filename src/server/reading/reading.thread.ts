import { parentPort } from 'node:worker_threads';
import { checkAll } from './checkAll';
import type { Question } from './readAside';
import { readText } from './readText';

// One answer to each question; an error ends the thread, and whoever asked hears of it.
parentPort?.on('message', (question: Question) => {
  parentPort?.postMessage(
    'text' in question
      ? { read: readText(question.text, question.turn) }
      : { problem: checkAll(question.head, question.rooms, question.all) },
  );
});
