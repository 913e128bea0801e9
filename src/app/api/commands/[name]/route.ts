import { isCommandName } from '@/contract/commands';
import { handle } from '@/server/handle';
import { postCommand } from '@/server/postCommand';

/** Carries one command out. */
export async function POST(request: Request, { params }: { params: Promise<{ name: string }> }): Promise<Response> {
  const { name } = await params;
  return handle(request, isCommandName(name) ? `command ${name}` : 'command', () => postCommand(request, name));
}
