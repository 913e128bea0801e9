/** A refusal as JSON: what a script or a form can show as it is. */
export const refuse = (status: number, message: string, problems?: object): Response =>
  Response.json({ message, ...(problems ? { problems } : {}) }, { status });
