import { judgedTrials } from '@/crib/lives';
import { defineVerb, field, found, Problem } from '@/crib/door';
import { insertTrialEnd, maybeTrial } from '@/data/life';
import { first } from '@/core/sure';

export const endTrial = defineVerb({
  name: 'endTrial',
  may: ['crib', 'planner'],
  path: 'trial-ends',
  summary:
    'End a trial: which of the two won, or neither. What lies of the loser is then used up first. A verdict that the lives do not bear needs a reason.',
  properties: {
    trial: field.code,
    winner: field.choice(['first', 'second']),
    words: field.words(200),
  },
  required: ['trial'],
  async run(c, input, moment) {
    const row = found(await maybeTrial(c, input.trial.toUpperCase()), 'trial', input.trial, 'trial');
    if (row.endedEntryId !== null)
      throw new Problem('REFUSED', `${row.number} has ended already`, {
        field: 'trial',
        value: row.number,
        limit: 'a trial that goes on',
        wayOut: 'Take its end back where it stands, under Life, if it was decided wrongly.',
      });
    const judged = first(await judgedTrials(c, [row]));
    const winner = input.winner ?? null;
    const borne = judged.state !== 'going' && judged.longer === winner;
    if (!borne && !input.words?.trim())
      throw new Problem('INVALID_INPUT', 'words: the lives do not say so', {
        field: 'words',
        value: null,
        limit: 'why it is ended so',
        wayOut:
          'Say why: what it costs, the finish it leaves, that it is stopped. It stands beside the verdict.',
      });
    moment.leansOn(row.entryId);
    await insertTrialEnd(c, moment.entryId, { trialId: row.id, winner, words: input.words?.trim() || null });
    return { trial: row.number, winner: winner === null ? null : row[winner] };
  },
  says: (a) => `${a.trial} ended: ${a.winner === null ? 'neither won' : `${a.winner} won`}`,
});
