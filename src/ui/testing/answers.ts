import type { MissingFact } from '@/core/cutters';
import type { BreakageSheet, BreakagesView } from '@/crib/breakage';
import type { BuyingView } from '@/crib/buying';
import type { CatalogueView, OneItemView } from '@/crib/catalogue';
import type { ChooseView } from '@/crib/choosing';
import type { ConsignedView } from '@/crib/consigned';
import type { HolderSheet, HoldersView } from '@/crib/holders';
import type { HeldView, HoldSheet, TraceView } from '@/crib/held';
import type { JobsView, JobView, RunView } from '@/crib/jobs';
import type { KitView } from '@/crib/pockets';
import type { KeepingView } from '@/crib/keeping';
import type { HistoryLine } from '@/crib/ledger';
import type { LifeSheet, LifeView } from '@/crib/life';
import type { CountView, PlacesView, PlaceView } from '@/crib/places';
import type { AssemblyView, RackView } from '@/crib/rack';
import type { RegistersView } from '@/crib/registers';
import type { ScrapView } from '@/crib/secondlife';
import type { ShopView } from '@/crib/shop';
import type { MovementsView, TakeableView } from '@/crib/stock';
import type { TodayView } from '@/crib/today';
import kept from './answers.json';

/** The views whose answers are kept, each as its screen takes it. */
interface Answers {
  shop: ShopView;
  today: TodayView;
  assemblies: RackView;
  assembly: AssemblyView;
  run: RunView;
  registers: RegistersView;
  job: JobView;
  kit: KitView;
  lives: LifeView;
  life: LifeSheet;
  orders: BuyingView;
  items: CatalogueView;
  entries: HistoryLine[];
  missing: { facts: MissingFact[] };
  jobs: JobsView;
  places: PlacesView;
  place: PlaceView;
  count: CountView;
  movements: MovementsView;
  keeping: KeepingView;
  consigned: ConsignedView;
  takeable: TakeableView;
  choose: ChooseView;
  breakages: BreakagesView;
  breakage: BreakageSheet;
  held: HeldView;
  holders: HoldersView;
  holder: HolderSheet;
  scrap: ScrapView;
  hold: HoldSheet;
  trace: TraceView;
  'item EM10': OneItemView;
  'item EM12': OneItemView;
  'item R20': OneItemView;
  'item TAP6': OneItemView;
}

/** JSON has no dates: one stands as { date } and is read as a date again. */
const decoded = (value: unknown): unknown => {
  if (Array.isArray(value)) return value.map(decoded);
  if (typeof value !== 'object' || value === null) return value;
  if ('date' in value) return new Date(String(value.date));
  return Object.fromEntries(Object.entries(value).map(([name, part]) => [name, decoded(part)]));
};

/** What the real view answered about the small crib (src/crib/answers.test.ts), anew at each call. */
export const answer = <V extends keyof Answers>(view: V): Answers[V] => decoded(kept[view]) as Answers[V];
