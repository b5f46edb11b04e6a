import type { SignName } from '@/core/life';

/** A cutter from the side, tip down: shank and flutes. */
const CUTTER = 'M13 3h14v12h-3v19h-8V15h-3z';
/** The same, snapped off in its flutes. */
const SNAPPED = 'M13 3h14v12h-3v8l-4-3-4 4v-9h-3z';
/** A part from the side, with what was cut of it. */
const PART = 'M3 22h9v14h16V22h9v15H3z';

/** What each sign looks like, in a field of 40: lines that are drawn, and those that are what it is about. */
const DRAWN: Record<SignName, readonly [base: string, sign: string]> = {
  sound: [CUTTER, 'M30 14c3 3 3 9 0 12M34 11c5 5 5 13 0 18M10 14c-3 3-3 9 0 12'],
  vibration: [CUTTER, 'M4 10l4 4-4 4 4 4-4 4 4 4M32 10l4 4-4 4 4 4-4 4 4 4'],
  burr: ['M3 20h22v17H3z', 'M25 20l3-7 1 6 4-5-1 6 5-1-6 4'],
  finish: ['M3 26v11h34V26', 'M3 26l3-5 3 5 3-5 3 5 3-5 3 5 3-5 3 5 3-5 3 5 3-5 1 5'],
  'size drift': ['M8 6v28M32 6v28', 'M8 20h24M13 16l-5 4 5 4M27 16l5 4-5 4'],
  'line on the wall': ['M8 4h24v32H8z', 'M8 24h24M12 28v5M18 28v5M24 28v5M29 28v5'],
  load: ['M5 30a15 15 0 0 1 30 0z', 'M20 30l11-9M29 20l3 1-1 3'],
  'chip colour': ['M8 12c10-8 10 8 22 0', 'M8 22c10-8 10 8 22 0M8 32c10-8 10 8 22 0'],
  'built-up edge': [CUTTER, 'M16 28c-5 1-6 6-1 7M24 28c5 1 6 6 1 7'],
  'chips packed': [PART, 'M14 34c2-4 4 0 2-4s5 0 3-3 5 1 4-3M17 25c3-3 5 2 7-1'],
  'bright rings on the shank': ['M12 3h16v34H12z', 'M12 10h16M12 14h16M12 24h16M12 28h16'],
  plunging: [CUTTER, 'M6 6v24M2 25l4 6 4-6M30 37l7-9'],
  'same place': [SNAPPED, 'M14 32l12 5M26 32l-12 5'],
  leaving: [SNAPPED, 'M3 36h18M24 36h3M30 36h2M25 30h11M32 26l5 4-5 4'],
  longer: [CUTTER, 'M33 6v29M29 30l4 6 4-6M29 6h8'],
  shorter: [CUTTER, 'M33 34V5M29 10l4-6 4 6M29 34h8'],
  corners: [CUTTER, 'M16 29l3 2-3 4M24 29l-3 2 3 4M9 32l3 2M31 32l-3 2'],
  blue: [CUTTER, 'M14 29c-4-3 0-6-2-9M20 31v-9M26 29c4-3 0-6 2-9'],
  bogged: [CUTTER, 'M33 9a9 9 0 0 1 2 11M35 20l-5-1M35 20l1-5M8 15l-5 5M8 20l-5-5'],
  'in a corner': ['M5 4v31h31', 'M17 13a9 9 0 1 0 .1 0M12 27l-5 5'],
  'one tooth': [CUTTER, 'M24 18v16M24 20l5 2M24 25l5 2M24 30l5 2'],
  'at the holder': ['M10 3h20l-4 10H14z', 'M15 15l4 3 3-4 4 4M16 24h8v12h-8z'],
  hit: [CUTTER, 'M24 34l3-6 2 4 5-3-2 6h6'],
  'first part': ['M8 14h24v22H8z', 'M17 21l4-3v14M16 32h9M20 3v7M16 7l4 4 4-4'],
  'new cutter': [CUTTER, 'M33 5v8M29 9h8M31 20v5M28.500 22.500h5'],
  'long in use': [CUTTER, 'M34 14a6 6 0 1 0 .1 0M34 16v4l3 2'],
  dry: ['M4 37h32', 'M20 6c7 10 8 13 8 16a8 8 0 0 1-16 0c0-3 1-6 8-16M7 7l26 26'],
  slot: [PART, 'M13 4h14v30H13zM3 20h34'],
  'thin wall': ['M3 37h34', 'M17 36V8c0-3-5-3-6-5M23 36V8c0-3 5-3 6-5M20 36V10'],
  oversize: ['M20 8a12 12 0 1 0 .1 0', 'M20 3a17 17 0 1 0 .1 0M32 8l5-5'],
  undersize: ['M20 3a17 17 0 1 0 .1 0', 'M20 11a9 9 0 1 0 .1 0M32 8l-5 5'],
  bottom: ['M8 4v32h24V4', 'M16 4v24h8V4M16 10h8M16 15h8M16 20h8M16 25h8M14 32h12'],
};

/** Our own small drawing of a sign; its words stand beside it. */
export const SignDrawing = ({ sign, on = false }: { sign: SignName; on?: boolean }) => (
  <svg
    width="40"
    height="40"
    viewBox="0 0 40 40"
    fill="none"
    strokeWidth="1.6"
    aria-hidden="true"
    style={{
      flex: 'none',
      background: on ? 'var(--accent)' : 'var(--sheet)',
      border: '1px solid var(--line)',
    }}
  >
    <path d={DRAWN[sign][0]} stroke={on ? 'var(--on-accent)' : 'var(--steel)'} />
    <path d={DRAWN[sign][1]} stroke={on ? 'var(--on-accent)' : 'var(--ink)'} strokeWidth="2" />
  </svg>
);
