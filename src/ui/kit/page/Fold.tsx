'use client';
import Accordion from '@mui/material/Accordion';
import AccordionDetails from '@mui/material/AccordionDetails';
import AccordionSummary from '@mui/material/AccordionSummary';
import type { ReactNode } from 'react';

/** Nothing slides: what is unfolded is there at once, and what was typed in it stays when it is folded again. */
const AtOnce = ({ in: open, children }: { in?: boolean; children?: ReactNode }) => (
  <div hidden={!open}>{children}</div>
);
/** What only says something is not drawn before it is asked for: a page may hold a hundred reasons. */
const WhenAsked = ({ in: open, children }: { in?: boolean; children?: ReactNode }) =>
  open ? children : null;

/** Words that unfold what stands behind them. */
export function Fold({
  label,
  says,
  open = false,
  children,
}: {
  label: ReactNode;
  /** It only says something: no field in it would lose what was typed. */
  says?: boolean;
  /** Unfolded when it comes. */
  open?: boolean;
  children: ReactNode;
}) {
  return (
    <Accordion
      square
      defaultExpanded={open}
      disableGutters
      elevation={0}
      slots={{ transition: says ? WhenAsked : AtOnce }}
      slotProps={{ heading: { component: 'div' }, region: { role: undefined } }}
    >
      <AccordionSummary expandIcon={<span aria-hidden="true">▾</span>}>{label}</AccordionSummary>
      <AccordionDetails>{children}</AccordionDetails>
    </Accordion>
  );
}
