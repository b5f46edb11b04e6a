'use client';
import Button from '@mui/material/Button';
import { Middle } from '@/ui/shell';

export default function ErrorPage({ reset }: { reset: () => void }) {
  return (
    <Middle>
      <h1>This screen could not be drawn</h1>
      <p>
        Nothing was written or lost. Try again; if it stays, tell whoever looks after Stable what you opened.
      </p>
      <Button variant="contained" onClick={reset}>
        Try again
      </Button>
    </Middle>
  );
}
