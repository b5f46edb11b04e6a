import { GROUPS } from '@/core/choosing';
import { DEFAULT_LADDER, rungsFor, type Rung } from '@/core/life';
import { loadItems } from '@/crib/cutters';
import { defineVerb, field, Problem } from '@/crib/door';
import { insert, maybeOne, type Connection } from '@/data/database';

/** The ladder the shop set last, or the usual one. */
export const ladderInForce = async (c: Connection): Promise<readonly Rung[]> =>
  (
    await maybeOne<{ rungs: Rung[] }>(
      c,
      'select g.rungs from grade_ladder g join live_entry e on e.id = g.entry_id order by e.happened_at desc, e.id desc limit 1',
    )
  )?.rungs ?? DEFAULT_LADDER;

/** Refuses a grade that is no rung here, or that coating and substrate of the item don't allow. */
export async function checkGrade(c: Connection, itemId: number, grade: string): Promise<void> {
  const item = (await loadItems(c, [itemId]))[0]!;
  const coating = item.facts.find((f) => f.symbol === 'COATING')?.text ?? null;
  const rungs = rungsFor(await ladderInForce(c), { coating, substrate: item.substrate });
  const found = rungs.find((r) => r.rung.name === grade);
  const open = rungs.filter((r) => r.not === null).map((r) => r.rung.name);
  if (!found)
    throw new Problem('INVALID_INPUT', `grade: “${grade}” is no rung of the ladder here`, {
      field: 'grade',
      value: grade,
      limit: open.join(', '),
    });
  if (found.not)
    throw new Problem('REFUSED', `${item.code} does not go to ${grade}: ${found.not}`, {
      field: 'grade',
      value: grade,
      limit: open.join(', '),
      wayOut: 'Choose another rung; or state its coating anew if that is wrong.',
    });
}

export const setLadder = defineVerb({
  name: 'setLadder',
  path: 'grades/ladder',
  summary:
    'Set the ladder of second lives: rungs from the sharpest down, each with the ISO 513 groups it is still good for; the last is scrap.',
  properties: {
    rungs: {
      type: 'array',
      minItems: 2,
      maxItems: 20,
      items: {
        type: 'object',
        properties: {
          name: field.words(60),
          groups: { type: 'array', maxItems: 7, uniqueItems: true, items: field.choice(GROUPS) },
        },
        required: ['name', 'groups'],
        additionalProperties: false,
      },
    },
  },
  required: ['rungs'],
  async run(c, input, moment) {
    const rungs = input.rungs.map((r) => ({ name: r.name.trim(), groups: r.groups }));
    const last = rungs.at(-1)!;
    if (last.name !== 'scrap' || last.groups.length)
      throw new Problem('INVALID_INPUT', 'The last rung is scrap, good for nothing more', {
        field: `rungs.${rungs.length - 1}.name`,
        value: last.name,
        limit: 'scrap, without a group',
      });
    const twice = rungs.find((r, i) => rungs.findIndex((x) => x.name === r.name) !== i);
    if (twice)
      throw new Problem('INVALID_INPUT', `The rung ${twice.name} stands twice`, {
        field: 'rungs',
        value: twice.name,
      });
    await insert(c, 'grade_ladder', { entry_id: moment.entryId, rungs: JSON.stringify(rungs) });
    return { rungs };
  },
});
