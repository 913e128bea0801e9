import { handle } from '@/server/handle';
import { signedSheet } from '@/server/signedSheets';

/** `GET …/signed/HASH`: a sheet as it was when a builder signed it. */
export async function GET(
  request: Request,
  { params }: { params: Promise<{ house: string; sheet: string }> },
): Promise<Response> {
  const { house, sheet } = await params;
  return handle(request, 'signed', () => signedSheet(house, sheet));
}
