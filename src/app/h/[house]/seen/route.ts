import { awayHouse } from '@/server/awayHouse';
import { handle } from '@/server/handle';

/** `GET …/seen`: the house as a device of the crew keeps it, to be worked out there without a server. */
export async function GET(request: Request, { params }: { params: Promise<{ house: string }> }): Promise<Response> {
  const { house } = await params;
  return handle(request, 'seen', () => awayHouse(house));
}
