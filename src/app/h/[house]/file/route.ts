import { handle } from '@/server/handle';
import { houseFile } from '@/server/houseFile';

/** The house as a house file. */
export async function GET(request: Request, { params }: { params: Promise<{ house: string }> }): Promise<Response> {
  const { house } = await params;
  return handle(request, 'house file', () => houseFile(house));
}
