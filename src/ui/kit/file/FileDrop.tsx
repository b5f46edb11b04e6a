'use client';
import Button from '@mui/material/Button';
import type { ReactNode } from 'react';
import { useDropzone } from 'react-dropzone';
import { Acts } from '@/ui/kit/page';
import styles from './FileDrop.module.css';

/** A place to drop a file on, and a button that chooses one. The same file can be taken twice in a row. */
export function FileDrop({
  label,
  words,
  accept,
  main,
  busy = false,
  onFile,
  children,
}: {
  /** What the file is, for those who test or don't see it. */
  label: string;
  /** On the button. */
  words: string;
  /** Endings that the chooser offers first; whatever is dropped is read. */
  accept?: string;
  main?: boolean;
  busy?: boolean;
  onFile: (file: File) => void;
  children?: ReactNode;
}) {
  const { getRootProps, getInputProps, isDragActive, open } = useDropzone({
    multiple: false,
    noClick: true,
    noKeyboard: true,
    disabled: busy,
    onDrop: ([file]) => {
      if (file) onFile(file);
    },
  });
  return (
    <div {...getRootProps({ className: isDragActive ? `${styles.drop} ${styles.over}` : styles.drop })}>
      <input {...getInputProps({ 'aria-label': label, accept })} />
      <Acts style={{ alignItems: 'center', marginTop: 0 }}>
        <Button variant={main ? 'contained' : 'outlined'} aria-disabled={busy} onClick={open}>
          {words}
        </Button>
        <span className="soft small">or drop it here</span>
      </Acts>
      {children}
    </div>
  );
}
