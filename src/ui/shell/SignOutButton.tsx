'use client';

import { LogOut } from 'lucide-react';
import { useRouter } from 'next/navigation';
import type { Answer } from '@/core/house/answer';

/** Who is signed in, and the way out. */
export function SignOutButton({
  name,
  role,
  signOut,
}: {
  readonly name: string;
  readonly role: string;
  readonly signOut: (input: Record<string, never>) => Promise<Answer<null>>;
}) {
  const router = useRouter();
  const leave = async () => {
    await signOut({});
    router.push('/signin');
    router.refresh();
  };
  return (
    <button
      type="button"
      className="btn btn-outline btn-sm rounded-full"
      onClick={leave}
      aria-label={`Sign out ${name}`}
      title="Sign out"
    >
      {name} <span className="hidden text-muted sm:inline">{role}</span>{' '}
      <LogOut className="size-4" aria-hidden="true" />
    </button>
  );
}
