'use client';
import Button from '@mui/material/Button';
import { useRef } from 'react';

/** A button that opens the file chooser (on a phone: the camera too). The same file can be chosen twice in a row. */
export function FileButton({
  words,
  label,
  accept,
  camera,
  main,
  busy,
  onFile,
}: {
  words: string;
  /** What the file is, for those who test or don't see it. */
  label: string;
  accept: string;
  camera?: boolean;
  main?: boolean;
  busy?: boolean;
  onFile: (file: File) => void;
}) {
  const input = useRef<HTMLInputElement>(null);
  return (
    <>
      <Button
        variant={main ? 'contained' : 'outlined'}
        aria-disabled={busy}
        onClick={() => {
          if (!busy) input.current?.click();
        }}
      >
        {words}
      </Button>
      <input
        ref={input}
        type="file"
        hidden
        accept={accept}
        capture={camera ? 'environment' : undefined}
        aria-label={label}
        onChange={(e) => {
          const file = e.target.files?.[0];
          e.target.value = '';
          if (file) onFile(file);
        }}
      />
    </>
  );
}
