import { handle } from '@/server/handle';
import { shownPhoto } from '@/server/shownHouse';

/** `GET /api/shown/SECRET/PHOTO`: a photo of a hand-over, for who has its address. */
export async function GET(
  request: Request,
  { params }: { params: Promise<{ secret: string; photo: string }> },
): Promise<Response> {
  const { secret, photo } = await params;
  return handle(request, 'shown', () => shownPhoto(secret, photo));
}
