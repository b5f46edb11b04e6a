'use client';
import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import type { DayLine, DayMachine } from '@/crib/today';
import { ProblemNote, SendButton, useVerb } from '@/ui/kit/form';
import { shortDay } from '@/ui/shell';
import { MoveMeans } from './MoveMeans';

/** An operation that was let go on another machine's row. */
export interface Moving {
  line: DayLine;
  from: DayMachine;
  to: DayMachine;
  /** ISO day. */
  on: string;
}

/** Asks before an operation goes to another machine: a hand slips, and more hangs on a machine than a day does. */
export function MoveNote({ moving, done }: { moving: Moving; done: () => void }) {
  const { line, from, to, on } = moving;
  const move = useVerb('moveOperation');
  const send = async () => {
    const moved = await move.send(
      { operation: line.operation, machine: to.code, starts: on },
      (d) => `${d.job} goes on ${d.to} from ${shortDay(on)}`,
    );
    if (moved) done();
  };
  return (
    <Dialog open onClose={done} aria-labelledby="move-operation">
      <DialogTitle id="move-operation">
        {line.job}, operation {line.number}: from {from.code} to {to.code}?
      </DialogTitle>
      <DialogContent>
        <p>
          {line.partsLeft} parts left of {line.part}, to start {shortDay(on)}.
        </p>
        <MoveMeans from={from} to={to} />
        <ProblemNote problem={move.problem} />
      </DialogContent>
      <DialogActions>
        <Button onClick={done}>Leave it on {from.code}</Button>
        <SendButton pending={move.pending} barred={move.barred} onSend={() => void send()}>
          Move it
        </SendButton>
      </DialogActions>
    </Dialog>
  );
}
