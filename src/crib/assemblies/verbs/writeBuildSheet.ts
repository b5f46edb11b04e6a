import { isSeated, judgeBuild, PART_KINDS } from '@/core/assemblies';
import { type ItemKind, KINDS } from '@/core/cutters';
import { first } from '@/core/sure';
import { type CribItem, cutterOf, factText, loadItem } from '@/crib/catalogue';
import {
  defineVerb,
  field,
  found,
  maybeLength,
  maybeNumber,
  type Moment,
  Problem,
  toLength,
} from '@/crib/door';
import { maybeItem } from '@/data/catalogue';
import type { Connection } from '@/data/database';
import { highestVersion, insertSheet, insertSheetPart, maybeSheetNow } from '@/data/sheets';
import { mustOfInput, mustSchema } from '../must';
import { putTogether, type SetPart } from '../putTogether';

/** Writes a design that is built again and again, or a new version of it: what was built from an earlier one stays what it was. */
export const writeBuildSheet = defineVerb({
  name: 'writeBuildSheet',
  may: ['crib', 'planner'],
  path: 'build-sheets',
  summary:
    'Write a build sheet or a new version of one: cutter or what it must have, holder, parts, stickout with its range, grip, torque. One that may not be built is refused.',
  properties: {
    code: field.code,
    replaces: { ...field.number, description: 'The version it replaces; left out for a new sheet.' },
    name: field.words(80),
    cutter: field.words(40),
    must: mustSchema,
    holder: field.words(40),
    parts: {
      type: 'array',
      maxItems: 12,
      description: 'Extensions and collets from the spindle down; pull stud and spares beside them.',
      items: {
        type: 'object',
        properties: {
          item: field.words(40),
          out: field.length(1, 999, 'How far an extension stands out; left out: as its LPR says.'),
        },
        required: ['item'],
        additionalProperties: false,
      },
    },
    stickout: field.length(0.5, 800, 'Tip to the face that holds it.'),
    least: field.length(0.5, 800, 'Least stickout; left out: the stickout itself.'),
    most: field.length(0.5, 800, 'Greatest stickout; left out: the stickout itself.'),
    grip: field.length(1, 300, 'Least grip, where it asks for more than the holder does.'),
    torque: field.decimal(0.1, 999, 'N m, of the nut or screw that holds the cutter.'),
    collar: { type: 'boolean', description: 'A stop collar keeps the stickout.' },
    steps: { ...field.words(2000), description: 'What else is to be done or looked at.' },
  },
  required: ['code', 'name', 'holder', 'stickout'],
  async run(c, input, moment) {
    const code = input.code.toUpperCase();
    const now = await maybeSheetNow(c, code);
    mustReplace(code, now?.version ?? null, input.replaces ?? null);
    if ((input.cutter === undefined) === (input.must === undefined))
      throw new Problem('INVALID_INPUT', 'a sheet names a cutter, or what any cutter must have', {
        field: 'cutter',
        value: input.cutter ?? null,
        limit: 'one of the two',
        wayOut: 'Name the cutter; or leave it blank and say family and DC.',
      });
    const must = input.must ? mustOfInput(input.must) : null;
    const [stickout, least, most] = range(input);
    const named = async (name: string, code_: string, kinds: readonly ItemKind[]) =>
      namedItem(c, moment, name, code_, kinds);
    const cutter =
      input.cutter === undefined ? null : await named('cutter', input.cutter, ['cutter', 'body']);
    const holder = await named('holder', input.holder, ['holder']);
    const parts: SetPart[] = [];
    const outs: (ReturnType<typeof toLength> | null)[] = [];
    for (const [i, p] of (input.parts ?? []).entries()) {
      const out = maybeLength(p.out);
      outs.push(out);
      parts.push({ item: await named(`parts/${i}/item`, p.item, PART_KINDS), setOut: out?.mm ?? null });
    }
    if (cutter) mustMayBeBuilt(cutter, holder, parts, [least, stickout, most]);
    const grip = maybeLength(input.grip);
    const version = (await highestVersion(c, code)) + 1;
    if (now) moment.leansOn(now.entryId);
    const sheetId = await insertSheet(c, moment.entryId, {
      code,
      version,
      name: input.name.trim(),
      cutterItemId: cutter?.id ?? null,
      must: must && JSON.stringify(must),
      holderItemId: holder.id,
      leastMm: least.mm,
      leastEntered: least.entered,
      mostMm: most.mm,
      mostEntered: most.entered,
      stickoutMm: stickout.mm,
      stickoutEntered: stickout.entered,
      gripMm: grip?.mm ?? null,
      gripEntered: grip?.entered ?? null,
      torque: maybeNumber(input.torque),
      collar: input.collar ?? false,
      steps: input.steps?.trim() ?? null,
    });
    for (const [i, part] of parts.entries())
      await insertSheetPart(c, moment.entryId, {
        sheetId,
        placeInStack: i + 1,
        itemId: part.item.id,
        outMm: outs[i]?.mm ?? null,
        outEntered: outs[i]?.entered ?? null,
      });
    return { code, version };
  },
  says: (a) => `build sheet ${a.code} v${a.version}`,
});

/** Refuses to write over what somebody else wrote meanwhile. */
function mustReplace(code: string, now: number | null, said: number | null): void {
  if (now === said) return;
  throw new Problem(
    'CONFLICT',
    now === null
      ? `There is no sheet ${code} to replace`
      : said === null
        ? `There is a sheet ${code} already`
        : `${code} is at version ${now} by now`,
    {
      field: said === null ? 'code' : 'replaces',
      value: said ?? code,
      limit: now === null ? 'left out for a new sheet' : `version ${now}`,
      wayOut:
        said === null
          ? 'Open it and write a new version; or take another code.'
          : 'Open it and look at what changed first.',
    },
  );
}

function range(input: {
  stickout: string | number;
  least?: string | number;
  most?: string | number;
}): readonly [ReturnType<typeof toLength>, ReturnType<typeof toLength>, ReturnType<typeof toLength>] {
  const stickout = toLength(input.stickout);
  const least = maybeLength(input.least) ?? stickout;
  const most = maybeLength(input.most) ?? stickout;
  for (const [name, is, fine] of [
    ['least', least, least.mm <= stickout.mm],
    ['most', most, most.mm >= stickout.mm],
  ] as const)
    if (!fine)
      throw new Problem(
        'INVALID_INPUT',
        `${name}: ${is.entered} leaves the stickout of ${stickout.entered} out`,
        {
          field: name,
          value: is.entered,
          limit: `at ${name === 'least' ? 'most' : 'least'} ${stickout.entered}`,
          wayOut: 'The stickout lies in its own range.',
        },
      );
  return [stickout, least, most];
}

async function namedItem(
  c: Connection,
  moment: Moment,
  name: string,
  code: string,
  kinds: readonly ItemKind[],
): Promise<CribItem> {
  const words = KINDS[first(kinds)].words;
  const item = found(await maybeItem(c, code), name, code, words);
  if (!kinds.includes(item.kind))
    throw new Problem('REFUSED', `${code} is a ${KINDS[item.kind].words}, not a ${words}`, {
      field: name,
      value: code,
      wayOut: `Choose a ${words}.`,
    });
  moment.leansOn(item.entryId);
  return loadItem(c, item.id);
}

/** Refuses a design that its own figures forbid, anywhere in its range: nobody could build it without a 'despite'. */
function mustMayBeBuilt(
  cutter: CribItem,
  holder: CribItem,
  parts: readonly SetPart[],
  lengths: readonly { mm: number; entered: string }[],
): void {
  const seated = isSeated(factText(cutter, 'SHANK'));
  for (const length of lengths) {
    const { build } = putTogether(cutter, cutterOf(cutter), holder, parts, length.mm);
    const stop = judgeBuild(build).find((j) => j.grade === 'stop');
    if (stop)
      throw new Problem('REFUSED', `At ${length.entered}: ${stop.words}`, {
        field: 'stickout',
        value: length.entered,
        limit: stop.because.formula ?? stop.because.words,
        wayOut: seated
          ? 'What is seated has one stickout: its LPR. Or choose another holder.'
          : 'Change the stickout or its range, the holder or its parts.',
      });
  }
}
