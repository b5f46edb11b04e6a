'use client';
import Button from '@mui/material/Button';
import type { KeepingView } from '@/crib/keeping';
import { BecauseThis, GradeMark } from '@/ui/kit/figure';
import { ProblemNote, VerbForm } from '@/ui/kit/form';
import { Acts, Fold, Head, Lines, Notice } from '@/ui/kit/page';
import { useAct } from '@/ui/screens/common/useAct';
import { Middle, useSurroundings, useTimes } from '@/ui/shell';
import styles from './Keeping.module.css';
import { Passphrase } from './Passphrase';

const LOCKED = [
  ['no', 'lie open: keep the folder from others'],
  ['yes', 'are locked by the passphrase'],
] as const;

/** How the shop’s data is kept: backups by a timetable, the look through the books, and all of it as open files. */
export function KeepingScreen({ view, owner }: { view: KeepingView; owner: boolean }) {
  const { judged, facts, plan } = view;
  const { moment } = useTimes();
  return (
    <Middle>
      <Head>
        <div>
          <h1>Backups</h1>
          <div className="soft">What is here could not be typed in again.</div>
        </div>
      </Head>
      <div className={styles.word}>
        <GradeMark grade={judged.grade}>{judged.words}</GradeMark> <BecauseThis because={judged.because} />
        {judged.wayOut && <span> {judged.wayOut}</span>}
      </div>
      {view.sameDisk && (
        <Notice label="The same disk">
          The folder lies on the disk of the data: a disk that dies takes both. Name a folder on another one,
          or on the network.
        </Notice>
      )}
      {plan?.locked && !facts?.hasPassphrase && (
        <Notice kind="stop" label="No passphrase">
          Backups are to be locked, and no passphrase is set: none can be made. Set one below.
        </Notice>
      )}
      <div className={styles.two}>
        <section aria-label="By itself">
          <h2>By itself</h2>
          {view.next && plan && (
            <p>
              Next <strong className="fig">{moment(view.next)}</strong> into <code>{plan.folder}</code>. If
              the machine is off then, once it is on.
            </p>
          )}
          <VerbForm
            key={JSON.stringify(plan)}
            verb="setBackups"
            fixed={{ made: 'every night' }}
            submit={plan ? 'Change it' : 'Back up every night'}
            fields={[
              {
                name: 'folder',
                label: 'Into the folder',
                wide: true,
                start: plan?.folder,
                help: 'On the machine Stable runs on, by its whole path: another disk, or one of the network. Where only the last part of the path is missing, Stable makes it.',
              },
              {
                name: 'at',
                label: 'Every night at',
                start: plan?.at ?? '02:00',
                help: 'By the shop’s clock.',
              },
              { name: 'keep', label: 'How many are kept', kind: 'whole', start: String(plan?.keep ?? 14) },
              {
                name: 'locked',
                label: 'The backups',
                kind: 'choice',
                options: LOCKED,
                start: plan?.locked ? 'yes' : 'no',
                wide: true,
              },
            ]}
            said={(d) => `a backup every night at ${d.at}`}
          />
          {plan && (
            <Fold label="No more by itself">
              <VerbForm
                verb="setBackups"
                fixed={{ made: 'not' }}
                fields={[]}
                submit="Make none by itself"
                said={() => 'no backups by themselves any more'}
              />
            </Fold>
          )}
        </section>
        <There view={view} owner={owner} />
      </div>
      {owner && (
        <div className={styles.two}>
          <Passphrase has={facts?.hasPassphrase ?? false} />
          <OpenFiles />
        </div>
      )}
    </Middle>
  );
}

/** What lies in the folder, and what can be done now. */
function There({ view: { facts, there, plan }, owner }: { view: KeepingView; owner: boolean }) {
  const { moment } = useTimes();
  const { say } = useSurroundings();
  const backUp = useAct<{ folder: string }>('keeping/back-up');
  const check = useAct<{ faults: string[] }>('keeping/check');
  const checked = facts?.checked ?? null;
  return (
    <section aria-label="What is there">
      <h2>What is there</h2>
      {facts?.good ? (
        <p>
          The last good one: <strong className="fig">{moment(facts.good.at)}</strong>, entries to{' '}
          {facts.good.lastEntry}, opened and compared row by row.{' '}
          <span className="soft">{facts.good.folder}</span>
        </p>
      ) : (
        <p className="soft">None that Stable knows of.{plan && ' The first is made in a moment.'}</p>
      )}
      {facts?.failed && (
        <Notice kind="stop" label="The last try">
          Tried {moment(facts.failed.at)}: {facts.failed.why}.
        </Notice>
      )}
      {plan && there === null && <p className="soft">The folder can’t be looked into now.</p>}
      {there && there.length > 0 && (
        <Lines small>
          {there.map((name) => (
            <li key={name} className="fig">
              {name}
            </li>
          ))}
        </Lines>
      )}
      {owner && (
        <Acts>
          <Button
            variant="contained"
            disabled={!plan}
            aria-disabled={backUp.pending}
            onClick={() => void backUp.act({}).then((a) => a && say(`backed up into ${a.folder}`))}
          >
            {backUp.pending ? 'Copying and comparing …' : 'Back up now'}
          </Button>
        </Acts>
      )}
      {owner && !plan && <p className="soft small">Say first where to.</p>}
      <ProblemNote problem={backUp.problem} />
      <h3>All books and files</h3>
      {checked ? (
        checked.faults.length ? (
          <Notice kind="stop" label="What does not agree">
            Looked through {moment(checked.at)}: {checked.faults.join('; ')}. Enter nothing more; keep a copy
            of the folder as it is, and put back the last backup from before.
          </Notice>
        ) : (
          <p>
            <GradeMark grade="good">agree</GradeMark> Looked through {moment(checked.at)}: every row by its
            indexes, and what is kept ready against what the ledger sums up to. Each backup does so.
          </p>
        )
      ) : (
        <p className="soft">Not looked through yet. Each backup does so.</p>
      )}
      {owner && (
        <Acts>
          <Button
            aria-disabled={check.pending}
            onClick={() =>
              void check
                .act({})
                .then(
                  (a) => a && say(a.faults.length ? 'something does not agree' : 'all books and files agree'),
                )
            }
          >
            {check.pending ? 'Looking through …' : 'Look through now'}
          </Button>
        </Acts>
      )}
      <ProblemNote problem={check.problem} />
    </section>
  );
}

/** All of it as files that anybody can read, with Stable or without. */
const OpenFiles = () => (
  <section aria-label="As open files">
    <h2>All of it as open files</h2>
    <p>
      One archive: a CSV of each table with what its columns mean, pictures, NC programs. It needs no Stable
      to be read; into an empty one it goes by <code>npm run bring-in</code>, and is equal. What people sign
      in with is not in it.
    </p>
    <Acts>
      <Button component="a" href="/api/v1/archive.zip" download>
        Save the archive
      </Button>
    </Acts>
    <p className="soft small">
      It begins once all is written: seconds, and with many years of work a minute or more.
    </p>
  </section>
);
