import { houseFile } from '@/server/houseFile';
import { reachable } from '@/server/reachable';

/** The house as a house file. */
export async function GET(_request: Request, { params }: { params: Promise<{ house: string }> }): Promise<Response> {
  const { house } = await params;
  return reachable(() => houseFile(house));
}
