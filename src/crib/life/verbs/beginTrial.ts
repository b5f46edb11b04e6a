import { sameTaper } from '@/core/cutters';
import { notFor } from '@/core/cutting';
import { type Tried, TRIED } from '@/core/life';
import { factNumber, loadItem, type CribItem } from '@/crib/catalogue';
import { recipeOf } from '@/crib/cutting';
import { defineVerb, field, found, foundInUse, Problem, toNumber } from '@/crib/door';
import { nextNumber } from '@/data/assemblies';
import { maybeItem } from '@/data/catalogue';
import { maybeRecipe } from '@/data/cutting';
import type { Connection } from '@/data/database';
import { insertTrial, manyTrialsOf } from '@/data/life';
import { maybeMaterial } from '@/data/shop';

export const beginTrial = defineVerb({
  name: 'beginTrial',
  may: ['crib', 'planner'],
  path: 'trials',
  summary:
    'Try two cutters against each other in a material; or, by the lives of one cutter, two kinds of holders or two recipes: which goes in next is alternated until so many of each have failed.',
  properties: {
    item: field.code,
    /** Left out: the cutter itself. */
    tries: field.choice(TRIED),
    first: field.code,
    against: field.code,
    material: field.code,
    failuresEach: field.whole(1, 50),
    why: field.words(200),
  },
  required: ['item', 'against', 'material', 'failuresEach'],
  async run(c, input, moment) {
    const tried = input.tries ?? 'cutter';
    const cutter = await itemOf(c, 'cutter', 'item', input.item);
    const material = foundInUse(
      await maybeMaterial(c, input.material),
      'material',
      input.material,
      'material',
    );
    if ((input.first === undefined) !== (tried === 'cutter'))
      throw new Problem(
        'INVALID_INPUT',
        tried === 'cutter'
          ? 'first: the cutter that is tried is its item'
          : `first: which ${tried} is tried against ${input.against} is missing`,
        {
          field: 'first',
          value: input.first ?? null,
          limit: tried === 'cutter' ? 'left out where cutters are tried' : `a ${tried}`,
          wayOut: tried === 'cutter' ? 'Leave it out.' : `Say which two ${tried}s are tried.`,
        },
      );
    const pair = await PAIR[tried](c, {
      ...{ cutter, material: material.code, first: input.first, against: input.against },
    });
    if (pair.first.id === pair.second.id)
      throw new Problem('INVALID_INPUT', `${pair.first.code} can't be tried against itself`, {
        field: 'against',
        value: pair.second.code,
        limit: `another ${tried}`,
        wayOut: 'Say which other one is to be tried.',
      });
    const whose = tried === 'cutter' ? [pair.first.id, pair.second.id] : [cutter.id];
    const open = (await manyTrialsOf(c, whose)).find(
      (t) => t.endedEntryId === null && t.materialId === material.id,
    );
    if (open)
      throw new Problem(
        'CONFLICT',
        `${open.number} goes on in ${open.material}: ${open.first} against ${open.second}`,
        {
          field: 'against',
          value: pair.second.code,
          limit: 'one trial of a cutter in a material at a time',
          wayOut: `End ${open.number} first; two trials at once would not say which made the difference.`,
        },
      );
    for (const { entryId } of [cutter, pair.first, pair.second]) moment.leansOn(entryId);
    const number = await nextNumber(c, 'trial', 'number', 'TR');
    const recipes = tried === 'recipe';
    await insertTrial(c, moment.entryId, {
      ...{ number, tried, cutterItemId: tried === 'cutter' ? null : cutter.id, materialId: material.id },
      firstItemId: recipes ? null : pair.first.id,
      secondItemId: recipes ? null : pair.second.id,
      firstRecipeId: recipes ? pair.first.id : null,
      secondRecipeId: recipes ? pair.second.id : null,
      ...{ failuresEach: toNumber(input.failuresEach), why: input.why?.trim() || null },
    });
    return {
      ...{ number, first: pair.first.code, second: pair.second.code, material: material.code },
      cutter: tried === 'cutter' ? null : cutter.code,
    };
  },
  says: (a) =>
    `${a.number}: ${a.first} tried against ${a.second}${a.cutter ? ` with ${a.cutter}` : ''} in ${a.material}`,
});

/** One of the two that are tried. */
interface One {
  id: number;
  code: string;
  entryId: number;
}
interface Asked {
  cutter: One & { item: CribItem };
  material: string;
  /** Code of the first holder or recipe. */
  first: string | undefined;
  against: string;
}

/** The two that are tried, each held against what may be tried with the other. */
const PAIR: Readonly<Record<Tried, (c: Connection, asked: Asked) => Promise<{ first: One; second: One }>>> = {
  cutter: async (c, { cutter, against }) => {
    const other = await itemOf(c, 'cutter', 'against', against);
    const [one, two] = [cutter, other].map((x) => factNumber(x.item, 'DC'));
    if (one != null && two != null && !sameWork(one, two))
      throw new Problem(
        'INVALID_INPUT',
        `against: ${other.code} of ${two} mm can't stand in for ${cutter.code} of ${one} mm on its T`,
        {
          field: 'against',
          value: other.code,
          limit: `a DC within a tenth of ${one} mm`,
          wayOut: 'Try it against one of about its own diameter: which goes in next is alternated on one T.',
        },
      );
    return { first: cutter, second: other };
  },
  holder: async (c, { first = '', against }) => {
    const [one, two] = [
      await itemOf(c, 'holder', 'first', first),
      await itemOf(c, 'holder', 'against', against),
    ];
    const [mine, other] = [one.item.taper, two.item.taper];
    if (mine !== null && other !== null && sameTaper(mine, other) === false)
      throw new Problem(
        'INVALID_INPUT',
        `against: ${two.code} (${other}) goes into no spindle that takes ${one.code} (${mine})`,
        {
          field: 'against',
          value: two.code,
          limit: `a holder with a spindle side ${mine}`,
          wayOut: 'Try holders of one spindle: which goes in next is alternated on one machine.',
        },
      );
    return { first: one, second: two };
  },
  recipe: async (c, asked) => {
    const first = await recipeFor(c, 'first', asked.first ?? '', asked);
    const second = await recipeFor(c, 'against', asked.against, asked);
    const apart = (['cut', 'machine'] as const).find((name) => first.recipe[name] !== second.recipe[name]);
    if (apart)
      throw new Problem(
        'INVALID_INPUT',
        `against: ${second.code} is for ${second.recipe[apart] ?? 'any machine'}, ${first.code} for ${first.recipe[apart] ?? 'any machine'}`,
        {
          field: 'against',
          value: second.code,
          limit: `a recipe for the same ${apart}`,
          wayOut: 'Try two that may be run on the same T: which goes in next is alternated there.',
        },
      );
    return { first, second };
  },
};

/** Whether cutters of two diameters, mm, do the same work on a T: neither more than a tenth thicker (practice). */
const sameWork = (a: number, b: number) => Math.max(a, b) <= 1.1 * Math.min(a, b) + 1e-9;

/** What an item is to be: anything else than a cutter or a body has no lives. */
const AS = {
  cutter: {
    is: ({ kind }: CribItem) => kind === 'cutter' || kind === 'body',
    limit: 'a cutter, or a body with its inserts',
    wayOut: 'Two holders are tried by the lives of one cutter: say so, and which cutter.',
  },
  holder: {
    is: ({ holder }: CribItem) => holder !== null,
    limit: 'a kind of holder of the catalogue',
    wayOut: 'Say the kind of holder by its item, not the mark of one.',
  },
} as const;

async function itemOf(
  c: Connection,
  what: keyof typeof AS,
  name: 'item' | 'first' | 'against',
  code: string,
) {
  const row = found(await maybeItem(c, code), name, code, what);
  const item = await loadItem(c, row.id);
  const { is, limit, wayOut } = AS[what];
  if (!is(item))
    throw new Problem('INVALID_INPUT', `${name}: ${item.code} is no ${what}`, {
      ...{ field: name, value: item.code, limit, wayOut },
    });
  return { id: row.id, code: item.code, entryId: row.entryId, item };
}

/** A recipe in force that the cutter may be run by in that material. */
async function recipeFor(
  c: Connection,
  name: 'first' | 'against',
  code: string,
  { cutter: { item }, material }: Asked,
) {
  const row = found(await maybeRecipe(c, code), name, code, 'recipe');
  const recipe = recipeOf(row);
  const isFor = (why: string, wayOut: string) =>
    new Problem('INVALID_INPUT', `${name}: ${recipe.code} ${why}`, {
      field: name,
      value: recipe.code,
      limit: `a recipe in force for ${item.code} in ${material}`,
      wayOut,
    });
  if (recipe.replacedBy !== null)
    throw isFor(`was written anew as ${recipe.replacedBy}`, `Try ${recipe.replacedBy}.`);
  if (recipe.state === 'rejected')
    throw isFor('was rejected', 'Say of it that it is tried again, and then try it.');
  const [wrong] = item.cutter
    ? notFor(
        recipe,
        { item: item.code, family: item.cutter.family, DC: item.cutter.DC },
        material,
        recipe.machine ?? '',
      )
    : [];
  if (wrong) throw isFor(wrong, 'State a recipe for it first, then try it.');
  return { id: row.id, code: recipe.code, entryId: row.entryId, recipe };
}
