import { group } from 'd3';
import {
  ALLOYS,
  type Candidate,
  type Choice,
  chooseCutters,
  type ChoosingRules,
  type Cut,
  CUT_FIELD_NAMES,
  CUT_FIELDS,
  type CutField,
  FEATURES,
  kitFor,
  type KitStep,
  windowsOf,
} from '@/core/choosing';
import { isOne } from '@/core/names';
import { usedPiece } from '@/core/stock';
import { byName } from '@/core/units';
import { cutterOf, factNumber, loadItems } from '@/crib/catalogue';
import { recipesBeside } from '@/crib/cutting';
import { Problem, toLength, toNumber, validate } from '@/crib/door';
import { ladderInForce } from '@/crib/secondlife';
import { manyTagsOfItems } from '@/data/assemblies';
import {
  countOfFamilies,
  manyLinks,
  manyNearItems,
  manyStandings,
  manySupplies,
  type NearQuestion,
} from '@/data/catalogue';
import type { Connection } from '@/data/database';
import { manyPiecesHere, manyReservations } from '@/data/stock';
import { CUT_SCHEMA, type CutAsked, type CutInput } from '../cutSchema';
import { rulesInForce } from '../rulesInForce';

export interface ChooseView {
  cut: Cut;
  rules: ChoosingRules;
  fit: Choice[];
  rejected: Choice[];
  /** More were rejected than are shown. */
  rejectedMore: number;
  /** There are more of these families, further from the size that is asked for than those that were judged. */
  notLookedAt: boolean;
  kit: KitStep[] | null;
  /** How those that fit are run in what is cut, by their codes. */
  recipes: Record<string, { code: string; words: string }[]>;
}
const REJECTED_SHOWN = 40;
/** Of each family so many on the side where what fits lies, and so many misses, that lie on the shelf; half as many to buy. */
const NEAREST = 20;
const MISSES = 4;

/** A letter and an alloy that is none of its own can't both be meant. */
function mustAgree({ group, alloy }: CutInput): void {
  if (group === undefined || alloy === undefined || ALLOYS[alloy].group === group) return;
  throw new Problem(
    'INVALID_INPUT',
    `alloy: ${ALLOYS[alloy].words} is ${ALLOYS[alloy].group}, not ${group}`,
    {
      field: 'alloy',
      value: alloy,
      limit: `an alloy of ${group}`,
      wayOut: 'Leave one of the two out.',
    },
  );
}

/** A cut as it was typed, in mm; what was not said bounds nothing. */
function toCut(said: CutInput): Cut {
  mustAgree(said);
  const read = byName(CUT_FIELD_NAMES, (name) => {
    const text = said[name];
    if (text === undefined) return null;
    const { kind } = CUT_FIELDS[name];
    return kind === 'text' ? String(text).trim() : kind === 'length' ? toLength(text).mm : toNumber(text);
  });
  return {
    // Each field is read as its kind says: words stay words, the others are numbers.
    ...(read as Pick<Cut, CutField>),
    feature: said.feature,
    group: said.group ?? (said.alloy ? ALLOYS[said.alloy].group : null),
    alloy: said.alloy ?? null,
    bottom: said.bottom ?? null,
    plunge: said.plunge === 'yes',
  };
}

/** Cutters for a cut, ranked with reasons; what fails, and by how much; a kit for threads and close holes. */
export async function chooseView(c: Connection, asked: CutAsked): Promise<ChooseView> {
  validate(CUT_SCHEMA, asked);
  // The door found its feature, which is needed.
  const cut = toCut(asked as CutInput);
  const rules = await rulesInForce(c);
  const windows = windowsOf(cut).map(({ family, near, fits, reaches }): NearQuestion => ({
    family,
    near,
    depth: reaches ? cut.depth : null,
    below: fits === 'above' ? MISSES : fits === 'below' ? NEAREST : NEAREST / 2,
    above: fits === 'below' ? MISSES : fits === 'above' ? NEAREST : NEAREST / 2,
  }));
  const families = [...new Set(windows.map((w) => w.family))];
  const candidates = await loadCandidates(c, await manyNearItems(c, windows));
  const own = candidates.filter((x) => isOne(FEATURES[cut.feature].families, x.cutter.family));
  const { fit, rejected } = chooseCutters(cut, own, rules);
  return {
    cut,
    rules,
    fit,
    rejected: rejected.slice(0, REJECTED_SHOWN),
    rejectedMore: Math.max(0, rejected.length - REJECTED_SHOWN),
    notLookedAt: (await countOfFamilies(c, families, candidates.length)) > candidates.length,
    kit: kitFor(cut, candidates, rules),
    recipes: await recipesBeside(
      c,
      fit.map((x) => x.code),
      cut.group,
    ),
  };
}

/** Cutters and bodies with what choosing needs to know of them. */
async function loadCandidates(c: Connection, ids: readonly number[]): Promise<Candidate[]> {
  const items = await loadItems(c, ids);
  const pieces = group(await manyPiecesHere(c, ids), (p) => p.itemId);
  const standings = new Map((await manyStandings(c, ids)).map((s) => [s.itemId, s.standing]));
  const followed = new Set(
    (await manyLinks(c, ids)).filter((l) => l.relation === 'version').map((l) => l.earlierItemId),
  );
  const prices = new Map((await manySupplies(c, ids)).map((s) => [s.itemId, s.priceCents]));
  const ladder = await ladderInForce(c);
  const reserved = group(await manyReservations(c, ids), (r) => r.itemId);
  const built = group(await manyTagsOfItems(c, ids), (a) => a.itemId);
  return items.map((item) => {
    const text = (symbol: string) => item.facts.find((f) => f.symbol === symbol)?.text ?? null;
    const tapping = text('TAPPING');
    return {
      code: item.code,
      words: item.words,
      cutter: cutterOf(item),
      indexable: item.kind === 'body',
      substrate: item.substrate,
      coating: text('COATING'),
      centreCutting: item.centreCutting,
      thread: text('TDZ'),
      pitch: factNumber(item, 'TP'),
      forming: tapping === null ? null : tapping === 'forming',
      chamfer: text('THCHT'),
      helix: factNumber(item, 'FHA'),
      cls: text('TCHA'),
      measured: item.facts.find((f) => f.symbol === 'DCM')?.value ?? null,
      standing: standings.get(item.id) ?? null,
      followed: followed.has(item.id),
      guesses: item.guesses,
      unused: item.unused,
      reserved: reserved.get(item.id) ?? [],
      built: (built.get(item.id) ?? []).map((a) => ({ tag: a.tag, stickoutMm: a.stickoutMm })),
      graded: (pieces.get(item.id) ?? [])
        .filter((p) => p.grade !== null)
        .map((p) => ({ ...usedPiece(p, ladder, null, null), mark: p.mark, goodTo: p.goodToMm })),
      priceCents: prices.get(item.id) ?? null,
    };
  });
}
