import type { PlanGroundAnswer } from '@/contract/plan';

/** Tools or boards other than those of the house. */
type Otherwise = { readonly tools: string } | { readonly stock: string } | Record<string, never>;

/** Returns what the plan of all houses of the crew is made from; undefined where the server does not say. */
export async function planGround(house: string, otherwise: Otherwise = {}): Promise<PlanGroundAnswer | undefined> {
  const asked = new URLSearchParams({ houses: 'all', ...otherwise });
  const response = await fetch(`/h/${house}/plan?${asked}`).catch(() => undefined);
  return response?.ok ? response.json() : undefined;
}
