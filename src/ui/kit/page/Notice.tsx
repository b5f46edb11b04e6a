import Alert from '@mui/material/Alert';
import type { CSSProperties, ReactNode } from 'react';

/** The shapes of the grades, since colour comes third. */
const KINDS = {
  question: { severity: 'warning', shape: '▲' },
  stop: { severity: 'error', shape: '■' },
} as const;

/**
 * Something that must be seen beside what it is about: a question, or a stop. `now` is for what has just come up, an
 * answer to what somebody did: it is read out at once.
 */
export function Notice({
  kind = 'question',
  now,
  label,
  style,
  children,
}: {
  kind?: keyof typeof KINDS;
  now?: boolean;
  /** Makes a region of it, to be found by name. */
  label?: string;
  style?: CSSProperties;
  children: ReactNode;
}) {
  const { severity, shape } = KINDS[kind];
  return (
    <Alert
      severity={severity}
      icon={<span aria-hidden="true">{shape}</span>}
      role={now ? 'alert' : label ? 'region' : 'note'}
      aria-label={label}
      style={style}
    >
      {children}
    </Alert>
  );
}

/** A caution stands beside the action it belongs to. */
export function Caution({ children }: { children: ReactNode }) {
  return (
    <Alert severity="error" variant="outlined" icon={false} role="note">
      <strong>Care.</strong> {children} Follow the machine maker’s manual, the site’s rules and local law;
      trained people only.
    </Alert>
  );
}
