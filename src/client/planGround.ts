import type { PlanGroundAnswer } from '@/contract/plan';

/** What the plan of a house would be made from with other tools, or other boards. */
type Otherwise = { readonly tools: string } | { readonly stock: string } | Record<string, never>;

/** What the plan of a house is made from; undefined where the server does not say. */
export async function planGround(house: string, otherwise: Otherwise = {}): Promise<PlanGroundAnswer | undefined> {
  const response = await fetch(`/h/${house}/plan?${new URLSearchParams(otherwise)}`).catch(() => undefined);
  return response?.ok ? response.json() : undefined;
}
