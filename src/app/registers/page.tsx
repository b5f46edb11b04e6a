import { notFound } from 'next/navigation';
import { registersView } from '@/crib/registers';
import { RegistersScreen } from '@/ui/screens/registers/RegistersScreen';
import { askedOf } from '../server/search';
import { openForPage } from '../server/views';

export default async function Page({
  searchParams,
}: {
  searchParams: Promise<Record<string, string | string[]>>;
}) {
  const { db, zone } = await openForPage();
  const { asked } = await askedOf('registers', searchParams);
  const view = await registersView(db, asked, zone);
  if (!view) notFound();
  return <RegistersScreen key={`${view.machine.code} ${asked.job ?? ''}`} view={view} />;
}
