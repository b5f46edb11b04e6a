'use client';
import { CHANGE_BASES } from '@/core/jobs';
import { linkTo } from '@/core/links';
import { namesOf } from '@/core/names';
import type { JobLine } from '@/crib/jobs';
import { VerbForm } from '@/ui/kit/form';
import { Link } from '@/ui/kit/link';
import { Fold } from '@/ui/kit/page';
import { EntryBack } from '@/ui/screens/common/EntryBack';

type ToolLine = JobLine['tools'][number];

/** When the cutter of a T is changed, in words. Example: 'changed after 40 parts, by cost'. */
export const changedWords = (change: ToolLine['change']): string =>
  change?.parts == null
    ? 'runs until a sign shows'
    : `changed after ${change.parts} parts${change.basis ? `, ${CHANGE_BASES[change.basis]}` : ''}`;

/** Two schools: run to the sign, or change after a number of parts; said here for a T. */
export function WhenChanged({
  operation,
  material,
  tool: { t, change },
  item,
}: {
  operation: number;
  material: string;
  tool: ToolLine;
  /** What stands on it, to look up when it pays. */
  item: string | null;
}) {
  return (
    <Fold label={`T${t} ${changedWords(change)}`}>
      <VerbForm
        verb="stateChange"
        fixed={{ operation, t }}
        submit="So it is changed"
        fields={[
          {
            name: 'parts',
            label: 'After so many parts',
            kind: 'whole',
            optional: true,
            start: change?.parts == null ? '' : String(change.parts),
            help: 'blank: when a sign shows',
          },
          {
            name: 'basis',
            label: 'Chosen',
            kind: 'choice',
            optional: true,
            start: change?.basis ?? '',
            options: namesOf(CHANGE_BASES).map((b) => [b, CHANGE_BASES[b]] as const),
          },
        ]}
        said={(d) =>
          d.parts === null ? `T${d.t} runs until a sign shows` : `T${d.t} is changed after ${d.parts} parts`
        }
      />
      {change && (
        <p className="soft small">
          said by {change.who} <EntryBack entry={change.entryId} what={`when T${t} is changed`} />
        </p>
      )}
      {item && (
        <p className="small">
          <Link href={linkTo('life', { item, material })}>what a planned change of {item} would cost</Link>
        </p>
      )}
    </Fold>
  );
}
