import type { Metadata } from 'next';
import { redirect } from 'next/navigation';
import { whoIsThere } from '@/server/firstStart';
import { SignInView } from '@/views/signin/SignInView';

export const dynamic = 'force-dynamic';
export const metadata: Metadata = { title: 'Sign in' };

export default async function SignInPage() {
  const who = await whoIsThere();
  if (who === 'nobody') redirect('/setup');
  return <SignInView purpose="signIn" asksFirm={who === 'severalFirms'} />;
}
