/** A person as views show them. */
export interface Person {
  readonly id: string;
  readonly name: string;
  readonly role: 'lead' | 'finisher' | 'viewer';
}
