import { Link } from '@/ui/kit/link';
import { Middle } from '@/ui/shell';

export default function NotFound() {
  return (
    <Middle>
      <h1>Not here</h1>
      <p>
        Nothing stands under this address: it may have been taken down or countered. Look under{' '}
        <Link href="/history">Entries</Link>, or go back to <Link href="/">Today</Link>.
      </p>
    </Middle>
  );
}
