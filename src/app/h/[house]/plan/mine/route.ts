import { handle } from '@/server/handle';
import { ownHours } from '@/server/planGround';

/** `GET …/plan/mine`: the hours of today's assigned work that the plan gives the person who asks, in this house. */
export async function GET(request: Request, { params }: { params: Promise<{ house: string }> }): Promise<Response> {
  const { house } = await params;
  return handle(request, 'own hours', () => ownHours(house));
}
