import { handle } from '@/server/handle';
import { planGround } from '@/server/planGround';

/** `GET …/plan`: what the plan of the house is made from; `?houses=all`: that of all houses of the crew. */
export async function GET(request: Request, { params }: { params: Promise<{ house: string }> }): Promise<Response> {
  const { house } = await params;
  return handle(request, 'plan', () => planGround(house, new URL(request.url).searchParams.get('houses') === 'all'));
}
