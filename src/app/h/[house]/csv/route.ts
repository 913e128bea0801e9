import { handle } from '@/server/handle';
import { houseTable } from '@/server/houseTable';
import { CSV_TABLES, csvOf } from '@/ui/csv';

/** `GET …/csv?of=rooms|pieces`: the tally of a house as a table, by room or by piece. */
export async function GET(request: Request, { params }: { params: Promise<{ house: string }> }): Promise<Response> {
  const { house } = await params;
  const asked = new URL(request.url).searchParams.get('of') ?? 'rooms';
  const table = CSV_TABLES.find((own) => own === asked);
  return handle(request, 'csv', () => houseTable(house, table ?? '', (site) => table && csvOf(table, site)));
}
