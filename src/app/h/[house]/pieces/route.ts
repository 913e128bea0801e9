import { handle } from '@/server/handle';
import { roomForLog } from '@/server/roomForLog';
import { pieceMap } from '@/ui/room/pieceMap';

/** `GET …/pieces?room=ID`: the room laid flat with its pieces, to say on which of them a coat lies. */
export async function GET(request: Request, { params }: { params: Promise<{ house: string }> }): Promise<Response> {
  const { house } = await params;
  const room = new URL(request.url).searchParams.get('room') ?? '';
  return handle(request, 'pieces', () => roomForLog(house, room, pieceMap));
}
