import { PASSWORD } from '@/core/people';
import { type Keeper, Problem } from '@/crib/door';
import { type Act, type ActContext, defineAct } from '@/crib/people';
import { maybeBackupPlan } from '@/data/keeping';

function keeperOf({ crib }: ActContext): Keeper {
  if (!crib.keeper)
    throw new Problem('REFUSED', 'This crib lies in no folder', { wayOut: 'Start it by npm start.' });
  return crib.keeper;
}

const backUpNow = defineAct({
  path: 'keeping/back-up',
  summary: 'Back up now, into the planned folder; answers once the copy was opened and compared.',
  may: [],
  properties: {},
  required: [],
  async run(c) {
    const plan = await maybeBackupPlan(c.crib.db);
    if (!plan)
      throw new Problem('REFUSED', 'Nobody has said where to it is backed up', {
        field: 'folder',
        wayOut: 'Say it first, on the page Backups.',
      });
    return { answer: await keeperOf(c).backUp(plan) };
  },
});

const lookThrough = defineAct({
  path: 'keeping/check',
  summary: 'Look through all books and files, on a copy: answers what is wrong.',
  may: [],
  properties: {},
  required: [],
  run: async (c) => ({ answer: await keeperOf(c).check() }),
});

const setPassphrase = defineAct({
  path: 'keeping/passphrase',
  summary: 'Set the passphrase that locks backups; left out: take it away.',
  may: [],
  properties: { passphrase: { type: 'string', minLength: PASSWORD.least, maxLength: PASSWORD.most } },
  required: [],
  async run(c, { passphrase }) {
    if (passphrase === undefined && (await maybeBackupPlan(c.crib.db))?.locked)
      throw new Problem('REFUSED', 'Backups are planned to be locked by it', {
        field: 'passphrase',
        wayOut: 'Let backups lie open first, or set another passphrase.',
      });
    keeperOf(c).setPassphrase(passphrase ?? null);
    return { answer: {} };
  },
});

/** What is done around keeping the data: nothing of it stands in the ledger. */
export const KEEPING_ACTS: readonly Act[] = [backUpNow, lookThrough, setPassphrase];
