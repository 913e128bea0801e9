import type { Metadata } from 'next';
import { redirect } from 'next/navigation';
import { whoIsThere } from '@/server/firstStart';
import { SignInView } from '@/views/signin/SignInView';

export const dynamic = 'force-dynamic';
export const metadata: Metadata = { title: 'First start' };

export default async function SetUpPage() {
  if ((await whoIsThere()) !== 'nobody') redirect('/signin');
  return <SignInView purpose="setUp" asksFirm />;
}
