'use client';
import Button from '@mui/material/Button';
import { registerText } from '@/core/measuring';
import type { AssemblyView } from '@/crib/rack';
import './PrintTag.css';

/** The label that goes with the assembly: 50 x 25 mm, number, code, length; a blank looks like a blank. */
export function PrintTag({ card, code }: { card: AssemblyView; code: string }) {
  const m = card.measured.state === 'measured' ? card.measured.measurement : null;
  // The machines its jobs run on come first: a label has room for two.
  const tied = new Set(card.ties.map((t) => t.machine));
  const registers = [...card.registers]
    .sort((a, b) => Number(tied.has(b.machine)) - Number(tied.has(a.machine)))
    .filter((r, i) => i < (r.ofJob === null ? 2 : 1));
  // The day it was measured stands once, beside the length.
  const since = card.registers[0]?.since.measured.slice(2);
  // What must not run gets no numbers to enter: they would be entered.
  const stop =
    card.judgements.find((j) => j.grade === 'stop')?.words ??
    card.ties.find((t) => t.use.grade === 'stop')?.use.why;
  return (
    <>
      <div className="label" data-testid="label">
        <div>
          <div dangerouslySetInnerHTML={{ __html: code }} aria-hidden="true" />
          <div style={{ fontSize: '2mm', marginTop: '.6mm' }}>{card.holder.code}</div>
        </div>
        <div>
          <div className="no">{card.tag}</div>
          <div className="words">{card.cutter.words}</div>
          <div className="line">
            <span>L {since && <small>{since}</small>}</span>
            <b>{m ? m.gaugeLengthEntered.replace(' mm', '') : ''}</b>
          </div>
          <div className="line">
            D <b>{m?.diameterEntered ? m.diameterEntered.replace(' mm', '') : ''}</b>
          </div>
          <div
            style={{
              fontSize: '1.9mm',
              marginTop: '.3mm',
              lineHeight: 1.1,
              // One register may take two lines; two of them have one each.
              whiteSpace: stop || registers.length < 2 ? undefined : 'nowrap',
            }}
          >
            {stop ? (
              <b>DO NOT RUN: {stop}</b>
            ) : (
              registers.map((r) => <div key={r.machine}>{registerWords(r)}</div>)
            )}
          </div>
        </div>
      </div>
      <p className="noprint" style={{ margin: '0 12mm' }}>
        <Button onClick={() => window.print()}>Print</Button> 50 x 25 mm label.{' '}
        {m ? '' : 'Not measured: length and diameter stay blank.'} Take the old label off: its numbers, or
        those of another machine, put the tip elsewhere.
      </p>
    </>
  );
}

/** A register as it is typed in, with the job it is for and the day since which the machine's figures hold. */
const registerWords = ({ machine, units, H, ofJob, since }: AssemblyView['registers'][number]): string =>
  'needs' in H
    ? `${machine} needs ${H.needs}`
    : `${machine} H ${registerText(H, units)}${ofJob ? ` ${ofJob}` : ''} K ${since.machine.slice(2)}`;
