import { buyingView } from './buying';
import { localDay, type Crib } from './door';
import { chooseView, rulesInForce } from './choosing';
import { exchangeView } from './exchange';
import { jobsView } from './jobs';
import { historyView } from './ledger';
import { lifeView } from './life';
import { rackView } from './rack';
import { shopView } from './shop';
import {
  catalogueView,
  countView,
  itemView,
  movementsView,
  placesView,
  placeView,
  savedViews,
  takeableView,
  type CatalogueAsked,
} from './stock';
import { missingView, todayView } from './today';

export interface View {
  path: string;
  summary: string;
  read(crib: Crib, query: URLSearchParams): Promise<unknown>;
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

const view = (path: string, summary: string, read: View['read']): View => ({ path, summary, read });

/** Everything a screen shows, as JSON. */
export const VIEWS: readonly View[] = [
  view('today', 'The worklist with reasons.', (crib) => todayView(crib.db, localDay(crib.now(), crib.zone))),
  view('shop', 'People, places, materials, suppliers and machines.', (crib) => shopView(crib.db)),
  view(
    'items',
    'The catalogue, a page at a time: ?q=words and symbol ranges, kind, place, sort (code, dc, unused; - turns it), after or before a code, unit, limit.',
    (crib, query) => catalogueView(crib.db, askedOf(query)),
  ),
  view('item', 'One item with facts, stock, suppliers, versions: ?code=', (crib, query) =>
    itemView(crib.db, query.get('code')),
  ),
  view('places', 'Places as a tree, who has what, what is being reground, count sheets.', (crib) =>
    placesView(crib.db, localDay(crib.now(), crib.zone)),
  ),
  view('place', 'What lies at a place and inside it: ?code=', (crib, query) =>
    placeView(crib.db, query.get('code')),
  ),
  view('count', 'A count sheet with what may explain each difference: ?number=', (crib, query) =>
    countView(crib.db, query.get('number')),
  ),
  view('movements', 'What moved, newest first: ?item, piece, place or who; before an id.', (crib, query) =>
    movementsView(crib.db, {
      item: query.get('item') ?? undefined,
      piece: query.get('piece') ?? undefined,
      place: query.get('place') ?? undefined,
      who: query.get('who') ?? undefined,
      before: Number(query.get('before')) || undefined,
    }),
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
  view(
    'missing',
    'Facts that are not known or guessed and that something booked waits for, the worst first.',
    (crib) => missingView(crib.db, localDay(crib.now(), crib.zone)),
  ),
  view('saved-views', 'Questions to the catalogue kept by name.', (crib) => savedViews(crib.db)),
  view('takeable', 'Cutters, bodies and holders of which something lies in the crib.', (crib) =>
    takeableView(crib.db),
  ),
  view('assemblies', 'Assemblies that stand: outline, judgement, measurement, registers, life.', (crib) =>
    rackView(crib.db),
  ),
  view('jobs', 'Jobs with programs read and each T checked.', (crib) => jobsView(crib.db)),
  view('lives', 'Lives per cutter and material with survival curves.', (crib) => lifeView(crib.db)),
  view('orders', 'What to buy and what is on order.', (crib) =>
    buyingView(crib.db, localDay(crib.now(), crib.zone)),
  ),
  view('entries', 'The ledger, newest first; ?before=ID goes back.', (crib, query) =>
    historyView(crib.db, 200, Number(query.get('before')) || null),
  ),
];
