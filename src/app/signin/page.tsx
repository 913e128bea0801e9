import type { Metadata } from 'next';
import { redirect } from 'next/navigation';
import { anyPeople } from '@/server/firstStart';
import { SignInView } from '@/views/signin/SignInView';

export const dynamic = 'force-dynamic';
export const metadata: Metadata = { title: 'Sign in' };

export default async function SignInPage() {
  if (!(await anyPeople())) redirect('/setup');
  return <SignInView purpose="signIn" />;
}
