import { standing } from '@/crib/assemblies';
import { defineVerb, field, found, type Moment, Problem } from '@/crib/door';
import type { Connection } from '@/data/database';
import { insertHolderDrop, manyHolderIn, maybeMarked } from '@/data/holders';
import { maybeSigner } from '@/data/people';
import { markInBuild } from '../marking';

/**
 * A holder fell, alone or with what is built in it: it must not turn before somebody looked it over, and what was measured
 * of it before is measured again. One without a mark gets one, so that it is found again in the drawer.
 */
export const dropHolder = defineVerb({
  name: 'dropHolder',
  may: ['crib', 'planner', 'operator'],
  path: 'dropped-holders',
  summary:
    'Say that a marked holder or a whole build was dropped: it must not run until it was looked over, and is measured again. A holder in that build without a mark gets one.',
  properties: {
    mark: field.words(20),
    tag: field.words(20),
    by: field.initials,
    words: field.words(200),
  },
  required: [],
  async run(c, input, moment) {
    if ((input.mark === undefined) === (input.tag === undefined))
      throw new Problem('INVALID_INPUT', 'mark or tag: one of the two says what fell', {
        field: 'mark',
        value: input.mark ?? null,
        limit: 'the mark of a holder, or the tag of a build',
        wayOut: 'Read the mark on the holder, or the tag on the build.',
      });
    const by =
      input.by === undefined ? null : found(await maybeSigner(c, input.by), 'by', input.by, 'person');
    const fell = await whatFell(c, moment, input);
    for (const { id } of fell.marked)
      await insertHolderDrop(c, moment.entryId, {
        markedId: id,
        droppedBy: by?.initials ?? null,
        words: input.words?.trim() || null,
      });
    return { tag: fell.tag, marks: fell.marked.map((m) => m.mark) };
  },
  says: (a) => `${a.tag ?? a.marks.join(', ')} dropped${a.tag ? `: ${a.marks.join(', ')}` : ''}`,
});

/** The marked ones that fell; of a build all of them, and its holder in any case. */
async function whatFell(
  c: Connection,
  moment: Moment,
  { mark, tag }: { mark?: string; tag?: string },
): Promise<{ tag: string | null; marked: { id: number; mark: string }[] }> {
  if (tag === undefined) {
    const one = found(await maybeMarked(c, (mark ?? '').toUpperCase()), 'mark', mark, 'mark of a holder');
    moment.leansOn(one.entryId);
    return { tag: null, marked: [{ id: one.id, mark: one.mark }] };
  }
  const build = await standing(c, moment, tag);
  moment.leansOn(build.entryId);
  const inIt = await manyHolderIn(c, [build.id]);
  for (const x of inIt) moment.leansOn(x.entryId);
  const marked = inIt.map((x) => ({ id: x.markedId, mark: x.mark }));
  const holder = inIt.some((x) => x.placeInStack === 0) ? [] : [await markInBuild(c, moment, build, 0, null)];
  return { tag: build.tag, marked: [...holder.map(({ id, mark: m }) => ({ id, mark: m })), ...marked] };
}
