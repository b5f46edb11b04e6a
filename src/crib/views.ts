import {
  A_COUNT,
  A_CUT,
  A_JOB,
  A_PLACE,
  A_RECIPE,
  A_RUN,
  A_RUN_ALONE,
  REGISTERS,
  AFTER_ROW,
  AN_ASSEMBLY,
  BENCH,
  A_SHEET,
  POCKETS,
  RACK,
  RECIPES,
  A_MACHINE,
  AN_ITEM,
  CATALOGUE,
  ENTRIES,
  MOVEMENTS,
  NOTHING,
  STOCK,
  TAKEABLE,
} from '@/core/questions';
import { sure } from '@/core/sure';
import { localDay } from '@/core/units';
import { buyingView } from '@/crib/buying';
import { catalogueView, itemView, savedViews } from '@/crib/catalogue';
import { chooseView, rulesInForce } from '@/crib/choosing';
import { consignedView } from '@/crib/consigned';
import { readOnce } from '@/crib/door';
import { devicesView, gaugesView } from '@/crib/devices';
import { sheetsView, sheetView } from '@/crib/assemblies';
import { benchView, recipesView, recipeView } from '@/crib/cutting';
import { exchangeView } from '@/crib/exchange';
import { jobsView, jobView, runView, unwatchedView } from '@/crib/jobs';
import { keepingView } from '@/crib/keeping';
import { historyView } from '@/crib/ledger';
import { LIFE_VIEWS } from '@/crib/lifeViews';
import { peopleView } from '@/crib/people';
import { fixturesView } from '@/crib/fixtures';
import { kitView, pocketsView } from '@/crib/pockets';
import { registersView } from '@/crib/registers';
import { countView, placesView, placeView } from '@/crib/places';
import { assemblyView, rackView, toMeasureView } from '@/crib/rack';
import { shiftView } from '@/crib/shift';
import { shopView } from '@/crib/shop';
import { movementsView, stockView, takeableView } from '@/crib/stock';
import { dayView, missingView, todayView } from '@/crib/today';
import { VERBS } from '@/crib/verbs';
import { type View, view, whole } from '@/crib/viewOf';

export type { View } from '@/crib/viewOf';

/** Everything a screen shows, as JSON. */
export const VIEWS: readonly View[] = [
  whole('today', 'The worklist with reasons.', todayView),
  whole(
    'day',
    'What each machine has before it today, in its order: how long, how its tools stand, after how many parts an edge is expected to end; and when somebody is there.',
    dayView,
  ),
  view('shop', 'People, places, materials, suppliers and machines.', NOTHING, (crib) =>
    shopView(crib.db, localDay(crib.now(), crib.zone)),
  ),
  view(
    'items',
    'The catalogue, a page at a time: words and symbol ranges, kind, place; - turns the order; after or before a code.',
    CATALOGUE,
    (crib, asked) => catalogueView(crib.db, asked),
  ),
  view('item', 'One item with facts, stock, suppliers, versions.', AN_ITEM, (crib, { code }) =>
    itemView(crib.db, code ?? null),
  ),
  whole('places', 'Places as a tree, who has what, what is being reground, count sheets.', placesView),
  view('place', 'What lies at a place and inside it.', A_PLACE, (crib, { code }) =>
    placeView(crib.db, code ?? null),
  ),
  view('count', 'A count sheet with what may explain each difference.', A_COUNT, (crib, { number }) =>
    countView(crib.db, number ?? null, crib.zone),
  ),
  view(
    'movements',
    'What moved, newest first, of an item, a piece, a place or a person; before an id.',
    MOVEMENTS,
    (crib, asked) => movementsView(crib.db, asked),
  ),
  view(
    'stock',
    'All that lies somewhere, a page at a time: words, places’ codes and symbol ranges; where; owner ours, theirs or a supplier; after or before a line.',
    STOCK,
    (crib, asked) => stockView(crib.db, asked),
  ),
  view('consigned', 'What was taken of suppliers’ own stock and is not settled.', NOTHING, (crib) =>
    consignedView(crib.db),
  ),
  view('exchange', 'Lists that came in, and what unknown headers were said to mean.', NOTHING, (crib) =>
    exchangeView(crib.db),
  ),
  view(
    'choose',
    'Cutters for a cut, ranked with reasons, and what fails by how much; without a feature, the rules.',
    A_CUT,
    async (crib, asked) =>
      asked.feature ? chooseView(crib.db, asked) : { rules: await rulesInForce(crib.db) },
  ),
  whole(
    'missing',
    'Facts that are not known or guessed and that something booked waits for, the worst first.',
    missingView,
  ),
  view('saved-views', 'Questions to the catalogue kept by name.', NOTHING, (crib) => savedViews(crib.db)),
  view(
    'takeable',
    'What can be taken for a build: words, ranges or a mark; an item that comes first.',
    TAKEABLE,
    (crib, asked) => takeableView(crib.db, asked, localDay(crib.now(), crib.zone)),
  ),
  view(
    'assemblies',
    'Assemblies that stand, as the rack draws them, at most 500: of a machine’s open jobs and pockets, by words, by taper.',
    RACK,
    (crib, asked, once) => rackView(crib.db, asked, localDay(crib.now(), crib.zone), once),
  ),
  view(
    'assembly',
    'One that stands: judgement, measurements, registers, life.',
    AN_ASSEMBLY,
    (crib, { tag }) => assemblyView(crib.db, tag ?? '', crib.zone),
  ),
  view(
    'to-measure',
    'What stands and has no length that counts: never measured, or its newest in question.',
    NOTHING,
    (crib) => toMeasureView(crib.db),
  ),
  view('build-sheets', 'Designs that are built again and again, as they are in force.', NOTHING, (crib) =>
    sheetsView(crib.db),
  ),
  view(
    'build-sheet',
    'One build sheet: its design, what each step takes and what may stand in, its versions, what stands built from it.',
    A_SHEET,
    (crib, { code }) => sheetView(crib.db, code ?? '', localDay(crib.now(), crib.zone)),
  ),
  view(
    'recipes',
    'How cutters are run in materials: recipes in force, the latest first, of a material or of a very cutter.',
    RECIPES,
    (crib, asked) => recipesView(crib.db, asked),
  ),
  view(
    'bench',
    'What a cut is tried with: a cutter of the shop, a recipe to begin from.',
    BENCH,
    (crib, asked) => benchView(crib.db, asked),
  ),
  view('recipe', 'One recipe by its code, with what came of it.', A_RECIPE, (crib, { code }) =>
    recipeView(crib.db, code ?? ''),
  ),
  view(
    'jobs',
    'Operations with parts to make, each T checked, and a page of those that are done.',
    AFTER_ROW,
    (crib, { after }, once) => jobsView(crib.db, after ?? null, once),
  ),
  view('job', 'One job: its program as read, each T checked, parts logged.', A_JOB, (crib, { number, op }) =>
    jobView(crib.db, number ?? '', op ?? null),
  ),
  view(
    'run',
    'An operation at the machine: its tools, life left, minutes without a tag.',
    A_RUN,
    (crib, { operation }) => runView(crib.db, operation ?? 0),
  ),
  view(
    'alone',
    'Whether an operation may run for some parts with nobody there: the chance that every edge lasts, tool by tool and together, and which to change before leaving.',
    A_RUN_ALONE,
    (crib, asked) => unwatchedView(crib.db, asked),
  ),
  view(
    'registers',
    'What a machine is to be given, T by T, against what it was given last; of all its open jobs or one; what changed, or all.',
    REGISTERS,
    (crib, asked) => registersView(crib.db, asked, crib.zone),
  ),
  view(
    'pockets',
    'A machine’s magazine: what is in each pocket, how each T of its open jobs stands, and the fewest changes for them.',
    POCKETS,
    (crib, asked) => pocketsView(crib.db, asked, localDay(crib.now(), crib.zone), crib.zone),
  ),
  view(
    'kit',
    'What a job’s operation needs, T by T: in the machine, pulled, on the rack, to be measured, built or bought, and what is fetched in the order of the shelves.',
    A_JOB,
    (crib, asked) => kitView(crib.db, asked, localDay(crib.now(), crib.zone)),
  ),
  view('fixtures', 'The vises of a machine, as its cheat sheet has them now.', A_MACHINE, (crib, asked) =>
    fixturesView(crib.db, asked),
  ),
  view(
    'devices',
    'Devices that measure: whether they may be believed today, and what one that is off puts in question.',
    NOTHING,
    (crib) => devicesView(crib.db, localDay(crib.now(), crib.zone), crib.zone),
  ),
  view(
    'gauges',
    'What has a certificate (devices, masters, blocks, wrenches, gauges): when each is due, and what one that was off put in doubt.',
    NOTHING,
    (crib) => gaugesView(crib.db, localDay(crib.now(), crib.zone), crib.zone),
  ),
  ...LIFE_VIEWS,
  view(
    'hand-over',
    'What is handed over: what was done since the shift was taken over last, what must not run, runs out, is held, lent and waited for.',
    NOTHING,
    (crib, _, once) => {
      const today = localDay(crib.now(), crib.zone);
      return shiftView(crib.db, today, VERBS, once ?? readOnce(crib.db, today, crib.zone));
    },
  ),
  view(
    'orders',
    'What to buy, what is on order, and a page of what came whole.',
    AFTER_ROW,
    (crib, { after }, once) => {
      const today = localDay(crib.now(), crib.zone);
      return buyingView(crib.db, today, once ?? readOnce(crib.db, today, crib.zone), after ?? null);
    },
  ),
  view(
    'signers',
    'Who is here for what, one’s own sign-ins; to owners, keys and what people sign in with.',
    NOTHING,
    (crib, _, __, signed) => peopleView(crib, sure(signed, 'who asks')),
  ),
  view(
    'keeping',
    'How the data is kept: backups, when the next one is made, what is to be said of them.',
    NOTHING,
    (crib) => keepingView(crib),
    ['crib'],
  ),
  view('entries', 'The ledger, newest first, before an entry.', ENTRIES, (crib, { before }) =>
    historyView(crib.db, VERBS, 200, before ?? null),
  ),
];
