import PQueue from 'p-queue';
import { firmOfNow } from '../../db/firm';
import { requestLog } from '../requestLog';
import { TurnsByFirm, type WhoseTurn } from './turnsByFirm';

/** As much of a thread as is used here. */
export interface Thread<Question, Answer> {
  postMessage(question: Question): void;
  on(event: 'message', listener: (answer: Answer) => void): unknown;
  on(event: 'error', listener: (error: Error) => void): unknown;
  off(event: 'message', listener: (answer: Answer) => void): unknown;
  off(event: 'error', listener: (error: Error) => void): unknown;
  terminate(): unknown;
}

/**
 * Queues questions for a thread of its own, one after the other, so that what takes long keeps nobody waiting who asks for a page.
 * Companies take turns: one that asks for much waits for itself. What takes too long is cut off with its thread; the next question gets
 * a new one.
 *
 * @param start makes a thread
 * @param patience calls back when a question has had its time; returns a function that stops it
 * @param report is called with the reason when a thread fails
 * @returns a function that answers with undefined what was cut off or failed
 */
export function threadQueue<Question, Answer>(
  start: () => Thread<Question, Answer>,
  patience: (question: Question, cutOff: () => void) => () => void,
  report: (error: Error) => void,
): (question: Question) => Promise<Answer | undefined> {
  let thread: Thread<Question, Answer> | undefined;
  const turns = new PQueue<TurnsByFirm, WhoseTurn>({ concurrency: 1, queueClass: TurnsByFirm });

  const ask = (question: Question): Promise<Answer | undefined> =>
    new Promise((resolve) => {
      thread ??= start();
      const asked = thread;
      const end = (answer: Answer | undefined): void => {
        stop();
        asked.off('message', end);
        asked.off('error', fail);
        if (answer === undefined) {
          asked.terminate();
          thread = undefined;
        }
        resolve(answer);
      };
      const fail = (error: Error): void => {
        report(error);
        end(undefined);
      };
      const stop = patience(question, () => end(undefined));
      asked.on('message', end);
      asked.on('error', fail);
      asked.postMessage(question);
    });

  return (question) => turns.add(() => ask(question), { firm: firmOfNow() });
}

/** Cuts a question off after so many ms. */
export const cutOffAfter =
  (ms: number) =>
  (_question: unknown, cutOff: () => void): (() => void) => {
    const timer = setTimeout(cutOff, ms);
    return () => clearTimeout(timer);
  };

/** Logs that a thread failed. */
export const reportFault =
  (fault: string) =>
  (error: Error): void =>
    requestLog().error({ fault, err: error });

/** Lets a thread end with the server, and keeps one that fails when nobody listens any more from ending it. */
export function unheld<Worker extends { unref(): void; on(event: 'error', listener: () => void): unknown }>(
  worker: Worker,
): Worker {
  worker.unref();
  worker.on('error', () => undefined);
  return worker;
}
