import { lifeView } from '@/crib/life';
import { LifeScreen } from '@/ui/screens';
import { openForPage } from '../server/views';

export default async function Page() {
  const { view } = await openForPage();
  return <LifeScreen view={await view(lifeView)} />;
}
