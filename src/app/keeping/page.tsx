import { mayRead } from '@/crib/door';
import { keepingView } from '@/crib/keeping';
import { KeepingScreen } from '@/ui/screens/keeping/KeepingScreen';
import { Asked } from '@/ui/shell';
import { crib } from '../server/crib';
import { askedOf, type Search } from '../server/search';
import { openForPage } from '../server/views';

export default async function Page({ searchParams }: { searchParams: Search }) {
  const { wrong } = await askedOf('keeping', searchParams);
  const { signed } = await openForPage();
  mayRead(signed, ['crib'], 'keeping');
  return (
    <Asked wrong={wrong}>
      <KeepingScreen view={await keepingView(await crib())} owner={signed.role === 'owner'} />
    </Asked>
  );
}
