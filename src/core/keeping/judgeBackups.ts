import type { Because, Grade } from '@/core/because';

/** When and where to the shop is backed up by itself. */
export interface BackupPlan {
  /** A folder of the machine that Stable runs on, by its whole path. */
  folder: string;
  /** Time of day in the shop's zone, as '02:00'. */
  at: string;
  /** How many backups are kept there. */
  keep: number;
  /** Whether they are locked by the passphrase. */
  locked: boolean;
}

/** What is known of the shop's backups. */
export interface BackupsKnown {
  /** A demo shop: nobody misses it. */
  demo: boolean;
  plan: BackupPlan | null;
  /** When the last one was made that was opened and compared; null: none is known. */
  lastGood: Date | null;
  /** The last moment at which the plan wanted one; null: there is no plan. */
  wanted: Date | null;
  /** What went wrong when one was last tried, since the last good one; null: nothing did. */
  wrong: string | null;
  /** What did not agree when all books and files were last looked through. */
  faults: readonly string[];
  /** When the shop's first entry was made; null: there is none. */
  since: Date | null;
  now: Date;
}

/** What is to be said of the backups: how good it is, in words, and what follows. */
export interface BackupsJudged {
  grade: Grade;
  words: string;
  wayOut: string | null;
  because: Because;
}

/** Hours after which a night's backup that is not there is asked about: copying and comparing take a while. */
const MISSED_AFTER_H = 2;
/** Hours from which the last good one is too old where one is planned each night: two nights were missed. */
const TOO_OLD_PLANNED_H = 50;
/** Days from which it is too old where nothing is planned: what a week's work is worth is lost with a disk. */
const TOO_OLD_DAYS = 7;
const HOUR = 3_600_000;

/** A span in the words of people. Example: 30 hours are '30 hours', 200 are '8 days'. */
const span = (hours: number): string => {
  if (hours < 1) return 'less than an hour';
  if (hours < 2) return '1 hour';
  return hours < 48 ? `${Math.floor(hours)} hours` : `${Math.floor(hours / 24)} days`;
};

/**
 * Whether the shop's data is kept safe: by how old the last backup is that was opened and compared. What was only tried is
 * none. Limits: common practice (a backup every night, looked after when two are missing).
 */
export function judgeBackups(k: BackupsKnown): BackupsJudged {
  const age = k.lastGood && (k.now.getTime() - k.lastGood.getTime()) / HOUR;
  const shopAge = k.since ? (k.now.getTime() - k.since.getTime()) / HOUR : 0;
  const tooOld = k.plan ? TOO_OLD_PLANNED_H : TOO_OLD_DAYS * 24;
  const values = [
    { name: 'last good backup', value: k.lastGood ? k.lastGood.toISOString() : 'none is known' },
    { name: 'planned', value: k.plan ? `every night at ${k.plan.at} into ${k.plan.folder}` : 'no' },
    { name: 'too old from', value: k.plan ? `${TOO_OLD_PLANNED_H} hours` : `${TOO_OLD_DAYS} days` },
    ...(k.wrong === null ? [] : [{ name: 'the last try', value: k.wrong }]),
  ];
  const said = (grade: Grade, words: string, wayOut: string | null, why: string): BackupsJudged => ({
    grade,
    words,
    wayOut,
    because: { words: why, values },
  });
  const set = k.plan ? 'Look after the folder, and back up now.' : 'Say when and where to it is backed up.';
  const trouble = k.wrong === null ? '' : `: ${k.wrong}`;
  const why = 'A disk that dies, a fire or a thief takes all that was entered since the last good backup.';
  if (k.faults.length)
    return said(
      'stop',
      `Books or files do not agree: ${k.faults.slice(0, 3).join('; ')}`,
      'Enter nothing more; keep a copy of the folder as it is, and put back the last backup from before.',
      'All of them are looked through on a copy, each night and by hand.',
    );
  if (k.demo && !k.plan)
    return said(
      'not judged',
      'The demo shop begins anew whenever it is wanted',
      'A backup of it can be tried all the same.',
      'Nothing in it is anybody’s work.',
    );
  if (age === null) {
    if (shopAge < 24)
      return said(
        'not judged',
        'The shop began today and has no backup yet',
        set,
        'It is a day old or less.',
      );
    return said(
      shopAge < tooOld ? 'question' : 'stop',
      `No backup of this shop is known${trouble}`,
      set,
      why,
    );
  }
  if (age >= tooOld) return said('stop', `The last good backup is ${span(age)} old${trouble}`, set, why);
  if (k.plan && k.wanted && k.lastGood && k.lastGood < k.wanted) {
    const late = (k.now.getTime() - k.wanted.getTime()) / HOUR;
    if (k.wrong !== null || late >= MISSED_AFTER_H)
      return said(
        'question',
        `The backup of ${k.plan.at} was not made${trouble || ', and nothing says why'}`,
        set,
        `The last good one is ${span(age)} old.`,
      );
  }
  if (!k.plan)
    return said(
      'question',
      `The last backup is ${span(age)} old, and no next one is planned`,
      'Say when and where to it is backed up.',
      why,
    );
  return said(
    'good',
    `Backed up ${span(age)} ago, opened and compared`,
    null,
    'It was compared row by row with what it was made of.',
  );
}
