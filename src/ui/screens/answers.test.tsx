/** @jest-environment jsdom */
import { screen, waitFor } from '@testing-library/react';
import type { ReactElement } from 'react';
import { DEFAULT_RULES } from '@/core/choosing';
import { BuyingScreen } from '@/ui/screens/buying/BuyingScreen';
import { CuttersScreen } from '@/ui/screens/catalogue/CuttersScreen';
import { ChooseScreen } from '@/ui/screens/choosing/ChooseScreen';
import { KeepingScreen } from '@/ui/screens/keeping/KeepingScreen';
import { JobsScreen } from '@/ui/screens/jobs/JobsScreen';
import { KitSheet } from '@/ui/screens/jobs/kit/KitSheet';
import { NumbersSheet } from '@/ui/screens/jobs/kit/NumbersSheet';
import { PlanTag } from '@/ui/screens/jobs/kit/PlanTag';
import { RunScreen } from '@/ui/screens/jobs/RunScreen';
import { SetupSheet } from '@/ui/screens/jobs/setup/SetupSheet';
import { WriteSetup } from '@/ui/screens/jobs/setup/WriteSetup';
import { RegistersScreen } from '@/ui/screens/registers/RegistersScreen';
import { HistoryScreen } from '@/ui/screens/ledger/HistoryScreen';
import { BreakagesScreen } from './breakage/BreakagesScreen';
import { HeldScreen } from './breakage/HeldScreen';
import { HoldersScreen } from '@/ui/screens/holders';
import { EndScreen } from '@/ui/screens/life/EndScreen';
import { LifeScreen } from '@/ui/screens/life/LifeScreen';
import { PlacesScreen } from '@/ui/screens/places/PlacesScreen';
import { RackScreen } from '@/ui/screens/rack/RackScreen';
import { MachinesScreen } from '@/ui/screens/shop/MachinesScreen';
import { TodayScreen } from '@/ui/screens/today/TodayScreen';
import { answer, showIn } from '@/ui/testing';

let address = '';
jest.mock('next/navigation', () => ({
  useRouter: () => ({ push: jest.fn(), refresh: jest.fn(), replace: jest.fn() }),
  usePathname: () => '/',
  useSearchParams: () => new URLSearchParams(address),
}));

const shop = answer('shop');
const catalogue = { ...answer('items'), asked: '' };
const places = {
  view: answer('places'),
  place: answer('place'),
  count: { sheet: null, lines: [] },
  moves: null,
  stock: null,
  consigned: null,
  shop,
  saved: [],
};
/** Every screen on what its view answered of the small crib: by address, and words that answer holds. */
const SCREENS: [name: string, asked: string, drawn: () => ReactElement, says: RegExp][] = [
  [
    'today',
    '',
    () => <TodayScreen view={answer('today')} people={[]} today="2027-01-05" />,
    /Ask TO for 2 × EM12/,
  ],
  [
    'keeping',
    '',
    () => <KeepingScreen view={answer('keeping')} owner />,
    /has no backup yet|No backup of this shop/,
  ],
  [
    'rack',
    'open=A-0001',
    () => (
      <RackScreen
        view={answer('assemblies')}
        jobs={[]}
        job={null}
        card={answer('assembly')}
        places={shop.places}
      />
    ),
    /94\.112/,
  ],
  [
    'rack of a job',
    'job=J-1',
    () => (
      <RackScreen
        view={answer('assemblies')}
        jobs={[]}
        job={answer('job')}
        card={null}
        places={shop.places}
      />
    ),
    /Block J-1/,
  ],
  [
    'measuring',
    'open=A-0001&do=measure',
    () => (
      <RackScreen
        view={answer('assemblies')}
        jobs={[]}
        job={null}
        card={answer('assembly')}
        places={shop.places}
      />
    ),
    /Measure A-0001/,
  ],
  [
    'building',
    'new=build',
    () => <RackScreen view={answer('assemblies')} jobs={[]} job={null} card={null} places={shop.places} />,
    /A new build/,
  ],
  ['jobs', '', () => <JobsScreen view={answer('jobs')} job={null} kit={null} shop={shop} />, /J-1/],
  [
    'a job',
    'open=J-1&t=7',
    () => <JobsScreen view={answer('jobs')} job={answer('job')} kit={null} shop={shop} />,
    /A part takes/,
  ],
  [
    'a setup sheet',
    'open=J-1&do=sheet',
    () => <SetupSheet job={answer('job')} />,
    /Setup sheet, operation 10/,
  ],
  ['writing one', 'open=J-1&do=write', () => <WriteSetup job={answer('job')} />, /Zero above the bottom/],
  ['a kit', 'open=J-1&do=kit', () => <KitSheet kit={answer('kit')} />, /Kit, operation 10/],
  ['planning a tool', 'open=J-1&do=plan', () => <PlanTag kit={answer('kit')} t={null} />, /What it does/],
  [
    'other numbers',
    'open=J-1&do=numbers',
    () => <NumbersSheet job={answer('job')} program={answer('job').program!} />,
    /Other numbers for its tools/,
  ],
  ['at the machine', '', () => <RunScreen view={answer('run')} />, /10 of 40 made/],
  ['registers', 'machine=M2', () => <RegistersScreen view={answer('registers')} />, /Numbers for M2/],
  [
    'ending a life',
    '',
    () => <EndScreen card={answer('assembly')} takeable={answer('takeable').sources} places={shop.places} />,
    /End the life of/,
  ],
  ['life', 'item=EM10', () => <LifeScreen view={answer('lives')} open={answer('life')} />, /EM10/],
  [
    'buying',
    'open=EM10',
    () => <BuyingScreen view={answer('orders')} order={[]} shop={shop} today="2027-01-05" />,
    /O-0001/,
  ],
  [
    'cutters',
    '',
    () => (
      <CuttersScreen
        view={catalogue}
        one={{ ...answer('item EM10'), item: null }}
        shop={shop}
        saved={[]}
        missing={null}
      />
    ),
    /EM12/,
  ],
  [
    'a cutter',
    'open=EM10',
    () => <CuttersScreen view={catalogue} one={answer('item EM10')} shop={shop} saved={[]} missing={null} />,
    /Unused in the crib/,
  ],
  [
    'a reamer',
    'open=R20',
    () => <CuttersScreen view={catalogue} one={answer('item R20')} shop={shop} saved={[]} missing={null} />,
    /20\.017/,
  ],
  [
    'adding',
    'new=holder',
    () => (
      <CuttersScreen
        view={catalogue}
        one={{ ...answer('item EM10'), item: null }}
        shop={shop}
        saved={[]}
        missing={null}
      />
    ),
    /Outline from the gauge line down/,
  ],
  [
    'what is missing',
    'show=missing',
    () => (
      <CuttersScreen
        view={catalogue}
        one={{ ...answer('item EM10'), item: null }}
        shop={shop}
        saved={[]}
        missing={answer('missing').facts}
      />
    ),
    /What is missing/,
  ],
  ['places', 'open=CAB1', () => <PlacesScreen {...places} />, /Drawer A/],
  ['loans', 'show=loans', () => <PlacesScreen {...places} />, /2 days late/],
  [
    'a count',
    'show=counts&sheet=C-0001',
    () => <PlacesScreen {...places} count={answer('count')} />,
    /1 missing/,
  ],
  ['what moved', 'show=moves', () => <PlacesScreen {...places} moves={answer('movements')} />, /CAB1-A/],
  [
    'choosing',
    'feature=pocket',
    () => <ChooseScreen view={answer('choose')} rules={DEFAULT_RULES} problem={null} />,
    /EM12/,
  ],
  [
    'broken',
    '',
    () => <BreakagesScreen view={answer('breakages')} open={answer('breakage')} />,
    /chips were not cleared.*fewer flutes/,
  ],
  [
    'held',
    'open=Q-0001',
    () => <HeldScreen view={answer('held')} open={answer('hold')} trace={null} />,
    /part 4: rework.*part 5: nobody decided/,
  ],
  [
    'a part that came back',
    'job=J-2&part=5',
    () => <HeldScreen view={answer('held')} open={null} trace={answer('trace')} />,
    /H-33.*cut parts 2 to 3 of J-2 since the last good one/,
  ],
  [
    'holders',
    'open=H-0002',
    () => <HoldersScreen view={answer('holders')} open={answer('holder')} />,
    /was dropped, and nobody has looked it over since.*H-0001.*nobody has looked it over yet/,
  ],
  ['scrap', 'show=scrap', () => <PlacesScreen {...places} scrap={answer('scrap')} />, /0\.1 kg carbide/],
  ['machines', 'open=M2', () => <MachinesScreen shop={shop} />, /Mill 2/],
  ['entries', '', () => <HistoryScreen lines={answer('entries')} />, /J-1/],
];

it.each(SCREENS)(
  '%s: says what its view answered, and nothing that is no word',
  async (_, asked, drawn, says) => {
    address = asked;
    showIn(drawn());
    // Tags come after the view they stand beside.
    await waitFor(() => expect(document.body.textContent).toMatch(says));
    const text = document.body.textContent ?? '';
    expect(screen.getAllByRole('heading').length).toBeGreaterThan(0);
    // What a figure or a name that is not there becomes, when nobody asked whether it is.
    expect(text).not.toMatch(/NaN|undefined|null|Infinity|\[object|Invalid Date/);
  },
);
