import { addDays } from '@/core/units';
import { defineVerb, field, foundInUse, Problem } from '@/crib/door';
import { maybePerson } from '@/data/shop';
import { insertWorkWord, WORK_WORDS } from '@/data/today';
import { kindOf, mayWait } from '../worklist';

/** A line goes when what it says is no longer so, whatever is said of it: this only takes it out of sight for a while. */
export const sayOfWork = defineVerb({
  name: 'sayOfWork',
  may: ['crib', 'planner', 'operator'],
  path: 'work-words',
  summary:
    'Say of a line of the worklist that it is done for today, put off to a day, or given to somebody. What can hurt somebody is not put off.',
  properties: {
    line: { ...field.words(400), description: 'The key of the line in the view of today' },
    word: field.choice(WORK_WORDS),
    until: { ...field.day, description: 'Put off: the day it is to come back' },
    to: { ...field.initials, description: 'Given: to whom; left out, to nobody any more' },
    reason: field.words(120),
  },
  required: ['line', 'word'],
  async run(c, input, moment) {
    const kind = kindOf(input.line);
    if (kind === null)
      throw new Problem('INVALID_INPUT', 'line: that is no line of the worklist', {
        field: 'line',
        value: input.line,
        limit: 'the key of a line',
        wayOut: 'Take it from the view of today.',
      });
    if (input.word !== 'given' && !mayWait(kind))
      throw new Problem('REFUSED', `What is ‘${kind}’ stays in sight until it is dealt with`, {
        field: 'word',
        value: input.word,
        limit: 'given',
        wayOut: 'Open the line and deal with it, or give it to somebody.',
      });
    if (input.word === 'put off' && (input.until === undefined || input.until <= moment.today))
      throw new Problem('INVALID_INPUT', 'until: put off to which day?', {
        field: 'until',
        value: input.until,
        limit: 'tomorrow or later',
        wayOut: 'Enter the day it is to come back.',
      });
    const person =
      input.word !== 'given' || input.to === undefined
        ? null
        : foundInUse(await maybePerson(c, input.to), 'to', input.to, 'person').initials;
    const until =
      input.word === 'done'
        ? addDays(moment.today, 1)
        : input.word === 'put off'
          ? (input.until ?? null)
          : null;
    await insertWorkWord(c, moment.entryId, {
      line: input.line,
      word: input.word,
      until,
      person,
      reason: input.reason?.trim() || null,
    });
    return { line: input.line, word: input.word, until, to: person };
  },
  says: (a) =>
    `${a.line.slice(a.line.indexOf(': ') + 2).replace(/ \/\S*$/, '')}: ${
      a.word === 'put off'
        ? `put off to ${a.until}`
        : a.word === 'given'
          ? a.to
            ? `given to ${a.to}`
            : 'given to nobody'
          : 'done for today'
    }`,
});
