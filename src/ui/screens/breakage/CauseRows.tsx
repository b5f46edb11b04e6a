'use client';
import { SEEN } from '@/core/breakage';
import { linkTo } from '@/core/links';
import type { BreakageSheet } from '@/crib/breakage';
import { Link } from '@/ui/kit/link';
import { Fold } from '@/ui/kit/page';
import styles from './Breakage.module.css';
import { percent } from '@/ui/screens/common/percent';

/** So many causes are shown at once; the others unfold. */
const FIRST = 3;

/** Likely causes, the likeliest first: what speaks for and against each, what to do next, and the shop’s own cases. */
export function CauseRows({ sheet }: { sheet: BreakageSheet }) {
  const rows = sheet.causes.map((r) => (
    <div key={r.cause} className={styles.cause}>
      <div className={styles.chance}>
        <strong>{r.words}</strong> <span className="fig">{percent(r.chance)}</span>
      </div>
      {r.for.length > 0 && <div className={styles.for}>for it: {r.for.map((s) => SEEN[s]).join(', ')}</div>}
      {r.against.length > 0 && (
        <div className={styles.against}>against: {r.against.map((s) => SEEN[s]).join(', ')}</div>
      )}
      <ol>
        {r.next.map((n) => (
          <li key={n}>{n}</li>
        ))}
      </ol>
      {r.proof.length > 0 && (
        <Fold says label={`${r.proof.length} confirmed here`}>
          {r.proof.map((p) => (
            <div key={p.entry}>
              <Link href={linkTo('breakages', { open: p.entry })} scroll={false}>
                {p.words}
              </Link>
            </div>
          ))}
        </Fold>
      )}
    </div>
  ));
  return (
    <>
      <p className="soft small">
        {sheet.learntFrom === 0
          ? 'Beside each other, by common practice: no cause was confirmed here yet.'
          : `Beside each other, by common practice and ${sheet.learntFrom} confirmed here.`}{' '}
        A likely cause is none that was found: look before you change anything.
      </p>
      {rows.slice(0, FIRST)}
      <div>
        <Fold says label={`${rows.length - FIRST} less likely`}>
          {rows.slice(FIRST)}
        </Fold>
      </div>
    </>
  );
}
