import { sheetsView, sheetView } from '@/crib/assemblies';
import { assemblyView } from '@/crib/rack';
import { SheetsScreen } from '@/ui/screens/sheets/SheetsScreen';
import { Asked } from '@/ui/shell';
import { askedOf, type Search } from '../server/search';
import { openForPage } from '../server/views';

export default async function Page({ searchParams }: { searchParams: Search }) {
  const { asked, wrong } = await askedOf('sheets', searchParams);
  const { db, zone, today } = await openForPage();
  return (
    <Asked wrong={wrong}>
      <SheetsScreen
        sheets={await sheetsView(db)}
        sheet={asked.open === undefined ? null : await sheetView(db, asked.open, today)}
        like={asked.like === undefined ? null : await assemblyView(db, asked.like, zone)}
      />
    </Asked>
  );
}
