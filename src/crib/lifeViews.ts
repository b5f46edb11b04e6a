import {
  A_BREAKAGE,
  A_HOLD,
  A_HOLDER,
  A_LIFE,
  A_TRACE,
  BREAKAGES,
  HELD,
  HOLDERS,
  LIVES,
  NOTHING,
} from '@/core/questions';
import { localDay } from '@/core/units';
import { breakageSheet, breakagesView } from '@/crib/breakage';
import type { Crib } from '@/crib/door';
import { heldView, holdSheet, traceView } from '@/crib/held';
import { holderSheet, holdersView } from '@/crib/holders';
import { changeAsked, lifeSheet, lifeView } from '@/crib/life';
import { scrapView } from '@/crib/secondlife';
import { type View, view } from '@/crib/viewOf';

const today = (crib: Crib): string => localDay(crib.now(), crib.zone);

/** What screens show of how long things last and how they end, as JSON. */
export const LIFE_VIEWS: readonly View[] = [
  view('lives', 'Lives per cutter and material, most lives first.', LIVES, (crib, { after }) =>
    lifeView(crib.db, today(crib), crib.zone, after ?? null),
  ),
  view(
    'life',
    'One cutter in one material: survival curve and lives; with costs, when to change it; beside another.',
    A_LIFE,
    (crib, asked) =>
      lifeSheet(crib.db, asked.item ?? '', asked.material ?? '', { ...asked, change: changeAsked(asked) }),
  ),
  view(
    'breakages',
    'What broke, the latest first, and what it cost in the last twelve months, by cause, cutter, T, machine and month; before one of them.',
    BREAKAGES,
    (crib, { before }) => breakagesView(crib.db, today(crib), crib.zone, before ?? null),
  ),
  view(
    'breakage',
    'One that broke: likely causes with what proves them, what it has in common with others, parts under suspicion.',
    A_BREAKAGE,
    (crib, { ending }) => breakageSheet(crib.db, today(crib), ending ?? 0),
  ),
  view(
    'held',
    'What is held: parts until somebody decides, cutters until somebody looked at them; before one of them.',
    HELD,
    (crib, { before }) => heldView(crib.db, before ?? null),
  ),
  view('hold', 'Held parts with what was decided of each.', A_HOLD, (crib, { number }) =>
    holdSheet(crib.db, number ?? ''),
  ),
  view(
    'trace',
    'What cut a part of an operation, and what else the same edges cut since the last good part.',
    A_TRACE,
    (crib, { job, op, part }) => traceView(crib.db, job ?? '', op ?? null, part ?? 0),
  ),
  view(
    'holders',
    'Holders, extensions and collets with a mark of their own: how each stands, what is due with it, by whose rule; what is urgent first; after one of them.',
    HOLDERS,
    (crib, { after }) => holdersView(crib.db, today(crib), crib.zone, after ?? null),
  ),
  view(
    'holder',
    'One of them with its life: clampings, runout over them, when it was looked over, its studs, its falls.',
    A_HOLDER,
    (crib, { mark }) => holderSheet(crib.db, mark ?? '', today(crib), crib.zone),
  ),
  view(
    'scrap',
    'What lies in the scrap by substrate: pieces, what they weigh at most, what they fetch at the last price; what was sold.',
    NOTHING,
    (crib) => scrapView(crib.db),
  ),
];
