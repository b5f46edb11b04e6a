'use client';
import Button from '@mui/material/Button';
import { Link } from '@/ui/kit/link';
import { useState } from 'react';
import { addressOf, linkTo } from '@/core/links';
import { DIAMETER_SCHOOLS, LENGTH_SCHOOLS } from '@/core/measuring';
import { readOffsets, wearToRead } from '@/core/registers';
import type { RegistersView } from '@/crib/registers';
import { GradeMark } from '@/ui/kit/figure';
import { FileDrop } from '@/ui/kit/file';
import { ProblemNote, type Second, SendButton, useVerb } from '@/ui/kit/form';
import { Acts, Caution, Empty, Fold, Head, Notice, Views } from '@/ui/kit/page';
import { useQuery } from '@/ui/screens/common/query';
import { Middle, useSurroundings } from '@/ui/shell';
import { keyOf, type Read, RegisterLine } from './RegisterLine';

/** In a line: what is to be done before the machine can be trusted to have its numbers. */
function howItStands({ lines, toGive }: RegistersView): string {
  const count = (is: (l: RegistersView['lines'][number]) => boolean) => lines.filter(is).length;
  const said = [
    toGive > 0 && `${toGive} to give`,
    [
      count((l) => l.since.state === 'cannot say' && l.given !== null),
      'in the control that nobody vouches for',
    ],
    [count((l) => l.since.state === 'cannot say' && l.given === null), 'without a figure yet'],
    [count((l) => l.since.state === 'same' && l.given?.how === 'sent'), 'sent and not read back'],
    [
      count((l) => l.since.state === 'same' && l.lacks.length > 0),
      'given, and something is to be said of it',
    ],
    [count((l) => l.since.state === 'gone'), 'that nothing is tied to any more'],
    [count((l) => l.stop !== null), 'that must not run'],
  ].flatMap((x) => (typeof x === 'string' ? [x] : Array.isArray(x) && x[0] ? [x.join(' ')] : []));
  if (said.length) return `${said.join(', ')}.`;
  return lines.length ? 'It has its numbers: nothing changed since it was given them.' : '';
}

/** What a program that ran has written of a T. */
const sentOf = (l: RegistersView['lines'][number], writesWear: boolean): Read => ({
  ...(l.h === null ? {} : { h: l.h }),
  ...(l.d === null ? {} : { d: l.d }),
  ...(writesWear && l.wear && l.h !== null ? { hWear: l.wear.h.due } : {}),
  ...(writesWear && l.wear?.d && l.d !== null ? { dWear: l.wear.d.due } : {}),
});

const FILES = [
  ['nc', 'Program that writes them'],
  ['csv', 'CSV'],
  ['json', 'JSON'],
  ['xml', 'MTConnect'],
] as const;

/** What a machine is to be given, T by T: what changed since it was given last, and what its control shows now. */
export function RegistersScreen({ view }: { view: RegistersView }) {
  const query = useQuery('registers');
  const { say } = useSurroundings();
  const { machine: m, lines, jobs } = view;
  const [reads, setReads] = useState<Record<string, Read>>({});
  const [how, setHow] = useState<'sent' | 'read back'>('read back');
  const give = useVerb('giveRegisters');
  const job = query.get('job');
  const toGive = lines.filter(
    (l) => l.since.state !== 'same' || l.given?.how === 'sent' || l.lacks.length > 0 || l.stop !== null,
  );
  const asGiven = lines.filter((l) => !toGive.includes(l));
  const read = lines.filter((l) => Object.values(reads[keyOf(l)] ?? {}).some((text) => text?.trim()));
  // A program of the other form writes no wear: what is to be in there is entered by hand and read back.
  const writesWear = m.g10Form === 'geometry and wear';
  const sendable = lines.filter(
    (l) =>
      l.h !== null &&
      !l.clashes &&
      ['new', 'changed'].includes(l.since.state) &&
      (writesWear || ![l.wear?.h, l.wear?.d].some((w) => w && wearToRead(w))),
  );
  const file = (as: string) =>
    addressOf(`/api/v1/registers.${as}`, { machine: m.code, ...(job ? { job } : {}) });

  const send = (way: 'sent' | 'read back', second?: Second) => {
    setHow(way);
    const chosen = way === 'sent' ? sendable : read;
    void give
      .send(
        {
          machine: m.code,
          how: way,
          lines: chosen.map((l) => {
            const text = way === 'sent' ? sentOf(l, writesWear) : (reads[keyOf(l)] ?? {});
            const given = Object.entries(text).flatMap(([name, x]) => (x?.trim() ? [[name, x.trim()]] : []));
            return { t: l.t, tag: l.tag ?? '', ...Object.fromEntries(given) };
          }),
        },
        (d) => `${d.given} T of ${d.machine}: ${d.how}`,
        second,
      )
      .then((done) => done && setReads({}));
  };
  const takeTable = async (dropped: File) => {
    const found = readOffsets((await dropped.text()).slice(0, 400_000), m.diameterSchool, m);
    const at = new Map(found.map((f) => [f.number, f]));
    setReads((before) => ({
      ...before,
      ...Object.fromEntries(
        lines.flatMap((l) => {
          const [h, d] = [at.get(l.numbers.h), at.get(l.numbers.d)];
          return (h || d) && l.tag !== null && !l.clashes
            ? [
                [
                  keyOf(l),
                  {
                    ...{ h: h?.h ?? '', d: d?.d ?? '' },
                    ...(l.wear ? { hWear: h?.hWear ?? '', dWear: (l.wear.d && d?.dWear) ?? '' } : {}),
                  },
                ],
              ]
            : [];
        }),
      ),
    }));
    say(`${found.length} T read from ${dropped.name}: what differs is said beside each`);
  };
  const row = (l: (typeof lines)[number]) => (
    <RegisterLine
      key={keyOf(l)}
      line={l}
      form={m}
      others={lines}
      read={reads[keyOf(l)] ?? {}}
      onRead={(now) => setReads((before) => ({ ...before, [keyOf(l)]: now }))}
    />
  );
  return (
    <Middle>
      <Head>
        <div>
          <h1>Numbers for {m.code}</h1>
          <div className="soft">
            {m.name}: {LENGTH_SCHOOLS[m.lengthSchool]}, {DIAMETER_SCHOOLS[m.diameterSchool]}, {m.units}
            {m.ownSetter && `; it measures ${m.ownSetter} itself`}
          </div>
          {m.commonOffset && (
            <div>
              Common Z offset of the machine, K0 − K:{' '}
              {'text' in m.commonOffset ? (
                <strong className="fig">{m.commonOffset.text}</strong>
              ) : (
                <GradeMark grade="stop">needs {m.commonOffset.needs}</GradeMark>
              )}
              . Every H here counts with it.
            </div>
          )}
          <div>{howItStands(view)}</div>
        </div>
        <Acts>
          <Button component={Link} href={linkTo('pockets', { machine: m.code })}>
            Its pockets
          </Button>
          <Button component={Link} href={linkTo('machines', { open: m.code })}>
            The machine
          </Button>
        </Acts>
      </Head>
      {jobs.length > 1 && (
        <Views
          label="For which job"
          stay
          views={[
            { words: 'All jobs', href: query.href({ job: null }), shown: !job },
            ...jobs.map((j) => ({ words: j, href: query.href({ job: j }), shown: job === j })),
          ]}
        />
      )}
      {lines.some((l) => l.clashes) && (
        <Notice>
          Two tools want the same T or the same register. Choose the job that goes on: its numbers are given
          then.
        </Notice>
      )}
      {lines.length === 0 ? (
        <Empty>
          No tool is tied to an open job of {m.code} or in its pockets.{' '}
          <Link href={linkTo('jobs')}>Tie one</Link>, measure it, and its numbers stand here.
        </Empty>
      ) : (
        <>
          {toGive.map(row)}
          {asGiven.length > 0 && (
            <Fold label={`${asGiven.length} as they were given`}>{asGiven.map(row)}</Fold>
          )}
          <ProblemNote problem={give.problem} onSecond={(second) => send(how, second)} />
          <Acts>
            <SendButton
              variant={read.length === 0 ? 'outlined' : 'contained'}
              pending={give.pending}
              barred={give.barred}
              disabled={read.length === 0}
              onSend={() => send('read back')}
            >
              {read.length === 0 ? 'Type what the control shows' : `${read.length} T read back`}
            </SendButton>
          </Acts>
          <h2>As a file</h2>
          <p className="soft small">What changed since {m.code} was last given its numbers.</p>
          <Acts>
            {FILES.map(([as, words]) => (
              <Button key={as} variant={as === 'nc' ? 'outlined' : 'text'} href={file(as)} download>
                {words}
              </Button>
            ))}
            {sendable.length > 0 && (
              <SendButton pending={give.pending} barred={give.barred} onSend={() => send('sent')}>
                It ran: {sendable.length} T are in the control
              </SendButton>
            )}
          </Acts>
          <div style={{ height: 12 }} />
          <FileDrop
            label="The control’s table"
            words="What the control has"
            accept=".nc,.txt,.csv,.tap"
            onFile={(dropped) => void takeTable(dropped)}
          >
            <span className="soft small">
              A table of T, H and D, or a program that writes them: it fills the fields above and overwrites
              nothing.
            </span>
          </FileDrop>
        </>
      )}
      <Caution>
        A wrong length puts the cutter through vise and table. Look at sign and point, run the program with
        nothing in the way, then the first run in the air: low override, hand on feed hold.
      </Caution>
    </Middle>
  );
}
