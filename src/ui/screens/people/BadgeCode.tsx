'use client';
import bwip from 'bwip-js/browser';

/** A badge as a Data Matrix (ISO/IEC 16022), drawn in the browser: the badge is nowhere kept. */
export function BadgeCode({ text }: { text: string }) {
  // Drawn by us of letters that we made.
  return <div dangerouslySetInnerHTML={{ __html: bwip.toSVG({ bcid: 'datamatrix', text }) }} />;
}
