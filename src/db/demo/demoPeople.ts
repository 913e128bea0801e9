/** The demo's crew; the first is the lead. */
export const DEMO_PEOPLE = [
  { name: 'Marit', role: 'lead' },
  { name: 'Tobin', role: 'finisher' },
  { name: 'Ines', role: 'finisher' },
  { name: 'Osei', role: 'finisher' },
  { name: 'Petra', role: 'finisher' },
  { name: 'Builder', role: 'viewer' },
] as const;
export type DemoName = (typeof DEMO_PEOPLE)[number]['name'];

/** Every demo account has this password. */
export const DEMO_PASSWORD = 'oak-demo';
