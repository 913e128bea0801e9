import { connection } from '../db/connection';

/** Whether the database answers; known within ten seconds. */
export async function databaseAnswers(): Promise<boolean> {
  try {
    await connection().query('SELECT 1');
    return true;
  } catch {
    return false;
  }
}
