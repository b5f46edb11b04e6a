import { takesStud } from '@/core/holders';
import { loadItem } from '@/crib/catalogue';
import { defineVerb, field, found, maybeNumber, Problem } from '@/crib/door';
import { maybeItem } from '@/data/catalogue';
import { insertHolderStud, maybeMarked } from '@/data/holders';

/** A new pull stud: its age counts from now on. */
export const changeStud = defineVerb({
  name: 'changeStud',
  may: ['crib'],
  path: 'stud-changes',
  summary:
    'Say that the pull stud of a marked holder was changed, for which, and to what torque it was tightened.',
  properties: {
    mark: field.words(20),
    stud: field.words(40),
    torque: { ...field.decimal(0.1, 1999), description: 'N m' },
    words: field.words(200),
  },
  required: ['mark'],
  async run(c, input, moment) {
    const one = found(await maybeMarked(c, input.mark.toUpperCase()), 'mark', input.mark, 'mark of a holder');
    const { taper } = await loadItem(c, one.itemId);
    // Of a taper that nobody wrote down it is not known that it has none.
    if (one.kind !== 'holder' || (taper !== null && !takesStud({ kind: one.kind, taper })))
      throw new Problem('REFUSED', `${one.mark} takes no pull stud: it is ${taper ?? 'no holder'}`, {
        field: 'mark',
        value: one.mark,
        limit: 'a holder with a 7:24 cone for a tool changer',
        wayOut: 'Read its mark again; or correct CCMS of its item.',
      });
    const stud =
      input.stud === undefined ? null : found(await maybeItem(c, input.stud), 'stud', input.stud, 'item');
    if (stud && stud.kind !== 'pull-stud')
      throw new Problem('REFUSED', `${stud.code} is no pull stud`, {
        field: 'stud',
        value: stud.code,
        limit: 'a pull stud',
        wayOut: 'Choose the stud, or leave it out.',
      });
    moment.leansOn(one.entryId);
    moment.leansOn(stud?.entryId ?? null);
    await insertHolderStud(c, moment.entryId, {
      markedId: one.id,
      studItemId: stud?.id ?? null,
      torque: maybeNumber(input.torque),
      words: input.words?.trim() || null,
    });
    return { mark: one.mark, stud: stud?.code ?? null };
  },
  says: (a) => `pull stud of ${a.mark} changed${a.stud ? `: ${a.stud}` : ''}`,
});
