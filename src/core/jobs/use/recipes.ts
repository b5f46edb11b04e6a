import { aside, type Judgement, mm, say } from '../../because';
import { effectiveDiameter } from '../../cutters';
import {
  byTrust,
  feedAs,
  type FeedAs,
  feedRange,
  feedText,
  notFor,
  type Range,
  type Recipe,
  turnsOf,
} from '../../cutting';
import { DEFAULTS } from '../../defaults';
import type { InForce } from '../../programs';
import { feedPerTurn } from './feedPerTurn';
import type { Use, UseBuild } from './facts';
import { inProgram } from './inProgram';

type Asked = Pick<Use, 'asks' | 'here' | 'machine'>;

/**
 * What the program does with the cutter against how it was proven, or is stated, to run in this material. One that the
 * planner named decides: what is off it is asked about. Where none is named, those that are kept for this very cutter are
 * held beside it, and decide nothing. Tolerances: DEFAULTS (practice: programmers round).
 */
export function judgeRecipes(asked: Asked, build: UseBuild): Judgement[] {
  const { recipes, material } = asked.here.recipes ?? { recipes: [], material: '' };
  const named = asked.here.recipes?.named ?? null;
  if (named) return [covers(asked, build, named, material), ...figures(asked, build, [named])];
  const cutter = build.itemCode === undefined ? null : { ...build.cutter, item: build.itemCode };
  const fits = recipes.filter(
    (r) =>
      cutter !== null &&
      r.state !== 'rejected' &&
      notFor(r, cutter, material, asked.machine.code).length === 0,
  );
  return figures(asked, build, byTrust(fits)).map(aside);
}

/** Whether the recipe that is named is one for this cutter, material and machine, and what came of it so far. */
function covers(
  { machine }: Asked,
  { cutter, itemCode: item }: UseBuild,
  recipe: Recipe,
  material: string,
): Judgement {
  const why = 'A recipe says how one cutter runs in one material: in another it proves nothing.';
  const off =
    item === undefined
      ? []
      : notFor(recipe, { item, family: cutter.family, DC: cutter.DC }, material, machine.code);
  if (off.length > 0) return say('RECIPE', 'question', `${recipe.code} ${off.join('; it ')}`, why);
  if (recipe.replacedBy !== null)
    return say(
      'RECIPE',
      'question',
      `${recipe.replacedBy} was written instead of ${recipe.code}: run by that one?`,
      why,
    );
  if (recipe.state === 'rejected')
    return say(
      'RECIPE',
      'question',
      `${recipe.code} was rejected: choose another, or say why it is right here`,
      why,
    );
  return say('RECIPE', 'good', `Runs by ${recipe.code}, ${recipe.state} in ${recipe.material}`, why);
}

/** The widest range of some: what any of them says. */
const spanOf = (ranges: readonly Range[]): Range | null =>
  ranges.length === 0
    ? null
    : { least: Math.min(...ranges.map((r) => r.least)), most: Math.max(...ranges.map((r) => r.most)) };
const codesOf = (recipes: readonly Recipe[]) => recipes.map((r) => r.code).join(', ');

function figures(asked: Asked, build: UseBuild, recipes: readonly Recipe[]): Judgement[] {
  const pairs = asked.asks.inForce ?? [];
  return [
    speed(asked, build, recipes, pairs),
    feed(build, recipes, pairs),
    depth(asked, recipes),
    ramp(asked, recipes),
  ].filter((j) => j !== null);
}

function speed(
  { here }: Asked,
  { cutter }: UseBuild,
  recipes: readonly Recipe[],
  pairs: readonly InForce[],
): Judgement | null {
  const said = recipes.filter((r) => r.speed);
  // What cuts at the depth of a pass, where both are known: a ball cuts on less than DC.
  const at = here.passDepth ?? said[0]?.ap ?? null;
  const D = (at === null ? null : effectiveDiameter(cutter, at)) ?? cutter.DC;
  const span = spanOf(said.flatMap((r) => turnsOf(r, D) ?? []));
  const turning = pairs.flatMap((p) => (p.s === null || p.s === 0 ? [] : [{ s: p.s, line: p.line }]));
  if (!span || turning.length === 0) return null;
  const share = DEFAULTS.recipeSpeedOff;
  const off = turning.find((p) => p.s > span.most * (1 + share) || p.s < span.least * (1 - share));
  const round = { least: Math.round(span.least), most: Math.round(span.most) };
  const range = round.least === round.most ? `${round.most}` : `${round.least} to ${round.most}`;
  const values: [string, string, string][] = [[`S of ${codesOf(said)}`, `${range} rev/min`, `on ${mm(D)}`]];
  if (off) values.push(['S', `${off.s} rev/min`, inProgram(off.line)]);
  const why = 'Too fast wears the edge by heat, too slow lets the edge build up and rubs.';
  const formula = 'n = 1000 Vc / (π D)';
  return off
    ? say(
        'RECIPE_SPEED',
        'question',
        `S${off.s}, ${codesOf(said)} ${says(said)} ${range}`,
        why,
        values,
        formula,
      )
    : say('RECIPE_SPEED', 'good', `S as ${codesOf(said)} ${says(said)}`, why, values, formula);
}

const says = (recipes: readonly unknown[]) => (recipes.length === 1 ? 'says' : 'say');

/** The fastest feed counts: what goes down or in slower does so on purpose. */
function feed(
  { cutter, name }: UseBuild,
  recipes: readonly Recipe[],
  pairs: readonly InForce[],
): Judgement | null {
  // Recipes that state it otherwise are not mixed: the most trusted says in which measure.
  const as = recipes.find((r) => r.feed)?.feed?.as;
  const said = recipes.filter((r) => r.feed?.as === as);
  const span = spanOf(said.flatMap((r) => r.feed ?? []));
  if (!as || !span || pairs.length === 0) return null;
  const why = 'Too thin a chip rubs and wears the edge, too thick a one breaks it.';
  const fed = pairs
    .flatMap((pair) => {
      const way = feedAs(as, feedPerTurn(pair), pair.s, cutter.NOF);
      return way === null ? [] : [{ way, line: pair.line }];
    })
    .toSorted((a, b) => b.way - a.way)[0];
  if (!fed)
    return say('RECIPE_FEED', 'not judged', `Feed against ${codesOf(said)}: not judged`, why, [
      ['flutes', cutter.NOF === null ? 'not known' : String(cutter.NOF), name],
    ]);
  const share = DEFAULTS.recipeFeedOff;
  const range = feedRange(span, as);
  const values: [string, string, string][] = [
    ['fastest feed', feedText(fed.way, as), inProgram(fed.line)],
    [`feed of ${codesOf(said)}`, range, says(said)],
  ];
  const words =
    fed.way > span.most * (1 + share)
      ? `Feeds ${feedText(fed.way, as)}, ${codesOf(said)} ${says(said)} ${range}`
      : fed.way < span.least * (1 - share)
        ? `Feeds ${feedText(fed.way, as)} at most, ${codesOf(said)} ${says(said)} ${range}`
        : null;
  return words
    ? say('RECIPE_FEED', 'question', words, why, values, FORMULAS[as])
    : say(
        'RECIPE_FEED',
        'good',
        `Feed as ${codesOf(said)} ${says(said)}: ${feedText(fed.way, as)}`,
        why,
        values,
        FORMULAS[as],
      );
}
const FORMULAS: Record<FeedAs, string> = {
  tooth: 'F ÷ (S × flutes)',
  turn: 'F ÷ S',
  minute: 'F',
};

/** The depth of one pass, where its planner stated it, against what the recipe goes to. */
function depth({ here }: Asked, recipes: readonly Recipe[]): Judgement | null {
  const said = recipes.filter((r) => r.ap !== null);
  const most = Math.max(...said.flatMap((r) => r.ap ?? []));
  const pass = here.passDepth;
  if (pass === null || said.length === 0) return null;
  const values: [string, string, string][] = [
    ['depth of one pass', mm(pass), 'as planned'],
    [`ap of ${codesOf(said)}`, mm(most), 'as stated'],
  ];
  const why = 'Load and deflection grow with the depth: deeper than it was proven nobody knows what it does.';
  return pass > most * (1 + DEFAULTS.recipeDepthOff)
    ? say(
        'RECIPE_DEPTH',
        'question',
        `Cuts ${mm(pass)} deep a pass, ${codesOf(said)} ${says(said)} ${mm(most)}`,
        why,
        values,
        'pass ≤ ap',
      )
    : say(
        'RECIPE_DEPTH',
        'good',
        `No deeper a pass than ${codesOf(said)} ${says(said)}`,
        why,
        values,
        'pass ≤ ap',
      );
}

function ramp({ asks }: Asked, recipes: readonly Recipe[]): Judgement | null {
  const said = recipes.filter((r) => r.ramp !== null);
  const most = Math.max(...said.flatMap((r) => r.ramp ?? []));
  const slope = asks.ramp ?? null;
  if (slope === null || said.length === 0) return null;
  const degrees = Math.round(slope.degrees * 100) / 100;
  // What goes straight down is another question, and asked elsewhere.
  if (degrees >= 90 || slope.degrees <= most + 0.01) return null;
  return say(
    'RECIPE_RAMP',
    'question',
    `Feeds down at ${degrees}°, ${codesOf(said)} ${says(said)} ${most}°`,
    'Steeper than it was proven a cutter stands on what it cannot cut at its centre.',
    [['steepest way down', `${degrees}°`, inProgram(slope.line)]],
    'slope ≤ ramp',
  );
}
