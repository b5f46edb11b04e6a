'use client';
import dynamic from 'next/dynamic';

/** A build that is put together; its drawing and what moves its tip come after the first view: most who open the rack look. */
export const BuildDrawing = dynamic(() => import('./BuildDrawn'), {
  ssr: false,
  loading: () => <div style={{ minHeight: 180 }} />,
});
