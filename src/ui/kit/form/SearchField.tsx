'use client';
import dynamic from 'next/dynamic';

/** A choice that is searched on the server; its list and what places it come after the first view. */
export const SearchField = dynamic(() => import('./Search'), {
  ssr: false,
  loading: () => <div style={{ minHeight: 38 }} />,
});
