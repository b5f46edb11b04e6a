'use client';
import { partWords } from '@/core/breakage';
import { linkTo } from '@/core/links';
import { SendButton, useVerb, ProblemNote, VerbForm } from '@/ui/kit/form';
import { Link } from '@/ui/kit/link';
import { Acts, Fold } from '@/ui/kit/page';
import { EntryBack } from '@/ui/screens/common/EntryBack';

/**
 * The part that was checked last: where suspicion ends when a cutter is found broken. One that is not good puts those since
 * the last good one in doubt.
 */
export function PartChecked({
  operation,
  job,
  made,
  lastGood,
}: {
  operation: number;
  job: string;
  /** Parts that are logged; the last of them is asked about. */
  made: number;
  /** The last part that was found good; null: none was. */
  lastGood: { part: number; entryId: number } | null;
}) {
  const { send, problem, pending, barred } = useVerb('checkPart');
  const check = (good: boolean) =>
    void send(
      { operation, part: made, good },
      (d) =>
        `part ${d.part} of ${d.job} checked, ${d.good ? 'good' : 'not good: hold those since the last good one'}`,
    );
  if (made === 0) return null;
  const since = lastGood?.part ?? 0;
  return (
    <>
      <h2>Part {made}, checked?</h2>
      <Acts style={{ marginTop: 0 }}>
        <SendButton pending={pending} barred={barred} onSend={() => check(true)}>
          Part {made} is good
        </SendButton>
        <SendButton pending={pending} barred={barred} onSend={() => check(false)}>
          It is not good
        </SendButton>
      </Acts>
      <ProblemNote problem={problem} />
      <div className="soft small">
        {lastGood === null ? (
          'No part was checked and found good yet.'
        ) : (
          <>
            Last found good: part {lastGood.part}.{' '}
            <EntryBack entry={lastGood.entryId} what={`that part ${lastGood.part} is good`} />
          </>
        )}{' '}
        <Link href={linkTo('held')}>what is held</Link>
      </div>
      {since < made && (
        <Fold label={`Hold parts since ${since === 0 ? 'the first' : `part ${since}`}`}>
          <VerbForm
            verb="holdParts"
            fixed={{ operation }}
            submit="Hold them"
            fields={[
              { name: 'from', label: 'From part', kind: 'whole', start: String(since + 1) },
              { name: 'to', label: 'To part', kind: 'whole', start: String(made) },
              { name: 'why', label: 'Why are they held', wide: true },
            ]}
            said={(d) => `${d.number}: ${partWords([{ first: d.from, last: d.to }])} of ${job} held`}
          />
        </Fold>
      )}
    </>
  );
}
