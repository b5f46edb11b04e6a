'use client';
import Button from '@mui/material/Button';
import { useRouter } from 'next/navigation';
import { useRef, useState, type DragEvent } from 'react';
import { v4 as newId } from 'uuid';
import type { ProblemDocument } from '@/crib/door';
import { ProblemNote } from '../form';
import { useSurroundings } from '../shell';

/** Paste or drop an NC program. It goes to /api/v1, since it can be megabytes; its text stays if it is refused. */
export function ProgramDrop({ operation }: { operation: number }) {
  const { who, say } = useSurroundings();
  const router = useRouter();
  const area = useRef<HTMLTextAreaElement>(null);
  const [name, setName] = useState('pasted');
  const [over, setOver] = useState(false);
  const [pending, setPending] = useState(false);
  // Kept until an answer came: the same program sent again after a lost answer is recorded once.
  const form = useRef<string | null>(null);
  const [problem, setProblem] = useState<ProblemDocument | null>(null);

  const take = async (file: File) => {
    setName(file.name);
    area.current!.value = await file.text();
  };
  const send = async () => {
    if (pending) return;
    setPending(true);
    form.current ??= newId();
    try {
      const answer = await fetch('/api/v1/programs', {
        method: 'POST',
        headers: { 'content-type': 'application/json' },
        body: JSON.stringify({
          who: who ?? '',
          formId: form.current,
          operation,
          name,
          text: area.current!.value,
        }),
      });
      const said = await answer.json();
      form.current = null;
      if (!answer.ok) return setProblem(said as ProblemDocument);
      setProblem(null);
      area.current!.value = '';
      say(
        `program read: ${said.tools} tools, ${said.warnings} warnings, ${said.notUnderstood} words not understood`,
      );
      router.refresh();
    } catch {
      say('no answer came: send it again, it is recorded only once');
    } finally {
      setPending(false);
    }
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
