import { first } from '@/core/sure';
import { defineVerb, field, found, Problem } from '@/crib/door';
import type { Connection } from '@/data/database';
import { insertBuiltFrom, maybeSheetNow } from '@/data/sheets';
import { build, tieBuilt } from '../build';
import { type FullSheet, fullSheets } from '../sheetOf';
import { type CutterSource, cutterSourceSchema, holderSchema, partsSchema, takeHeld } from '../taking';
import { goesInto, wantedFor } from '../useFigures';

export const buildAssembly = defineVerb({
  name: 'buildAssembly',
  may: ['crib', 'operator'],
  path: 'assemblies',
  summary:
    'Build an assembly: pull cutter, holder and what is between them from stock, set the stickout, get a tag number.',
  properties: {
    cutter: cutterSourceSchema,
    holder: holderSchema,
    parts: partsSchema,
    stickout: field.length(0.5, 800, 'Tip to the face that holds it: the holder’s, or the last extension’s.'),
    despite: field.words(200),
    sheet: {
      type: 'object',
      properties: {
        code: field.code,
        version: field.number,
        clean: { const: true, description: 'Shank, bore and collet were clean and dry.' },
        torqued: {
          type: 'boolean',
          description: 'Tightened to the torque of the sheet; asked where it has one.',
        },
      },
      required: ['code', 'version', 'clean'],
      additionalProperties: false,
      description: 'The build sheet it is built from: held against it.',
    },
    for: {
      type: 'object',
      properties: { operation: field.number, t: field.whole(0, 9999) },
      required: ['operation', 't'],
      additionalProperties: false,
      description: 'Ties the build to a T of an operation at once',
    },
  },
  required: ['cutter', 'holder', 'stickout'],
  async run(c, input, moment) {
    const aim = input.for ? await wantedFor(c, input.for.operation, Number(input.for.t)) : null;
    const sheet = input.sheet ? await sheetBuiltFrom(c, input.sheet) : null;
    const holder = await takeHeld(c, moment, input.holder, input.parts ?? []);
    const built = await build(
      c,
      moment,
      // The schema of a cutter’s source has three forms, which its type can’t say.
      input.cutter as CutterSource,
      holder,
      input.stickout,
      input.despite,
      {
        ...(aim ? { wanted: aim.wanted ?? undefined, jobs: [aim.operation.job] } : {}),
        ...(sheet ? { sheet } : {}),
      },
    );
    if (sheet) {
      moment.leansOn(sheet.row.entryId);
      await insertBuiltFrom(c, moment.entryId, {
        assemblyId: built.assemblyId,
        sheetId: sheet.row.id,
        isClean: true,
        isTorqued: input.sheet?.torqued ?? false,
      });
    }
    if (aim) {
      await goesInto(c, holder.itemId, aim.operation.machine);
      await tieBuilt(c, moment, aim.operation, Number(input.for?.t), built.assemblyId);
    }
    return { tag: built.tag, judgements: built.judgements };
  },
  says: (a) => `${a.tag} built`,
});

/** The sheet that is built from, which must be in force, with its torque ticked where it has one. */
async function sheetBuiltFrom(
  c: Connection,
  said: { code: string; version: number; torqued?: boolean },
): Promise<FullSheet> {
  const row = found(await maybeSheetNow(c, said.code.toUpperCase()), 'sheet.code', said.code, 'build sheet');
  if (row.version !== said.version)
    throw new Problem('CONFLICT', `${row.code} is at version ${row.version} by now`, {
      field: 'sheet.version',
      value: said.version,
      limit: `version ${row.version}`,
      wayOut: 'Open it again and look at what changed; what you hold may be another piece now.',
    });
  if (row.torque !== null && !said.torqued)
    throw new Problem('INVALID_INPUT', `${row.code} asks for ${row.torque} N m, and nobody ticked it`, {
      field: 'sheet.torqued',
      value: said.torqued ?? null,
      limit: `tightened to ${row.torque} N m`,
      wayOut: 'Tighten it with the wrench set to that, then tick it.',
    });
  return first(await fullSheets(c, [row]));
}
