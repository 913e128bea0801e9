import { handle } from '@/server/handle';
import { finishOfHouse } from '@/server/planGround';

/** `GET …/plan/finish`: when the house and each of its rooms are finished by the plan. */
export async function GET(request: Request, { params }: { params: Promise<{ house: string }> }): Promise<Response> {
  const { house } = await params;
  return handle(request, 'finish', () => finishOfHouse(house));
}
