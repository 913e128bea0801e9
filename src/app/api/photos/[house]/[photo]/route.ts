import { getPhoto, putPhoto } from '@/server/drawing/photos';
import { handle } from '@/server/handle';

interface Asked {
  readonly params: Promise<{ house: string; photo: string }>;
}

/** `PUT /api/photos/HOUSE/ID` keeps a photo of the house. */
export async function PUT(request: Request, { params }: Asked): Promise<Response> {
  const { house, photo } = await params;
  return handle(request, 'photos', () => putPhoto(request, house, photo));
}

/** `GET /api/photos/HOUSE/ID` shows it to those whose house it is. */
export async function GET(request: Request, { params }: Asked): Promise<Response> {
  const { house, photo } = await params;
  return handle(request, 'photos', () => getPhoto(house, photo));
}
