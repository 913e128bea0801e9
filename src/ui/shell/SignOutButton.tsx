'use client';

import { LogOut } from 'lucide-react';
import { useRouter } from 'next/navigation';
import { sendCommand } from '@/client/sendCommand';

/** Who is signed in, and the way out. */
export function SignOutButton({ name, role }: { readonly name: string; readonly role: string }) {
  const router = useRouter();
  const leave = async () => {
    await sendCommand('signOut', {});
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
