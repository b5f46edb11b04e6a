import { mayDo, whoMay } from '@/core/people';
import { keepingView } from '@/crib/keeping';
import { KeepingScreen } from '@/ui/screens/keeping/KeepingScreen';
import { Asked, Middle } from '@/ui/shell';
import { crib } from '../server/crib';
import { askedOf, type Search } from '../server/search';
import { openForPage } from '../server/views';

export default async function Page({ searchParams }: { searchParams: Search }) {
  const { wrong } = await askedOf('keeping', searchParams);
  const { signed } = await openForPage();
  if (!mayDo(signed.role, ['crib']))
    return (
      <Middle>
        <h1>Backups</h1>
        <p>How the data is kept is for {whoMay(['crib'])} to look at. Ask one of them.</p>
      </Middle>
    );
  return (
    <Asked wrong={wrong}>
      <KeepingScreen view={await keepingView(await crib())} owner={signed.role === 'owner'} />
    </Asked>
  );
}
