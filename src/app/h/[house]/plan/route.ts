import { ANSWERS } from '@/core/room/methodAnswers';
import { handle } from '@/server/handle';
import { planGround } from '@/server/planGround';

/**
 * `GET …/plan`: what the plan of the house is made from; `?houses=all`: that of all houses of the crew, `?tools=boxes`: as if it
 * were finished with boxes.
 */
export async function GET(request: Request, { params }: { params: Promise<{ house: string }> }): Promise<Response> {
  const { house } = await params;
  const asked = new URL(request.url).searchParams;
  const tools = ANSWERS.tools.find((own) => own === asked.get('tools'));
  return handle(request, 'plan', () => planGround(house, { together: asked.get('houses') === 'all', tools }));
}
