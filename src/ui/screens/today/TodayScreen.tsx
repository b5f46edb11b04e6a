'use client';
import Link from 'next/link';
import type { Grade } from '@/core/because';
import { linkTo } from '@/core/links';
import type { TodayView, WorkKind } from '@/crib/today';
import { BecauseThis, GradeMark } from '@/ui/kit/figure';
import { Empty, Head } from '@/ui/kit/page';
import { Middle, shortDay } from '@/ui/shell';
import styles from './Today.module.css';

const KINDS: Record<WorkKind, { grade: Grade; words: string }> = {
  'in question': { grade: 'question', words: 'in question' },
  stop: { grade: 'stop', words: 'stop' },
  wear: { grade: 'stop', words: 'worn' },
  life: { grade: 'question', words: 'life nearly used' },
  'delivery late': { grade: 'stop', words: 'delivery late' },
  order: { grade: 'question', words: 'to order' },
  build: { grade: 'not judged', words: 'to build' },
  measure: { grade: 'not judged', words: 'to measure' },
  'which tool': { grade: 'question', words: 'which tool?' },
  'late back': { grade: 'question', words: 'late back' },
  count: { grade: 'not judged', words: 'to count' },
  grade: { grade: 'not judged', words: 'to grade' },
};

/** The worklist: what to do, why, by when; each line opens the thing it is about. */
export function TodayScreen({ view, today }: { view: TodayView; today: string }) {
  return (
    <Middle>
      <Head>
        <div>
          <h1>Today</h1>
          <div className="soft">
            {view.lines.length === 0
              ? 'Nothing waits.'
              : `${view.lines.length} things wait, the first ones first.`}
          </div>
        </div>
      </Head>
      {view.lines.length === 0 ? (
        <Empty>
          Here stands what to build, measure, change, order and grade, each with its reason. It fills from
          jobs, assemblies and stock: start with a <Link href={linkTo('jobs', { new: 'job' })}>job</Link> or
          an <Link href={linkTo('rack', { new: 'build' })}>assembly</Link>.
        </Empty>
      ) : (
        <ol className={styles.work}>
          {view.lines.map((line) => (
            <li key={line.key}>
              <GradeMark grade={KINDS[line.kind].grade}>{KINDS[line.kind].words}</GradeMark>
              <div>
                <Link className={styles.todo} href={line.href}>
                  {line.todo}
                </Link>{' '}
                {(line.cutter ?? line.machine) && (
                  <span className="soft small">
                    {[line.cutter, line.machine].filter(Boolean).join(' · ')}
                  </span>
                )}
                <div>
                  {line.why} {line.because && <BecauseThis because={line.because} />}
                </div>
              </div>
              <div className={styles.by}>
                {line.by && (
                  <>
                    <span className="soft small">by </span>
                    <span className="fig">{shortDay(line.by)}</span>
                    {line.by < today && (
                      <div className="small" style={{ color: 'var(--rust)', fontWeight: 650 }}>
                        ■ past
                      </div>
                    )}
                  </>
                )}
              </div>
            </li>
          ))}
        </ol>
      )}
    </Middle>
  );
}
