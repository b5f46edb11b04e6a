'use client';
import Button from '@mui/material/Button';
import { useRouter } from 'next/navigation';
import { type DragEvent, useRef, useState } from 'react';
import type { ProblemDocument } from '@/crib/door';
import { LOST, post, ProblemNote, useSendOnce } from '@/ui/kit/form';
import { useSurroundings } from '@/ui/shell';

/** Paste or drop an NC program. It goes to /api/v1, since it can be megabytes; its text stays if it is refused. */
export function ProgramDrop({ operation }: { operation: number }) {
  const { who, say } = useSurroundings();
  const router = useRouter();
  const area = useRef<HTMLTextAreaElement>(null);
  const [name, setName] = useState('pasted');
  const [over, setOver] = useState(false);
  const { once, pending } = useSendOnce();
  const [problem, setProblem] = useState<ProblemDocument | null>(null);

  const take = async (file: File) => {
    setName(file.name);
    area.current!.value = await file.text();
  };
  const send = async () => {
    const answer = await once((formId) =>
      post<{ tools: number; warnings: number; notUnderstood: number }>('/api/v1/programs', {
        who: who ?? '',
        formId,
        operation,
        name,
        text: area.current!.value,
      }),
    );
    if (!answer) return;
    if (!answer.ok) {
      if (answer.problem === LOST) say('no answer came: send it again, it is recorded only once');
      else setProblem(answer.problem);
      return;
    }
    setProblem(null);
    area.current!.value = '';
    const { tools, warnings, notUnderstood } = answer.value;
    say(`program read: ${tools} tools, ${warnings} warnings, ${notUnderstood} words not understood`);
    router.refresh();
  };
  const drop = (e: DragEvent) => {
    e.preventDefault();
    setOver(false);
    const file = e.dataTransfer.files[0];
    if (file) void take(file);
  };
  return (
    <div
      className={over ? 'drop over' : 'drop'}
      onDragOver={(e) => {
        e.preventDefault();
        setOver(true);
      }}
      onDragLeave={() => setOver(false)}
      onDrop={drop}
    >
      <label className="small soft" htmlFor="program">
        Paste the NC program here, drop its file, or{' '}
      </label>
      <input
        type="file"
        aria-label="Choose the program’s file"
        onChange={(e) => e.target.files?.[0] && void take(e.target.files[0])}
      />
      <textarea id="program" ref={area} rows={6} spellCheck={false} />
      <ProblemNote problem={problem} />
      <div className="acts">
        <Button variant="contained" onClick={() => void send()} aria-disabled={pending}>
          {pending ? 'Reading …' : 'Read and store'}
        </Button>
      </div>
    </div>
  );
}
