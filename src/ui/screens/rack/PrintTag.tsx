'use client';
import Button from '@mui/material/Button';
import { addressOf } from '@/core/links';
import type { ReactNode } from 'react';
import type { Label } from '@/crib/rack';
import { mirrored } from '@/ui/rack';
import './PrintTag.css';

/** The label that goes with the assembly: 50 x 25 mm, number, code, drawing, length; a blank looks like a blank. */
export function PrintTag({ label: l, code }: { label: Label; code: string }) {
  const pdf = (as: 'one' | 'sheet') => addressOf('/api/v1/labels.pdf', { tags: l.tag, as });
  return (
    <>
      <div className="label" data-testid="label">
        <div>
          <div dangerouslySetInnerHTML={{ __html: code }} aria-hidden="true" />
          <div style={{ fontSize: '2mm', marginTop: '.6mm' }}>{l.holder}</div>
        </div>
        <div>
          <div className="no">{l.tag}</div>
          <div className="words">{l.words}</div>
          <div className="line">
            <span>L {l.length && <small>{`${l.length.day.slice(2)} ${l.length.who}`}</small>}</span>
            <b>{figure(l.length?.text ?? null)}</b>
          </div>
          <div className={l.diameter?.endsWith('in') ? 'line tight' : 'line'}>
            <span>
              D <b>{figure(l.diameter)}</b>
            </span>
            <span>
              out <b>{figure(l.stickout)}</b>
            </span>
          </div>
          <div
            style={{
              fontSize: '1.75mm',
              marginTop: '.3mm',
              lineHeight: 1.1,
              // One register may take two lines; two of them have one each.
              whiteSpace: l.stop !== null || l.registers.length < 2 ? undefined : 'nowrap',
            }}
          >
            {l.stop !== null ? (
              <b>DO NOT RUN: {l.stop}</b>
            ) : (
              l.registers.map((words) => <div key={words}>{words}</div>)
            )}
          </div>
        </div>
        <Outline label={l} />
      </div>
      <p className="noprint" style={{ margin: '0 12mm' }}>
        <Button onClick={() => window.print()}>Print</Button>{' '}
        <Button href={pdf('one')}>PDF, 50 x 25 mm</Button> <Button href={pdf('sheet')}>PDF, A4 sheet</Button>{' '}
        {l.length ? '' : 'Not measured: length and diameter stay blank.'} Take the old label off: its numbers,
        or those of another machine, put the tip elsewhere.
      </p>
    </>
  );
}

/** A figure as it was entered; its unit, where it is not the shop's millimetre, small. Null looks like a blank. */
function figure(text: string | null): ReactNode {
  const [, number, unit] = /^(.*) (in)$/.exec(text ?? '') ?? [];
  return number === undefined ? (
    text
  ) : (
    <>
      {number}
      <small> {unit}</small>
    </>
  );
}

/** The assembly hanging at the label's edge, as long as the label is high: to know it by. */
function Outline({ label: { outline: o, tag } }: { label: Label }) {
  const scale = Math.min(21.5 / o.length, 6 / o.widest);
  return (
    <svg viewBox="-3.2 0 6.4 21.8" className="outline" role="img" aria-label={`Drawing of ${tag}`}>
      <path d={mirrored(o.holder, scale)} fill="#000" />
      <path d={mirrored(o.shank, scale)} fill="#888" />
      <path d={mirrored(o.flute, scale)} fill="#fff" stroke="#000" strokeWidth=".3" />
    </svg>
  );
}
