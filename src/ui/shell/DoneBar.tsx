'use client';
import useMediaQuery from '@mui/material/useMediaQuery';
import dynamic from 'next/dynamic';
import { useState } from 'react';
import { useSurroundings } from './door';

// Only a phone shows it.
const Snackbar = dynamic(() => import('@mui/material/Snackbar'), { ssr: false });

/**
 * On a phone the scan line, where it is said what was done, has gone by when a form further down answers: the same
 * words come up where the thumb is. They are read out from the scan line, and stay there.
 */
export function DoneBar() {
  const { said } = useSurroundings();
  const phone = useMediaQuery('(max-width: 760px)');
  const [gone, setGone] = useState(said);
  if (!phone || said.text === '' || said === gone) return null;
  return (
    <Snackbar
      open
      key={said.count}
      message={said.text}
      autoHideDuration={8000}
      onClose={(_, why) => {
        if (why !== 'clickaway') setGone(said);
      }}
      slotProps={{ content: { role: 'presentation', 'aria-hidden': true } }}
    />
  );
}
