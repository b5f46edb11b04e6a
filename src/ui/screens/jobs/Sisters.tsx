'use client';
import type { RunView } from '@/crib/jobs';
import { ProblemNote, SendButton, useVerb } from '@/ui/kit/form';
import { Acts, Notice } from '@/ui/kit/page';
import { SisterWords } from './SisterWords';

type Sister = RunView['sisters'][number];

/**
 * Other edges of the same cutter in the machine's pockets: what each is good for, and to go on with one. The machine changes to
 * it by itself or somebody calls it; what is logged then is booked on it.
 */
export function Sisters({
  operation,
  t,
  sisters,
  own,
}: {
  operation: number;
  t: number;
  sisters: readonly Sister[];
  /** What is on the T: its tag, and parts it is still good for; null: cannot say. */
  own: { tag: string | null; goodFor: number | null };
}) {
  const tie = useVerb('tieTool');
  if (sisters.length === 0) return null;
  // The machine goes on to one that must not run all the same: it makes no good part.
  const able = sisters.filter((s) => s.use.grade !== 'stop');
  const all = [own, ...able].map((s) => s.goodFor);
  const known = all.filter((n) => n !== null);
  // What runs out is gone on from: that is the first thing to tap then.
  const due = own.goodFor === 0 || own.tag === null;
  return (
    <>
      {able.length > 0 && known.length === all.length && own.tag !== null && (
        <div className="small">
          With {able.length === 1 ? 'its sister' : `its ${able.length} sisters`} good for about{' '}
          {known.reduce((sum, n) => sum + n, 0)}
        </div>
      )}
      {sisters.map((s) => (
        <div key={s.tag}>
          <SisterWords of={s} />
          <Acts style={{ marginTop: 0 }}>
            <SendButton
              variant={due && s.use.grade !== 'stop' ? 'contained' : 'outlined'}
              pending={tie.pending}
              barred={tie.barred}
              onSend={() =>
                void tie.send({ operation, t, tag: s.tag }, (d) => `T${d.t} goes on with ${d.tag}`)
              }
            >
              Go on with {s.tag}
            </SendButton>
          </Acts>
        </div>
      ))}
      <ProblemNote problem={tie.problem} />
    </>
  );
}

/**
 * More parts than a T still does before its machine changes to a sister: who cut the others is to be said, or one edge would have
 * cut them all. The nearest count first; what is left of the parts is logged after it.
 */
export function AcrossTheCount({
  job: { operation, tools, partsLeft },
  sisters,
  parts,
  lot,
  onLogged,
}: {
  job: RunView['job'];
  sisters: readonly Sister[];
  /** What is to be logged; no number: nothing is asked. */
  parts: number;
  /** The lot of their material; blank: not known. */
  lot: string;
  /** Parts that are still to be logged. */
  onLogged: (left: number) => void;
}) {
  const log = useVerb('logParts');
  const tie = useVerb('tieTool');
  const crossed = tools
    .flatMap(({ t, tag, untilChange }) => {
      const sister = sisters.find((s) => s.t === t && s.use.grade !== 'stop');
      return sister && untilChange !== null && parts > untilChange ? [{ t, tag, untilChange, sister }] : [];
    })
    .toSorted((a, b) => a.untilChange - b.untilChange)[0];
  // More than are left is a slip of the hand: that is asked about first.
  if (!crossed || parts > partsLeft) return null;
  const { t, tag, untilChange, sister } = crossed;
  const goOn = async () => {
    const logged =
      untilChange === 0 ||
      (await log.send(
        {
          ...{ operation: operation.id, parts: untilChange, confirmed: true },
          ...(lot.trim() ? { materialLot: lot.trim() } : {}),
        },
        (d) => `${d.parts} parts of ${operation.job} logged`,
      ));
    if (!logged) return;
    onLogged(parts - untilChange);
    await tie.send(
      { operation: operation.id, t, tag: sister.tag },
      (d) => `T${d.t} goes on with ${d.tag}: now log the other ${parts - untilChange}`,
    );
  };
  return (
    <Notice kind="question">
      <strong>
        {untilChange === 0
          ? `T${t} was at its count before these.`
          : `T${t} is at its count after ${untilChange} of these ${parts}.`}
      </strong>{' '}
      Did the machine go on with {sister.tag} in pocket {sister.pocket}? If {tag} cut them all, log them as
      they are.
      <Acts>
        <SendButton
          pending={log.pending || tie.pending}
          barred={log.barred ?? tie.barred}
          onSend={() => void goOn()}
        >
          {untilChange === 0
            ? `Yes: go on with ${sister.tag}`
            : `Yes: log ${untilChange}, go on with ${sister.tag}`}
        </SendButton>
      </Acts>
      <ProblemNote problem={log.problem ?? tie.problem} />
    </Notice>
  );
}
