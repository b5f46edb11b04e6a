'use client';
import Button from '@mui/material/Button';
import dynamic from 'next/dynamic';
import { useState } from 'react';

const NcEditor = dynamic(() => import('@/ui/kit/code/NcEditor'), { ssr: false });

/** The program as it is stored, fetched when somebody wants to read it: it can be megabytes. */
export function ProgramText({ entry }: { entry: number }) {
  const [text, setText] = useState<string | null>(null);
  const [lost, setLost] = useState(false);
  const read = async () => {
    const answer = await fetch(`/api/v1/programs/${entry}`).catch(() => null);
    setLost(!answer?.ok);
    if (answer?.ok) setText(await answer.text());
  };
  if (text !== null) return <NcEditor label="The program as it is stored" kept={text} />;
  return (
    <p>
      <Button size="small" onClick={() => void read()}>
        Read the program
      </Button>{' '}
      {lost && <span className="soft">No answer came: try again.</span>}
    </p>
  );
}
