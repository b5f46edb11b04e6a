'use client';
import { scaleLinear } from 'd3';
import type { BreakagesView } from '@/crib/breakage';
import { Fold, Lines } from '@/ui/kit/page';
import { Link } from '@/ui/kit/link';
import { useQuery } from '@/ui/screens/common/query';
import { useTimes } from '@/ui/shell';
import styles from './Breakage.module.css';
import { costWords } from './words';

const WIDTH = 220;
/** So many are drawn; what is below them is said to be there. */
const DRAWN = 12;

/** What breakage cost by one key: a bar each, which unfolds to its cases. */
export function CostBars({
  sums,
  lines,
  plain,
}: {
  sums: BreakagesView['year']['by']['cause'];
  lines: BreakagesView['year']['lines'];
  /** In the order of their key, all of them. */
  plain: boolean;
}) {
  const query = useQuery('breakages');
  const { day } = useTimes();
  const shown = plain ? sums : sums.slice(0, DRAWN);
  const priced = sums.some((s) => s.cents > 0);
  const length = scaleLinear(
    [0, sums.reduce((most, s) => Math.max(most, priced ? s.cents : s.cases), 1)],
    [0, WIDTH],
  );
  const of = new Map(lines.map((l) => [l.entryId, l]));
  return (
    <>
      {shown.map((sum) => (
        <Fold
          key={sum.key}
          says
          label={
            <span className={styles.bar}>
              <span className={styles.key}>{sum.key}</span>
              <svg width={WIDTH} height="14" aria-hidden="true">
                <rect
                  y="1"
                  width={Math.max(2, length(priced ? sum.cents : sum.cases))}
                  height="12"
                  fill={sum.cents > 0 || !priced ? 'var(--rust)' : 'var(--line)'}
                />
              </svg>
              <span className="fig">
                {sum.cases} × · {costWords(sum)}
              </span>
            </span>
          }
        >
          <Lines>
            {sum.entries.map((entry) => {
              const l = of.get(entry);
              return (
                <li key={entry}>
                  <Link className="fig" href={query.href({ open: entry })} scroll={false}>
                    {l?.mark ?? entry}
                  </Link>{' '}
                  {l && (
                    <span className="soft">
                      {day(l.happenedAt)} · {l.item} · {l.where ?? 'on no T of a job'}
                    </span>
                  )}
                </li>
              );
            })}
          </Lines>
          {(sum.lostParts > 0 || sum.lostMinutes > 0) && (
            <div className="soft small">
              {sum.lostParts} parts and {sum.lostMinutes.toFixed(0)} min were said to be lost
            </div>
          )}
        </Fold>
      ))}
      {shown.length < sums.length && (
        <div className="soft small">{sums.length - shown.length} more cost less.</div>
      )}
    </>
  );
}
