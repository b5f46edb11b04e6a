'use client';
import Button from '@mui/material/Button';
import dynamic from 'next/dynamic';
import { useRouter } from 'next/navigation';
import { useCallback, useRef, useState } from 'react';
import { LIMITS } from '@/core/limits';
import type { ReadOptions, ToolReport } from '@/core/programs';
import type { ProblemDocument } from '@/crib/door';
import type { EditorText } from '@/ui/kit/code/NcEditor';
import { FileDrop } from '@/ui/kit/file';
import { ForOthers, ProblemNote, useSendOnce } from '@/ui/kit/form';
import { Acts } from '@/ui/kit/page';
import { useReading } from './program/reading';
import { LOST, post, useBarred, useSurroundings } from '@/ui/shell';

/** The editor comes after the first view: most who open a job read it. */
const NcEditor = dynamic(() => import('@/ui/kit/code/NcEditor'), {
  ssr: false,
  loading: () => <p className="soft small">The editor is on its way …</p>,
});

/** What a file says comes with the file. */
const ReadHere = dynamic(() => import('./program/ReadHere').then((m) => m.ReadHere), { ssr: false });

const textOf = async (file: File): Promise<string> =>
  file.size <= LIMITS.programCharacters.most ? file.text() : '';

/** Paste or drop an NC program: a file is read here first. It goes to /api/v1, since it can be megabytes; its text stays if it is refused. */
export function ProgramDrop({
  operation,
  reads,
  rapidMmMin,
  stored,
}: {
  operation: number;
  /** How a program for its machine is read. */
  reads: Partial<ReadOptions>;
  rapidMmMin: number | null;
  /** Tools of the program in force; null: there is none. */
  stored: readonly ToolReport[] | null;
}) {
  const { say } = useSurroundings();
  const barred = useBarred('storeProgram');
  const router = useRouter();
  const text = useRef<EditorText | null>(null);
  /** A file that was dropped before the editor had come. */
  const early = useRef<string | null>(null);
  /** The text of a file that is being read. */
  const taking = useRef<Promise<string>>(undefined);
  const put = (whole: string) => {
    if (text.current) text.current.put(whole);
    else early.current = whole;
  };
  const onEditor = useCallback((editor: EditorText | null) => {
    text.current = editor;
    if (!editor || early.current === null) return;
    editor.put(early.current);
    early.current = null;
  }, []);
  const [name, setName] = useState('pasted');
  const { once, pending } = useSendOnce();
  const [problem, setProblem] = useState<ProblemDocument | null>(null);

  // Read in the page first: what it says is seen before anything is stored.
  const { reading, start, stop } = useReading(reads);
  const tooLarge = reading?.state === 'read' && reading.size > LIMITS.programCharacters.most;
  const take = async (file: File) => {
    setName(file.name);
    start(file);
    // Whoever stores it at once waits for its text: what stood before must not be stored in its place.
    taking.current = textOf(file).catch(() => '');
    put(await taking.current);
  };
  const send = async () => {
    await taking.current;
    const answer = await once((formId) =>
      post<{ tools: number; warnings: number; notUnderstood: number }>('/api/v1/programs', {
        formId,
        operation,
        name,
        text: text.current?.read() ?? early.current ?? '',
      }),
    );
    if (!answer) return;
    if (!answer.ok) {
      if (answer.problem === LOST) say('no answer came: send it again, it is recorded only once');
      else setProblem(answer.problem);
      return;
    }
    setProblem(null);
    put('');
    stop();
    const { tools, warnings, notUnderstood } = answer.value;
    say(`program read: ${tools} tools, ${warnings} warnings, ${notUnderstood} words not understood`);
    router.refresh();
  };
  if (barred !== null) return <ForOthers who={barred} />;
  return (
    <FileDrop label="Choose the program’s file" words="Choose its file" onFile={(file) => void take(file)}>
      {reading && <ReadHere {...{ reading, stored, rapidMmMin }} options={reads} onStop={stop} />}
      <p className="soft small">Or paste the NC program here:</p>
      <NcEditor label="Paste the NC program" text={onEditor} />
      <ProblemNote problem={problem} />
      <Acts>
        {!tooLarge && (
          <Button variant="contained" onClick={() => void send()} aria-disabled={pending}>
            {pending ? 'Reading …' : 'Read and store'}
          </Button>
        )}
        <Button onClick={() => start(new File([text.current?.read() ?? early.current ?? ''], name))}>
          Only read it
        </Button>
      </Acts>
    </FileDrop>
  );
}
