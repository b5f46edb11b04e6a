import { type BackupPlan, type BackupsKnown, judgeBackups } from './index';

// Limits: common practice. A backup every night; one night missed is asked about, two are too many; unplanned, a week.
const PLAN: BackupPlan = { folder: '/mnt/other/stable', at: '02:00', keep: 14, locked: false };
const at = (iso: string) => new Date(iso);
const known = (over: Partial<BackupsKnown>): BackupsKnown => ({
  demo: false,
  plan: PLAN,
  lastGood: at('2027-03-10T01:01:00Z'),
  wanted: at('2027-03-10T01:00:00Z'),
  wrong: null,
  faults: [],
  since: at('2026-01-01T00:00:00Z'),
  now: at('2027-03-10T09:00:00Z'),
  ...over,
});

it.each<[string, Partial<BackupsKnown>, string, RegExp]>([
  ['last night’s is there', {}, 'good', /^Backed up 7 hours ago/],
  ['just now', { now: at('2027-03-10T01:20:00Z') }, 'good', /^Backed up less than an hour ago/],
  [
    'it is being made just now',
    { lastGood: at('2027-03-09T01:01:00Z'), now: at('2027-03-10T01:20:00Z') },
    'good',
    /24 hours ago/,
  ],
  [
    'last night’s is missing, nobody knows why',
    { lastGood: at('2027-03-09T01:01:00Z') },
    'question',
    /nothing says why$/,
  ],
  [
    'last night’s failed',
    {
      lastGood: at('2027-03-09T01:01:00Z'),
      wrong: 'there is no room on its disk',
      now: at('2027-03-10T01:05:00Z'),
    },
    'question',
    /02:00 was not made: there is no room on its disk$/,
  ],
  ['two nights are missing', { lastGood: at('2027-03-08T01:01:00Z') }, 'stop', /is 2 days old$/],
  [
    'one was made by hand, none is planned',
    { plan: null, wanted: null },
    'question',
    /no next one is planned$/,
  ],
  [
    'one was made by hand a week ago',
    { plan: null, wanted: null, lastGood: at('2027-03-03T09:00:00Z') },
    'stop',
    /is 7 days old$/,
  ],
  [
    'none is known of a shop of years',
    { plan: null, wanted: null, lastGood: null },
    'stop',
    /^No backup of this shop is known$/,
  ],
  [
    'none is known of a shop of three days',
    { plan: null, wanted: null, lastGood: null, since: at('2027-03-07T09:00:00Z') },
    'question',
    /^No backup/,
  ],
  [
    'planned and never made',
    { lastGood: null, wrong: 'it can’t be written to' },
    'stop',
    /^No backup of this shop is known: it can’t be written to$/,
  ],
  [
    'a shop that began today',
    { plan: null, wanted: null, lastGood: null, since: at('2027-03-10T08:00:00Z') },
    'not judged',
    /began today/,
  ],
  [
    'books that do not agree, however fresh the backup',
    { faults: ['the index item_by_code does not hold the rows of item'] },
    'stop',
    /do not agree: the index item_by_code/,
  ],
  [
    'a demo, of which nobody has one made',
    { demo: true, plan: null, wanted: null, lastGood: null },
    'not judged',
    /demo/,
  ],
  [
    'a demo whose backups were planned',
    { demo: true, lastGood: at('2027-03-08T01:01:00Z') },
    'stop',
    /2 days old/,
  ],
  [
    'a shop without an entry',
    { plan: null, wanted: null, lastGood: null, since: null },
    'not judged',
    /began today/,
  ],
])('%s', (_, over, grade, words) => {
  const judged = judgeBackups(known(over));
  expect(judged).toMatchObject({ grade, words: expect.stringMatching(words) });
  // Whoever is told that something is wrong is told what to do.
  expect(judged.wayOut === null).toBe(grade === 'good');
  expect(judged.because.values.map((v) => v.name)).toContain('last good backup');
});
