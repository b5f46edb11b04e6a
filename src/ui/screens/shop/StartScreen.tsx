'use client';
import Button from '@mui/material/Button';
import { Link } from '@/ui/kit/link';
import { linkTo } from '@/core/links';
import { SET_UP_KINDS } from '@/core/setUp';
import type { ShopView } from '@/crib/shop';
import { GradeMark } from '@/ui/kit/figure';
import { VerbForm } from '@/ui/kit/form';
import { useQuery } from '@/ui/screens/common/query';
import { countOf, SET_UP } from '@/ui/screens/common/setUp';
import { Middle } from '@/ui/shell';

/** What comes after the set-up: each opens the form that does it. */
const THEN = [
  ['cutter', 'Add the first cutter', linkTo('cutters', { new: 'cutter' })],
  ['holder', 'Add the holder it goes into', linkTo('cutters', { new: 'holder' })],
  ['stock', 'Receive both onto a shelf', linkTo('cutters', {})],
  ['assembly', 'Build the first assembly', linkTo('rack', { new: 'build' })],
  ['job', 'Add the first job, with its program', linkTo('jobs', { new: 'job' })],
] as const;

/** First run: five things, one after the other; each can also be added later where it is first needed. */
export function StartScreen({ shop }: { shop: ShopView }) {
  const query = useQuery('start');
  const counts = countOf(shop);
  const chosen = SET_UP_KINDS.find((s) => s === query.get('step'));
  const next = THEN.find(([name]) => !shop.begun[name]) ?? null;
  const step = chosen ?? SET_UP_KINDS.find((s) => counts[s] === 0) ?? null;
  return (
    <Middle>
      <h1>Set up the crib</h1>
      <p className="soft">
        {step
          ? 'Five things are needed before the first assembly; more of each can follow at any time.'
          : 'Everything needed before the first assembly is there.'}
      </p>
      <div
        style={{ display: 'grid', gridTemplateColumns: '220px minmax(0, 520px)', gap: 32 }}
        className="start"
      >
        <ol style={{ listStyle: 'none', padding: 0, margin: 0 }}>
          {SET_UP_KINDS.map((s, i) => (
            <li key={s} style={{ padding: '9px 0', borderBottom: '1px solid var(--line)' }}>
              <Link
                href={query.href({ step: s })}
                aria-current={s === step ? 'step' : undefined}
                style={{ fontWeight: s === step ? 700 : 400 }}
              >
                {i + 1}. {SET_UP[s].title}
              </Link>
              <div className="small">
                {counts[s] > 0 ? (
                  <GradeMark grade="good">{counts[s]} there</GradeMark>
                ) : (
                  <GradeMark grade="not judged">none yet</GradeMark>
                )}
              </div>
            </li>
          ))}
          {step === null &&
            THEN.map(([name, words, href], i) => (
              <li key={name} style={{ padding: '9px 0', borderBottom: '1px solid var(--line)' }}>
                {/* The next one is the button beside. */}
                {next?.[0] === name ? (
                  <strong>
                    {SET_UP_KINDS.length + i + 1}. {words}
                  </strong>
                ) : (
                  <Link href={href}>
                    {SET_UP_KINDS.length + i + 1}. {words}
                  </Link>
                )}
                <div className="small">
                  {shop.begun[name] ? (
                    <GradeMark grade="good">there</GradeMark>
                  ) : (
                    <GradeMark grade="not judged">not yet</GradeMark>
                  )}
                </div>
              </li>
            ))}
        </ol>
        <div>
          {step ? (
            <section key={step}>
              <h2 style={{ marginTop: 0 }}>{SET_UP[step].title}</h2>
              <p className="soft">{SET_UP[step].why}</p>
              <VerbForm
                verb={SET_UP[step].verb}
                fields={SET_UP[step].fields}
                submit={SET_UP[step].submit}
                shape={(input) =>
                  step === 'person' && input.initials
                    ? { ...input, initials: String(input.initials).toUpperCase() }
                    : input
                }
                said={() => `${SET_UP[step].title}: one more`}
              />
            </section>
          ) : (
            <section>
              <h2 style={{ marginTop: 0 }}>The crib is set up</h2>
              <p>
                Next: a cutter and a holder, received onto a shelf, make the first assembly; a job with its
                program says what is needed and by when.
              </p>
              {next ? (
                <Button variant="contained" component={Link} href={next[2]}>
                  {next[1]}
                </Button>
              ) : (
                <Button variant="contained" component={Link} href="/">
                  To today’s work
                </Button>
              )}
            </section>
          )}
        </div>
      </div>
    </Middle>
  );
}
