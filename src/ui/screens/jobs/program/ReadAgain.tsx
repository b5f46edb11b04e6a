'use client';
import type { JobView } from '@/crib/jobs';
import { VerbForm } from '@/ui/kit/form';
import { Notice } from '@/ui/kit/page';

/** Where a program was read as its machine was taken for before: what follows from that, and the way out. */
export function ReadAgain({ job }: { job: JobView }) {
  const { operation: o, program } = job;
  if (!program) return null;
  const { figures, motion } = program.otherwise;
  if (figures.length === 0 && !motion) return null;
  // What was read for another machine is not read otherwise because this one changed.
  const came = o.movedAt !== null && program.since < o.movedAt;
  return (
    <Notice label="Read before its machine was stated anew">
      <strong>
        {came ? `Read before it came to ${o.machine}` : `Read before ${o.machine} was stated anew`}
      </strong>
      {figures.length > 0 ? `: ${figures.join(', ')}. Its depths and times may be other now.` : '. '}
      {figures.length === 0 && 'How it gains speed and takes corners is not in what a part takes yet.'}
      <VerbForm
        verb="readProgramAgain"
        fixed={{ operation: o.id, program: program.entryId }}
        fields={[]}
        submit="Read it again"
        said={(d) => `the program of ${d.job} was read again`}
      />
    </Notice>
  );
}
