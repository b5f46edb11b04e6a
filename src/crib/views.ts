import { buyingView } from './buying';
import { localDay } from '@/core/units';
import { readOnce, rowNumber, type Crib, type ReadAll, type ReadOnce } from './door';
import { chooseView, rulesInForce } from './choosing';
import { exchangeView } from './exchange';
import { jobsView, jobView } from './jobs';
import { historyView } from './ledger';
import { lifeSheet, lifeView } from './life';
import { assemblyView, rackView, runView } from './rack';
import { shopView } from './shop';
import {
  catalogueView,
  consignedView,
  countView,
  itemView,
  movementsView,
  placesView,
  placeView,
  savedViews,
  stockView,
  takeableView,
  type CatalogueAsked,
  type MovementsAsked,
  type StockAsked,
} from './stock';
import { missingView, todayView } from './today';

export interface View {
  path: string;
  summary: string;
  /** `once`: what other views read already is not read again. */
  read(crib: Crib, query: URLSearchParams, once?: ReadOnce): Promise<unknown>;
}

/** A catalogue question from the address. */
export function askedOf(query: URLSearchParams): CatalogueAsked {
  const text = (name: string) => query.get(name) || undefined;
  return {
    q: text('q'),
    kind: text('kind'),
    place: text('place'),
    sort: text('sort'),
    after: text('after'),
    before: text('before'),
    unit: query.get('unit') === 'inch' ? 'inch' : 'mm',
    limit: query.has('limit') ? Number(query.get('limit')) || undefined : undefined,
  };
}

/** A question to the stock from the address. */
export function stockAskedOf(query: URLSearchParams): StockAsked {
  return {
    ...askedOf(query),
    lies: query.get('lies') || undefined,
    owner: query.get('owner') || undefined,
  };
}

/** A question to the history of movements from the address. */
export function movementsAskedOf(query: URLSearchParams): MovementsAsked {
  const text = (name: string) => query.get(name) || undefined;
  return {
    item: text('item'),
    piece: text('piece'),
    place: text('place'),
    who: text('who'),
    before: rowNumber(query.get('before')) ?? undefined,
  };
}

const view = (path: string, summary: string, read: View['read']): View => ({ path, summary, read });
/** A view of everything of its kind, which shares what it reads with others. */
const whole = <T>(path: string, summary: string, read: ReadAll<T>): View =>
  view(path, summary, (crib, _, once) => (once ?? readOnce(crib.db, localDay(crib.now(), crib.zone)))(read));

/** Everything a screen shows, as JSON. */
export const VIEWS: readonly View[] = [
  whole('today', 'The worklist with reasons.', todayView),
  view('shop', 'People, places, materials, suppliers and machines.', (crib) => shopView(crib.db)),
  view(
    'items',
    'The catalogue, a page at a time: ?q=words and symbol ranges, kind, place, sort (code, dc, unused; - turns it), after or before a code, unit, limit.',
    (crib, query) => catalogueView(crib.db, askedOf(query)),
  ),
  view('item', 'One item with facts, stock, suppliers, versions: ?code=', (crib, query) =>
    itemView(crib.db, query.get('code')),
  ),
  whole('places', 'Places as a tree, who has what, what is being reground, count sheets.', placesView),
  view('place', 'What lies at a place and inside it: ?code=', (crib, query) =>
    placeView(crib.db, query.get('code')),
  ),
  view('count', 'A count sheet with what may explain each difference: ?number=', (crib, query) =>
    countView(crib.db, query.get('number'), crib.zone),
  ),
  view('movements', 'What moved, newest first: ?item, piece, place or who; before an id.', (crib, query) =>
    movementsView(crib.db, movementsAskedOf(query)),
  ),
  view(
    'stock',
    'All that lies somewhere, a page at a time: ?q=words, places’ codes and symbol ranges, kind, place, lies (crib, lent, machine, regrind, builds, scrap, lost, anywhere), owner (ours, theirs, a supplier), sort (item, place, quantity; - turns it), after or before a line, unit, limit.',
    (crib, query) => stockView(crib.db, stockAskedOf(query)),
  ),
  view('consigned', 'What was taken of suppliers’ own stock and is not settled.', (crib) =>
    consignedView(crib.db),
  ),
  view('exchange', 'Lists that came in, and what unknown headers were said to mean.', (crib) =>
    exchangeView(crib.db),
  ),
  view(
    'choose',
    'Cutters for a cut, ranked with reasons, and what fails by how much: ?feature=pocket&depth=10&corner=4 …',
    async (crib, query) =>
      query.has('feature')
        ? chooseView(crib.db, Object.fromEntries(query))
        : { rules: await rulesInForce(crib.db) },
  ),
  whole(
    'missing',
    'Facts that are not known or guessed and that something booked waits for, the worst first.',
    missingView,
  ),
  view('saved-views', 'Questions to the catalogue kept by name.', (crib) => savedViews(crib.db)),
  view(
    'takeable',
    'What can be taken for a build: ?what=cutter or holder, q=words, ranges or a mark, like=an item that comes first.',
    (crib, query) =>
      takeableView(crib.db, {
        what: query.get('what') || undefined,
        q: query.get('q') || undefined,
        like: query.get('like') || undefined,
      }),
  ),
  whole('assemblies', 'Assemblies that stand, as the rack draws them.', rackView),
  view('assembly', 'One that stands: judgement, measurements, registers, life: ?tag=', (crib, query) =>
    assemblyView(crib.db, query.get('tag') ?? '', crib.zone),
  ),
  view(
    'jobs',
    'Operations with parts to make, each T checked, and a page of those that are done: ?after=ID goes on.',
    (crib, query, once) => jobsView(crib.db, rowNumber(query.get('after')), once),
  ),
  view('job', 'One job: its program as read, each T checked, parts logged: ?number=', (crib, query) =>
    jobView(crib.db, query.get('number') ?? ''),
  ),
  view(
    'run',
    'An operation at the machine: its tools, life left, minutes without a tag: ?operation=',
    (crib, query) => runView(crib.db, rowNumber(query.get('operation')) ?? 0),
  ),
  view('lives', 'Lives per cutter and material, most lives first: ?after= goes on.', (crib, query) =>
    lifeView(crib.db, query.get('after')),
  ),
  view('life', 'One cutter in one material: survival curve and lives: ?item= and material=', (crib, query) =>
    lifeSheet(crib.db, query.get('item') ?? '', query.get('material') ?? ''),
  ),
  whole('orders', 'What to buy and what is on order.', buyingView),
  view('entries', 'The ledger, newest first; ?before=ID goes back.', (crib, query) =>
    historyView(crib.db, 200, rowNumber(query.get('before'))),
  ),
];
