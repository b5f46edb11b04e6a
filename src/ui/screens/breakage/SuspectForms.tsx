'use client';
import { partsIn, partWords } from '@/core/breakage';
import { linkTo } from '@/core/links';
import type { BreakageSheet } from '@/crib/breakage';
import { VerbForm } from '@/ui/kit/form';
import { Link } from '@/ui/kit/link';
import { Notice } from '@/ui/kit/page';
import { BROKE_WORDS } from './words';

/** Parts its edges cut since the last good one: to be held, each range with one tap. */
export function SuspectForms({ sheet: { line, suspects, holds } }: { sheet: BreakageSheet }) {
  return (
    <>
      <h3>Parts it may have spoilt</h3>
      {holds.map((h) => (
        <div key={h.number}>
          <Link className="fig" href={linkTo('held', { open: h.number })}>
            {h.number}
          </Link>
          : {partWords([h])} held
        </div>
      ))}
      {suspects.length === 0 && holds.length === 0 && (
        <p className="soft">None that is logged: it cut no part since the last good one.</p>
      )}
      {suspects.map((s) =>
        s.ranges.map((r) => (
          <Notice key={`${s.operation} ${r.first}`}>
            <strong>
              {partWords([r])} of {s.job} {s.part}
            </strong>
            : {partsIn([r])} cut by this edge since{' '}
            {s.lastGood === 0
              ? 'the first; none was checked and found good'
              : `part ${s.lastGood}, the last found good`}
            {s.lots.length > 0 && <> · material lot {s.lots.join(', ')}</>}
            <VerbForm
              verb="holdParts"
              fixed={{ operation: s.operation, ending: line.entryId }}
              submit={`Hold ${partsIn([r]) === 1 ? 'it' : 'them'}`}
              fields={[
                { name: 'from', label: 'From part', kind: 'whole', start: String(r.first) },
                { name: 'to', label: 'To part', kind: 'whole', start: String(r.last) },
                {
                  name: 'why',
                  label: 'Why',
                  wide: true,
                  start: `${line.mark} ${BROKE_WORDS[line.kind]}${line.t === null ? '' : ` on T${line.t}`}`,
                },
              ]}
              said={(d) =>
                `${d.number}: ${partWords([{ first: d.from, last: d.to }])} held; print their tags`
              }
            />
          </Notice>
        )),
      )}
    </>
  );
}
