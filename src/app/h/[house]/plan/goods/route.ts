import { handle } from '@/server/handle';
import { goodsOfPlan } from '@/server/planGround';

/** `GET …/plan/goods`: until when each good lasts by the plan, and when each round of a room begins. */
export async function GET(request: Request, { params }: { params: Promise<{ house: string }> }): Promise<Response> {
  const { house } = await params;
  return handle(request, 'goods', () => goodsOfPlan(house));
}
