import { peopleView } from '@/crib/people';
import { PeopleScreen } from '@/ui/screens/people/PeopleScreen';
import { Asked } from '@/ui/shell';
import { crib } from '../server/crib';
import { askedOf, type Search } from '../server/search';
import { openForPage } from '../server/views';

export default async function Page({ searchParams }: { searchParams: Search }) {
  const { wrong } = await askedOf('people', searchParams);
  const { db, signed } = await openForPage();
  return (
    <Asked wrong={wrong}>
      <PeopleScreen view={await peopleView({ db, unkept: (await crib()).unkept }, signed)} />
    </Asked>
  );
}
