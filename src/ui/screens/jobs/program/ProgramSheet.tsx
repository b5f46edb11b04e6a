'use client';
import Button from '@mui/material/Button';
import dynamic from 'next/dynamic';
import { useRouter } from 'next/navigation';
import { useEffect, useMemo, useState } from 'react';
import { stockAround } from '@/core/jobs';
import type { JobView } from '@/crib/jobs';
import { Link } from '@/ui/kit/link';
import { Acts, Head, Notice } from '@/ui/kit/page';
import { useQuery } from '@/ui/screens/common/query';
import { useTimes } from '@/ui/shell';
import { PathPictures } from './PathPictures';

const NcEditor = dynamic(() => import('@/ui/kit/code/NcEditor'), { ssr: false });

/** A program as it is stored, to be read beside what it says: what is pointed at there is shown here. */
export function ProgramSheet({ job, program }: { job: JobView; program: NonNullable<JobView['program']> }) {
  const query = useQuery('jobs');
  const { moment } = useTimes();
  const { text, lost, again } = useStored(program.entryId);
  const { operation: o } = job;
  const router = useRouter();
  const file = useMemo(() => (text === null ? null : new Blob([text])), [text]);
  const line = Number(query.get('line')) || null;
  return (
    <>
      <Head>
        <div>
          <Link className="small" href={query.href({ do: null, line: null })}>
            {o.job} {o.part}
          </Link>
          <h1>{program.name}</h1>
          <div className="soft">
            read {moment(program.since)} by {program.who}, for {o.machine}
          </div>
        </div>
        <Acts>
          <Button component="a" href={`/api/v1/programs/${program.entryId}`} download={program.name}>
            Its file
          </Button>
        </Acts>
      </Head>
      {lost ? (
        <Notice>
          The program did not come. <Button onClick={again}>Try again</Button>
        </Notice>
      ) : text === null ? (
        <p className="soft">The program is on its way …</p>
      ) : (
        <>
          {file && (
            <PathPictures
              {...{ file, line }}
              // Where the page opens at a line, that line is what is looked at, and it is scrolled to at once.
              keepsRoom={line === null}
              options={job.reads}
              rapidMmMin={job.rapidMmMin}
              tools={job.tools.map((t) => t.tool)}
              stock={job.setup.box && stockAround(job.setup.box)}
              onLine={(at) => router.push(query.href({ line: at }), { scroll: false })}
            />
          )}
          <NcEditor label="The program as it is stored" kept={text} at={line} />
        </>
      )}
    </>
  );
}

/** The text of a stored program: it can be megabytes, so that it comes after the page. */
function useStored(entry: number) {
  const [text, setText] = useState<string | null>(null);
  const [lost, setLost] = useState(false);
  const [tries, setTries] = useState(0);
  useEffect(() => {
    const gone = new AbortController();
    fetch(`/api/v1/programs/${entry}`, { signal: gone.signal })
      .then(async (answer) => {
        if (answer.ok) setText(await answer.text());
        else setLost(true);
      })
      .catch(() => {
        if (!gone.signal.aborted) setLost(true);
      });
    return () => gone.abort();
  }, [entry, tries]);
  const again = () => {
    setLost(false);
    setTries(tries + 1);
  };
  return { text, lost, again };
}
