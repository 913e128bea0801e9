import { handle } from '@/server/handle';
import { houseTable } from '@/server/houseTable';
import { CSV_TABLES, csvOf } from '@/ui/csv';

/** `GET …/csv?of=rooms|pieces|load`: a house as a table: its tally by room or by piece, or what each room takes. */
export async function GET(request: Request, { params }: { params: Promise<{ house: string }> }): Promise<Response> {
  const { house } = await params;
  const asked = new URL(request.url).searchParams.get('of') ?? 'rooms';
  const table = CSV_TABLES.find((own) => own === asked);
  return handle(request, 'csv', () => houseTable(house, table ?? '', (snapshot) => table && csvOf(table, snapshot)));
}
