import { handle } from '@/server/handle';
import { ownHours } from '@/server/planGround';

/** `GET …/plan/mine`: how many hours of today's assigned work in the house the plan has for whoever asks. */
export async function GET(request: Request, { params }: { params: Promise<{ house: string }> }): Promise<Response> {
  const { house } = await params;
  return handle(request, 'own hours', () => ownHours(house));
}
