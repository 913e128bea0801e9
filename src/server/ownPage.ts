import { publicAddress } from './publicAddress';

/** Whether a request comes from a page of this application: browsers name it, one from elsewhere is refused. Scripts name none. */
export function isOwnPage(request: Request): boolean {
  const origin = request.headers.get('origin');
  return origin === null || origin === publicAddress(request.headers);
}
