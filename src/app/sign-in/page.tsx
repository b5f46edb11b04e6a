import { connection } from 'next/server';
import { signInView } from '@/crib/people';
import { SignInScreen } from '@/ui/screens/people/SignInScreen';
import { crib } from '../server/crib';
import type { Search } from '../server/search';

/** Where they go next: a path of ours and nothing else. */
const isOurs = (next: unknown): next is string => typeof next === 'string' && /^\/(?![/\\])/.test(next);

export default async function Page({ searchParams }: { searchParams: Search }) {
  await connection();
  const { next } = await searchParams;
  const { db, demo } = await crib();
  const { people, first } = await signInView(db, demo);
  return <SignInScreen next={isOurs(next) ? next : '/'} demo={people} first={first} />;
}
