import { FAMILY_NAMES } from '@/core/cutters';
import { COOLANTS, CUTS, FEEDS, SPEEDS } from '@/core/cutting';
import { namesOf } from '@/core/names';
import {
  defineVerb,
  field,
  found,
  foundInUse,
  maybeLength,
  type Moment,
  Problem,
  toNumber,
} from '@/crib/door';
import { nextNumber } from '@/data/assemblies';
import { maybeItem } from '@/data/catalogue';
import { insertRecipe, maybeRecipe } from '@/data/cutting';
import type { Connection } from '@/data/database';
import { maybeMachine, maybeMaterial } from '@/data/shop';

export const stateRecipe = defineVerb({
  name: 'stateRecipe',
  may: ['crib', 'planner'],
  path: 'recipes',
  summary:
    'State how a cutter, or any of a family between two diameters, is run in a material: speed, feed, depths, ramp, coolant; one value, or from a least to a most. A recipe is not changed: another is stated `instead` of it, and has to be proven anew.',
  properties: {
    instead: field.code,
    item: field.code,
    family: field.choice(FAMILY_NAMES),
    dcFrom: field.length(0.01, 1000, 'Least DC of the family.'),
    dcTo: field.length(0.01, 1000, 'Greatest DC of the family.'),
    material: field.code,
    machine: { ...field.code, description: 'The machine it is for; left out: any.' },
    cut: field.choice(namesOf(CUTS)),
    speedAs: field.choice(namesOf(SPEEDS)),
    speed: field.decimal(0.01, 200_000, 'Vc in m/min or ft/min, or turns a minute.'),
    speedMost: field.decimal(0.01, 200_000, 'Where a range is stated.'),
    feedAs: field.choice(namesOf(FEEDS)),
    feed: field.length(0.0001, 50_000, 'Way a tooth, a turn or a minute.'),
    feedMost: field.length(0.0001, 50_000, 'Where a range is stated.'),
    ap: field.length(0.001, 1000, 'Depth of a pass, along the axis.'),
    ae: field.length(0.001, 1000, 'Width of a pass, from the side.'),
    ramp: field.decimal(0.01, 90, 'Steepest way down, degrees.'),
    coolant: field.choice(COOLANTS),
    words: field.words(500),
  },
  required: ['material', 'cut'],
  async run(c, input, moment) {
    const speed = rangeOf('speed', input.speedAs, plain(input.speed), plain(input.speedMost));
    const feed = rangeOf('feed', input.feedAs, maybeLength(input.feed), maybeLength(input.feedMost));
    if (!speed && !feed)
      throw new Problem('INVALID_INPUT', 'A recipe states a speed, a feed, or both', {
        field: 'speed',
        value: null,
        limit: 'speed or feed',
        wayOut: 'Say at least one of them; what is not known stays blank.',
      });
    const cutter = await cutterOf(c, moment, input);
    const material = foundInUse(
      await maybeMaterial(c, input.material),
      'material',
      input.material,
      'material',
    );
    moment.leansOn(material.entryId);
    const machine =
      input.machine === undefined
        ? null
        : foundInUse(await maybeMachine(c, input.machine), 'machine', input.machine, 'machine');
    if (machine) moment.leansOn(machine.entryId);
    const instead = input.instead === undefined ? null : await replaced(c, moment, input.instead);
    const code = await nextNumber(c, 'recipe', 'code', 'R');
    const [ap, ae] = [maybeLength(input.ap), maybeLength(input.ae)];
    await insertRecipe(c, moment.entryId, {
      ...{ code, ...cutter, materialId: material.id, machineId: machine?.id ?? null, cut: input.cut },
      ...{
        speedAs: speed?.as ?? null,
        speedLeast: speed?.least.mm ?? null,
        speedMost: speed?.most.mm ?? null,
      },
      ...{ feedAs: feed?.as ?? null, feedLeastMm: feed?.least.mm ?? null, feedMostMm: feed?.most.mm ?? null },
      ...{ feedLeastEntered: feed?.least.entered ?? null, feedMostEntered: feed?.most.entered ?? null },
      ...{ apMm: ap?.mm ?? null, apEntered: ap?.entered ?? null },
      ...{ aeMm: ae?.mm ?? null, aeEntered: ae?.entered ?? null },
      rampDeg: input.ramp === undefined ? null : toNumber(input.ramp),
      ...{ coolant: input.coolant ?? null, words: input.words?.trim() ?? null },
      insteadOf: instead,
    });
    return { code, material: material.code, instead: input.instead ?? null };
  },
  says: (a) =>
    a.instead ? `recipe ${a.code} instead of ${a.instead}` : `recipe ${a.code} for ${a.material}`,
});

interface Stated {
  mm: number;
  entered: string;
}
const plain = (typed: string | number | undefined): Stated | null =>
  typed === undefined ? null : { mm: toNumber(typed), entered: String(typed) };

/** One value, or a least and a most; null: not stated. What is said by half is refused. */
function rangeOf<As extends string>(
  of: 'speed' | 'feed',
  as: As | undefined,
  least: Stated | null,
  most: Stated | null,
): { as: As; least: Stated; most: Stated } | null {
  const refuse = (field_: string, value: string | null, limit: string, wayOut: string) =>
    new Problem('INVALID_INPUT', `The ${of} is said by half`, { field: field_, value, limit, wayOut });
  if (!least && !most) return null;
  if (!least) throw refuse(of, null, 'a least where a most is stated', `Say the least ${of}, or only one.`);
  if (as === undefined)
    throw refuse(`${of}As`, null, 'what it is measured by', `Say what the ${of} is: per what.`);
  if (most && most.mm < least.mm)
    throw refuse(
      `${of}Most`,
      most.entered,
      `not below ${least.entered}`,
      'Enter the least first and the most after it.',
    );
  return { as, least, most: most ?? least };
}

/** The cutter it is for: a very one, or a family between two diameters. */
async function cutterOf(
  c: Connection,
  moment: Moment,
  input: {
    item?: string;
    family?: (typeof FAMILY_NAMES)[number];
    dcFrom?: string | number;
    dcTo?: string | number;
  },
) {
  const none = { leastMm: null, leastEntered: null, mostMm: null, mostEntered: null };
  if ((input.item === undefined) === (input.family === undefined))
    throw new Problem('INVALID_INPUT', 'A recipe is for one cutter, or for a family between two diameters', {
      field: 'item',
      value: input.item ?? null,
      limit: 'one of item and family',
      wayOut: 'Name the cutter; or leave it blank and say family and diameters.',
    });
  if (input.item !== undefined) {
    const item = found(await maybeItem(c, input.item), 'item', input.item, 'cutter');
    if (item.kind !== 'cutter' && item.kind !== 'body')
      throw new Problem('REFUSED', `${item.code} is no cutter`, {
        field: 'item',
        value: item.code,
        limit: 'a cutter, or a body with inserts',
        wayOut: 'Name what cuts.',
      });
    moment.leansOn(item.entryId);
    return { ...none, itemId: item.id, family: null };
  }
  const [least, most] = [maybeLength(input.dcFrom), maybeLength(input.dcTo)];
  if (!least || !most || most.mm < least.mm)
    throw new Problem('INVALID_INPUT', 'A family is stated with its least and its greatest DC', {
      field: least ? 'dcTo' : 'dcFrom',
      value: (least ? most : least)?.entered ?? null,
      limit: least ? `not below ${least.entered}` : 'both diameters',
      wayOut: 'Speed and feed go with the diameter: say from which to which it holds.',
    });
  return {
    ...{ itemId: null, family: input.family ?? null },
    ...{ leastMm: least.mm, leastEntered: least.entered, mostMm: most.mm, mostEntered: most.entered },
  };
}

/** The recipe it is written instead of: in force until now. */
async function replaced(c: Connection, moment: Moment, code: string): Promise<number> {
  const old = found(await maybeRecipe(c, code), 'instead', code, 'recipe');
  if (old.replacedBy !== null)
    throw new Problem('CONFLICT', `${old.code} is out of use: ${old.replacedBy} was written instead of it`, {
      field: 'instead',
      value: old.code,
      limit: `${old.replacedBy} is in force`,
      wayOut: `Look at ${old.replacedBy}, then write one instead of that.`,
    });
  moment.leansOn(old.entryId);
  return old.id;
}
