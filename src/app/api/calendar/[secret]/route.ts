import { calendarOf } from '@/server/calendar';
import { handle } from '@/server/handle';
import { passWords } from '@/words/stateWords';

/** `GET /api/calendar/SECRET.ics`: what is handed to whom this address was given. */
export async function GET(request: Request, { params }: { params: Promise<{ secret: string }> }): Promise<Response> {
  const { secret } = await params;
  return handle(request, 'calendar', () => calendarOf(secret.replace(/\.ics$/, ''), passWords));
}
