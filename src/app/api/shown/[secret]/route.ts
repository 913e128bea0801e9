import { handle } from '@/server/handle';
import { postSignature } from '@/server/postSignature';

/** `POST /api/shown/SECRET`: a builder signs sheets on a share link. */
export async function POST(request: Request, { params }: { params: Promise<{ secret: string }> }): Promise<Response> {
  const { secret } = await params;
  return handle(request, 'sign', () => postSignature(secret, request));
}
