interface FailedRequest {
  readonly path: string;
  readonly method: string;
  readonly headers: Readonly<Record<string, string | readonly string[] | undefined>>;
}

/** Before the first request. */
export async function register(): Promise<void> {
  // This file is also compiled for a runtime without files and streams, which nothing here runs in.
  if (process.env.NEXT_RUNTIME !== 'nodejs') return;
  const { watchHeaders } = await import('./server/readableHeaders');
  const { endConnectionsAtStop } = await import('./server/endConnections');
  watchHeaders();
  endConnectionsAtStop();
}

/** A page that could not be made, as one line of the log. */
export async function onRequestError(error: unknown, { path, method, headers }: FailedRequest): Promise<void> {
  if (process.env.NEXT_RUNTIME !== 'nodejs') return;
  const { faultOf, pathWithoutSecret, REQUEST_ID, requestLog } = await import('./server/requestLog');
  const page = pathWithoutSecret(path.split('?')[0] ?? '');
  requestLog().error({ request: headers[REQUEST_ID], method, page, status: 500, ...faultOf(error) });
}
