'use client';
import Button from '@mui/material/Button';
import Table from '@mui/material/Table';
import TableBody from '@mui/material/TableBody';
import TableCell from '@mui/material/TableCell';
import TableHead from '@mui/material/TableHead';
import TableRow from '@mui/material/TableRow';
import type { ReactNode } from 'react';
import { leavesWords, zeroWords } from '@/core/jobs';
import type { JobView } from '@/crib/jobs';
import { BecauseThis, GradeMark, Row, Rows, Unknown } from '@/ui/kit/figure';
import { Link } from '@/ui/kit/link';
import { Acts, Caution, Head, Notice } from '@/ui/kit/page';
import { EntryBack } from '@/ui/screens/common/EntryBack';
import { useQuery } from '@/ui/screens/common/query';
import { shortDay, useLengths, useTimes } from '@/ui/shell';
import { OperationPicks } from '../OperationPicks';
import styles from './Setup.module.css';
import { AirRunHelp } from './AirRunHelp';
import { Signs } from './Signs';
import { StockSketch } from './StockSketch';

/** How an operation is set up, as it goes to the machine: a blank is a line to write on. */
export function SetupSheet({ job }: { job: JobView }) {
  const query = useQuery('jobs');
  const { show, unitWord } = useLengths();
  const { moment } = useTimes();
  const { operation: o, setup } = job;
  const { sheet, box } = setup;
  const pdf = `/api/v1/setup-sheet.pdf?number=${encodeURIComponent(o.job)}&op=${o.number}`;
  const zero = box && zeroWords(box, (mm) => `${show(mm, 2)} ${unitWord}`);
  return (
    <>
      <Head>
        <div>
          <Link className="small" href={query.href({ do: null })}>
            {o.job} {o.part}
          </Link>
          <h1>Setup sheet, operation {o.number}</h1>
          <div className="soft">
            {o.quantity} in {o.material} on {o.machine}, due {shortDay(o.due)} · {setup.stage}
            {sheet && ` · written ${moment(sheet.happenedAt)} by ${sheet.who}`}
          </div>
        </div>
        <Acts>
          <Button component={Link} href={query.href({ do: 'write' })} scroll={false}>
            {sheet ? 'Write it anew' : 'Write the sheet'}
          </Button>
          <Button component="a" href={pdf} download={`${o.job}-${o.number}.pdf`}>
            As PDF
          </Button>
        </Acts>
      </Head>
      <OperationPicks job={job} />
      {setup.again.length > 0 && (
        <Notice label="To be proved again">
          <strong>To be proved again, since what was signed for has changed.</strong> {setup.again.join('. ')}
          .
        </Notice>
      )}
      <div className={styles.sheet}>
        <div>
          <dl className={styles.facts}>
            <Fact name="Drawing">{sheet?.drawing}</Fact>
            <Fact name="Revision">{sheet?.revision ?? (o.revision || null)}</Fact>
            {sheet?.revision && o.revision && sheet.revision !== o.revision && (
              <Fact name="Booked as" whole>
                <GradeMark grade="question">revision {o.revision}: which is made?</GradeMark>
              </Fact>
            )}
            <Fact name="Program">{job.program?.name}</Fact>
            <Fact name="Program number">{sheet?.programNumber}</Fact>
            <Fact name="Customer’s">{o.customer}</Fact>
            <Fact name="Fixture">{sheet?.fixture}</Fact>
            <Fact name="Lies against">{sheet?.against}</Fact>
            <Fact name="Parallels">{sheet?.parallelsEntered}</Fact>
            <Fact name="Stock X">{sheet?.stockXEntered}</Fact>
            <Fact name="Stock Y">{sheet?.stockYEntered}</Fact>
            <Fact name="Stock Z">{sheet?.stockZEntered}</Fact>
            <Fact name="Work offset">{sheet?.workOffset}</Fact>
            <Fact name="Zero" whole>
              {zero}
            </Fact>
            <Fact name="Stock in Z">
              {setup.inZ.bottom === null
                ? null
                : `${setup.inZ.top === null ? '…' : show(setup.inZ.top, 2)} to ${show(setup.inZ.bottom, 2)}`}
            </Fact>
          </dl>
          {sheet?.notes && <p style={{ whiteSpace: 'pre-wrap' }}>{sheet.notes}</p>}
          {sheet && (
            <p className="soft small">
              <EntryBack entry={sheet.entryId} what={`the setup sheet of ${o.job}`} />
            </p>
          )}
        </div>
        <div>
          {box && <StockSketch box={box} />}
          <WorkOffset job={job} />
        </div>
      </div>
      <h2>Tools</h2>
      {job.tools.length === 0 ? (
        <p className="soft">No program yet: its tools come with it.</p>
      ) : (
        <Tools job={job} />
      )}
      <AirRunHelp job={job} />
      <Signs job={job} />
      <Caution>
        First run of any changed program, length or offset: raise zero, run it in the air, low override, hand
        on feed hold, eyes on distance to go.
      </Caution>
    </>
  );
}

const Fact = ({ name, whole, children }: { name: string; whole?: boolean; children: ReactNode }) => (
  <div className={whole ? styles.whole : undefined}>
    <dt>{name}</dt>
    <dd className="fig">{children || <Blank />}</dd>
  </div>
);
const Blank = () => (
  <span className={styles.blank}>
    <span className="visually-hidden">blank</span>
  </span>
);

/** Where the machine's zero comes to lie by its cheat sheet. */
function WorkOffset({ job: { setup, operation: o } }: { job: JobView }) {
  const { show, unitWord } = useLengths();
  const { offset, sheet } = setup;
  if (setup.offsetNeeds)
    return <p className="soft small">The work offset follows once the sheet has {setup.offsetNeeds}.</p>;
  if (!offset || !sheet) return null;
  return (
    <>
      <Rows>
        {(['X', 'Y', 'Z'] as const).map((axis) => (
          <Row key={axis} name={axis === 'X' ? `${sheet.workOffset ?? 'Work offset'} X` : axis}>
            {offset[axis] ?? <Unknown />}
          </Row>
        ))}
      </Rows>
      {offset.stated !== null && (
        <GradeMark grade="question">
          Part zero is stated as {show(offset.stated, 2)} {unitWord} above the datum, and is{' '}
          {show(offset.h, 2)} by this sheet: which is right?
        </GradeMark>
      )}
      {o.partZeroMm === null && (
        <p className="soft small">
          Part zero is {show(offset.h, 3)} {unitWord} above the datum by this sheet; the operation states
          none.
        </p>
      )}
      <BecauseThis because={offset.because} />
    </>
  );
}

function Tools({ job }: { job: JobView }) {
  const query = useQuery('jobs');
  const { show } = useLengths();
  return (
    <Table>
      <TableHead>
        <TableRow>
          <TableCell>T</TableCell>
          <TableCell>Assembly</TableCell>
          <TableCell>Leaves</TableCell>
          <TableCell className="num">Out</TableCell>
          <TableCell className="num">H</TableCell>
          <TableCell className="num">D</TableCell>
          <TableCell>Checks</TableCell>
        </TableRow>
      </TableHead>
      <TableBody>
        {job.tools.map((t) => {
          const on = job.setup.tools[t.t];
          return (
            <TableRow key={t.t}>
              <TableCell>
                <Link className="fig" href={query.href({ do: null, t: t.t })}>
                  T{t.t}
                </Link>
              </TableCell>
              <TableCell>
                {on?.tag ? <span className="fig">{on.tag}</span> : <Blank />}{' '}
                <span className="soft small">{t.words ?? t.tool.name}</span>
                {t.plan?.does && <div className="small">{t.plan.does}</div>}
                {t.plan?.recipe && <div className="soft small">by {t.plan.recipe}</div>}
              </TableCell>
              <TableCell className="small">
                {(t.plan && leavesWords(t.plan.leaves, (mm) => show(mm, 2))) ?? <Blank />}
              </TableCell>
              <TableCell className="num fig">{on?.stickout ?? <Blank />}</TableCell>
              <TableCell className="num fig">{on?.H ?? <Blank />}</TableCell>
              <TableCell className="num fig">{on?.D ?? <Blank />}</TableCell>
              <TableCell>
                <GradeMark grade={t.use.grade}>{t.use.why ?? 'good'}</GradeMark>
              </TableCell>
            </TableRow>
          );
        })}
      </TableBody>
    </Table>
  );
}
