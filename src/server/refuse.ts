/**
 * A refusal as JSON: what a script or a form can show as it is.
 *
 * @param asks what a page may ask back, see `Asks`
 */
export const refuse = (status: number, message: string, problems?: object, asks?: string | object): Response =>
  Response.json({ message, ...(problems ? { problems } : {}), ...(asks ? { asks } : {}) }, { status });
