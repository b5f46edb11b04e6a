'use client';
import Button from '@mui/material/Button';
import { PART_VERDICTS, partWords } from '@/core/breakage';
import { linkTo, addressOf } from '@/core/links';
import { namesOf } from '@/core/names';
import type { HoldSheet } from '@/crib/held';
import { GradeMark } from '@/ui/kit/figure';
import { VerbForm } from '@/ui/kit/form';
import { Link } from '@/ui/kit/link';
import { Acts, Lines } from '@/ui/kit/page';
import { Tag } from '@/ui/kit/tag';
import { EntryBack } from '@/ui/screens/common/EntryBack';
import { useQuery } from '@/ui/screens/common/query';
import { useTimes } from '@/ui/shell';

const GRADES = { good: 'good', rework: 'question', scrap: 'stop' } as const;

/** Held parts: what was decided of each run of them by whom, and the verdict for those that are left. */
export function HoldTag({ hold }: { hold: HoldSheet }) {
  const query = useQuery('held');
  const { moment } = useTimes();
  const left = hold.stands.find((s) => s.by === null);
  // What is decided anew is decided by who has seen what stands.
  const seen = Math.max(0, ...hold.stands.map((s) => s.by?.entryId ?? 0));
  return (
    <Tag
      over={`${hold.job} ${hold.part}, ${hold.machine}`}
      number={hold.number}
      words={hold.why}
      closeHref={query.href({ open: null })}
    >
      <div className="soft small">
        {moment(hold.happenedAt)}, {hold.who}
        {hold.mark && ` · cut by ${hold.mark}`}
        {hold.endingId !== null && (
          <>
            {' · '}
            <Link href={linkTo('breakages', { open: hold.endingId })}>what broke</Link>
          </>
        )}{' '}
        <EntryBack entry={hold.entryId} what={`hold ${hold.number}`} />
      </div>
      <Lines>
        {hold.stands.map((s) => (
          <li key={s.first}>
            <GradeMark grade={s.by ? GRADES[s.by.verdict] : 'not judged'}>
              {partWords([s])}: {s.by ? PART_VERDICTS[s.by.verdict] : 'nobody decided'}
            </GradeMark>
            {s.by && (
              <span className="soft small">
                {' '}
                {s.by.who}, {moment(s.by.happenedAt)}
                {s.by.note ? `: ${s.by.note}` : ''}{' '}
                <EntryBack entry={s.by.entryId} what={`${partWords([s])} of ${hold.number}`} />
              </span>
            )}
          </li>
        ))}
      </Lines>
      {hold.open > 0 && (
        <Acts>
          <Button href={addressOf('/api/v1/hold.pdf', { number: hold.number })}>Tags to print</Button>
        </Acts>
      )}
      <h3>{left ? 'Decide' : 'Decide anew'}</h3>
      <VerbForm
        key={`${hold.number} ${left?.first ?? ''}`}
        verb="judgeParts"
        fixed={{ hold: hold.number, ...(seen > 0 && { over: seen }) }}
        submit="So it is"
        fields={[
          {
            name: 'verdict',
            label: 'Verdict',
            kind: 'choice',
            options: namesOf(PART_VERDICTS).map((v) => [v, PART_VERDICTS[v]] as const),
          },
          {
            name: 'from',
            label: 'From part',
            kind: 'whole',
            start: String(left?.first ?? hold.firstPart),
          },
          { name: 'to', label: 'To part', kind: 'whole', start: String(left?.last ?? hold.lastPart) },
          { name: 'words', label: 'What was measured or seen', optional: true, wide: true },
        ]}
        said={(d) => `${partWords(d.parts)}: ${PART_VERDICTS[d.verdict]}`}
      />
    </Tag>
  );
}
