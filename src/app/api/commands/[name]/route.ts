import { postCommand } from '@/server/postCommand';
import { reachable } from '@/server/reachable';

/** Carries one command out. */
export async function POST(request: Request, { params }: { params: Promise<{ name: string }> }): Promise<Response> {
  const { name } = await params;
  return reachable(() => postCommand(request, name));
}
