import { OTHER_STOCK } from '@/core/estimate/betterStock';
import { ANSWERS } from '@/core/room/methodAnswers';
import { handle } from '@/server/handle';
import { planGround } from '@/server/planGround';

/**
 * `GET …/plan`: the plan of the house and what it is made from; `?houses=all`: that of all houses of the crew, `?tools=boxes`: as if it
 * were finished with boxes, `?stock=wider`: as if what is not begun were hung with 54 in boards.
 */
export async function GET(request: Request, { params }: { params: Promise<{ house: string }> }): Promise<Response> {
  const { house } = await params;
  const asked = new URL(request.url).searchParams;
  const tools = ANSWERS.tools.find((own) => own === asked.get('tools'));
  const stock = OTHER_STOCK.find((own) => own === asked.get('stock'));
  const together = asked.get('houses') === 'all';
  return handle(request, 'plan', () => planGround(house, { together, tools, stock }));
}
