import { buyingView } from './buying';
import { localDay, type Crib } from './door';
import { jobsView } from './jobs';
import { historyView } from './ledger';
import { lifeView } from './life';
import { rackView } from './rack';
import { shopView } from './shop';
import { itemsView } from './stock';
import { todayView } from './today';

export interface View {
  path: string;
  summary: string;
  read(crib: Crib, query: URLSearchParams): Promise<unknown>;
}

const view = (path: string, summary: string, read: View['read']): View => ({ path, summary, read });

/** Everything a screen shows, as JSON. */
export const VIEWS: readonly View[] = [
  view('today', 'The worklist with reasons.', (crib) => todayView(crib.db, localDay(crib.now(), crib.zone))),
  view('shop', 'People, places, materials, suppliers and machines.', (crib) => shopView(crib.db)),
  view('items', 'Cutters and holders with facts, stock and suppliers.', (crib) => itemsView(crib.db)),
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
