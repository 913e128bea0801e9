import { handle } from '@/server/handle';
import { houseRecord } from '@/server/shownHouse';

/** `GET …/record`: the hand-over of the house as JSON. */
export async function GET(request: Request, { params }: { params: Promise<{ house: string }> }): Promise<Response> {
  const { house } = await params;
  return handle(request, 'record', () => houseRecord(house));
}
