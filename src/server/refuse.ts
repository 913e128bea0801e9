/**
 * A refusal as JSON: what a script or a form can show as it is.
 *
 * @param code for a page that asks back
 */
export const refuse = (status: number, message: string, problems?: object, code?: string): Response =>
  Response.json({ message, ...(problems ? { problems } : {}), ...(code ? { code } : {}) }, { status });
