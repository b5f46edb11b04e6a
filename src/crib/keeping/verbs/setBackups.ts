import { accessSync, constants, existsSync, mkdirSync, realpathSync, statSync } from 'node:fs';
import { dirname, isAbsolute, join } from 'node:path';
import { defineVerb, field, isProblem, Problem, toNumber } from '@/crib/door';
import { insertBackupPlan } from '@/data/keeping';

const WAY_OUT = 'Name another folder, best on another disk. Nothing was changed.';
const refuse = (folder: string, why: string) =>
  new Problem('INVALID_INPUT', `folder: ${why}`, {
    field: 'folder',
    value: folder,
    limit: 'a folder of the machine that Stable runs on, by its whole path',
    wayOut: WAY_OUT,
  });

/** Refuses what no backup could be made into tonight; a folder that is not there yet is made. */
function mustTakeBackups(folder: string): void {
  if (!isAbsolute(folder)) throw refuse(folder, `${folder} does not begin with /`);
  try {
    // One level alone: where a folder can't have any (/proc), Node makes its way down without end.
    if (!existsSync(folder)) mkdirSync(folder, { mode: 0o700 });
    if (!statSync(folder).isDirectory()) throw refuse(folder, `${folder} is no folder`);
    accessSync(folder, constants.W_OK | constants.X_OK);
  } catch (error) {
    if (isProblem(error)) throw error;
    throw refuse(folder, `${folder} can’t be made or written to by the user who runs Stable`);
  }
  for (let at = realpathSync(folder); ; at = dirname(at)) {
    if (existsSync(join(at, 'pg', 'PG_VERSION')) || existsSync(join(at, 'PG_VERSION')))
      throw refuse(folder, `${folder} lies in the data itself`);
    if (at === dirname(at)) return;
  }
}

/** When and where to the shop is backed up by itself. */
export const setBackups = defineVerb({
  name: 'setBackups',
  may: [],
  path: 'keeping/backups',
  summary: 'Say when each night, where to, and how many backups are kept; or that none is made by itself.',
  properties: {
    made: field.choice(['every night', 'not']),
    folder: field.words(400),
    at: {
      type: 'string',
      pattern: '^([01][0-9]|2[0-3]):[0-5][0-9]$',
      maxLength: 5,
      description: 'Time of day in the shop’s zone, as 02:00',
    },
    keep: field.whole(1, 400),
    locked: field.choice(['yes', 'no']),
  },
  required: ['made'],
  prepare({ made, folder }) {
    if (made === 'every night' && folder !== undefined) mustTakeBackups(folder);
  },
  async run(c, input, moment) {
    const { made, folder, at, keep } = input;
    if (made === 'not') {
      await insertBackupPlan(c, moment.entryId, null);
      return { folder: null, at: null };
    }
    if (folder === undefined || at === undefined || keep === undefined)
      throw new Problem('INVALID_INPUT', 'folder, at and keep are needed for a backup every night', {
        field: folder === undefined ? 'folder' : at === undefined ? 'at' : 'keep',
        wayOut: 'Say where to, when, and how many are kept.',
      });
    await insertBackupPlan(c, moment.entryId, {
      folder,
      at,
      keep: toNumber(keep),
      locked: input.locked === 'yes',
    });
    return { folder, at };
  },
  countering: { never: 'When it is backed up is said anew, not taken back' },
  says: (a) =>
    a.folder === null ? 'no backups by itself any more' : `a backup every night at ${a.at} into ${a.folder}`,
});
