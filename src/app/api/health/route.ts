import { databaseAnswers } from '@/server/databaseAnswers';

export const dynamic = 'force-dynamic';

/** Says whether the server's database answers: 200, or 503 within ten seconds. */
export async function GET(): Promise<Response> {
  const ok = await databaseAnswers();
  const content = { ok, database: ok ? 'answers' : 'does not answer' };
  return Response.json(content, { status: ok ? 200 : 503, headers: { 'cache-control': 'no-store' } });
}
