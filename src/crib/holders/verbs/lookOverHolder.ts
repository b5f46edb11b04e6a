import { HOLDER_LOOK_NAMES, HOLDER_LOOKS } from '@/core/holders';
import { defineVerb, field, found, maybeLength, Problem } from '@/crib/door';
import { insertHolderLook, maybeMarked } from '@/data/holders';

/** What was found on the bench. Good answers a fall and a doubt; out of use stops it wherever it stands. */
export const lookOverHolder = defineVerb({
  name: 'lookOverHolder',
  may: ['crib'],
  path: 'holder-looks',
  summary:
    'Say how a marked holder, extension or collet was found when it was looked over: good, in doubt, or out of use; its runout on a test bar, where it was measured.',
  properties: {
    mark: field.words(20),
    found: field.choice(HOLDER_LOOK_NAMES),
    runout: field.length(0, 9, 'On a test bar.'),
    words: field.words(200),
  },
  required: ['mark', 'found'],
  async run(c, input, moment) {
    const one = found(await maybeMarked(c, input.mark.toUpperCase()), 'mark', input.mark, 'mark of a holder');
    const runout = maybeLength(input.runout);
    if (one.found === 'bad' && input.found !== 'bad' && !input.words?.trim())
      throw new Problem(
        'REFUSED',
        `${one.mark} is out of use${one.lookWords ? `: ${one.lookWords}` : ''}; what was done to it is not said`,
        {
          field: 'words',
          value: null,
          limit: 'what was done, where it was out of use',
          wayOut: 'Say what was done to it and measured. If it is as it was, it stays out of use.',
        },
      );
    moment.leansOn(one.entryId);
    await insertHolderLook(c, moment.entryId, {
      markedId: one.id,
      found: input.found,
      runoutMm: runout?.mm ?? null,
      runoutEntered: runout?.entered ?? null,
      words: input.words?.trim() || null,
    });
    return { mark: one.mark, found: input.found, tag: one.tag };
  },
  says: (a) => `${a.mark} looked over: ${HOLDER_LOOKS[a.found]}`,
});
