'use client';
import Button from '@mui/material/Button';
import Table from '@mui/material/Table';
import TableBody from '@mui/material/TableBody';
import TableCell from '@mui/material/TableCell';
import TableHead from '@mui/material/TableHead';
import TableRow from '@mui/material/TableRow';
import { Link } from '@/ui/kit/link';
import { ROLES } from '@/core/people';
import type { PeopleView } from '@/crib/people';
import { Acts, Head } from '@/ui/kit/page';
import { useQuery } from '@/ui/screens/common/query';
import { Middle, useTimes } from '@/ui/shell';
import { Keys } from './Keys';
import { Mine } from './Mine';
import { PersonTag } from './PersonTag';
import { TwoPeople } from './TwoPeople';

/** Who is here for what; one's own sign-ins; to an owner also keys and what people sign in with. */
export function PeopleScreen({ view }: { view: PeopleView }) {
  const query = useQuery('people');
  const { moment } = useTimes();
  const open = view.people.find((p) => p.initials === query.get('open')) ?? null;
  const owner = view.role === 'owner';
  return (
    <Middle
      beside={
        open && (
          <PersonTag
            key={open.initials}
            person={open}
            role={view.role}
            closeHref={query.href({ open: null })}
          />
        )
      }
    >
      <Head>
        <div>
          <h1>People</h1>
          <div className="soft">Who is here for what, and who signs with what.</div>
        </div>
        <Acts>
          <Button component={Link} href="/machines?new=person">
            Add a person
          </Button>
        </Acts>
      </Head>
      <Table size="small">
        <TableHead>
          <TableRow>
            <TableCell>Who</TableCell>
            <TableCell>Here as</TableCell>
            {owner && <TableCell>Signs with</TableCell>}
            {owner && <TableCell>Last seen</TableCell>}
          </TableRow>
        </TableHead>
        <TableBody>
          {view.people.map((p) => (
            <TableRow key={p.initials} selected={p === open}>
              <TableCell>
                <Link href={query.href({ open: p.initials })} scroll={false}>
                  <strong className="fig">{p.initials}</strong> {p.name}
                </Link>
                {!p.inUse && <span className="soft"> · gone; what they signed stays</span>}
              </TableCell>
              <TableCell>
                {p.role ? ROLES[p.role].words : <span className="soft">not said: does not sign in</span>}
              </TableCell>
              {owner && <TableCell>{p.signing && means(p.signing)}</TableCell>}
              {owner && (
                <TableCell className="fig">
                  {p.signing?.usedAt ? moment(p.signing.usedAt) : 'never'}
                </TableCell>
              )}
            </TableRow>
          ))}
        </TableBody>
      </Table>
      {view.me && <Mine me={view.me} role={view.role} />}
      {owner && <TwoPeople wanted={view.wanted} />}
      {view.keys && <Keys keys={view.keys} />}
    </Middle>
  );
}

/** What somebody has to sign with, in words. */
function means(s: NonNullable<PeopleView['people'][number]['signing']>): string {
  const has = [s.hasPassword && 'password', s.hasPin && 'PIN', s.hasBadge && 'badge'].filter(Boolean);
  return has.length ? has.join(', ') : 'nothing yet';
}
