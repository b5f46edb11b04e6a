'use client';
import Button, { type ButtonProps } from '@mui/material/Button';
import { useEffect, useRef } from 'react';
import { ForOthers } from './ForOthers';

/**
 * A button that writes. A double tap writes once, also where its second half comes round only after the answer to the
 * first: what counts is when the finger came down, not when a busy page gets to it.
 */
export function SendButton({
  onSend,
  pending,
  barred = null,
  ...props
}: Omit<ButtonProps, 'onClick'> & {
  onSend?: () => void;
  pending: boolean;
  /** Who does it, where whoever sees the button may not: then it stands there for reading. */
  barred?: string | null;
}) {
  const answeredAt = useRef(-Infinity);
  useEffect(() => {
    if (pending) return () => void (answeredAt.current = performance.now());
    return undefined;
  }, [pending]);
  const button = (
    <Button
      {...props}
      disabled={props.disabled || barred !== null}
      aria-disabled={pending || props['aria-disabled']}
      onClick={(e) => {
        const { detail, timeStamp } = e.nativeEvent;
        // Keys have no count (0): a form that is sent by Enter is guarded by its id alone.
        const again = detail > 1 || (detail === 1 && timeStamp < answeredAt.current);
        if (again) e.preventDefault();
        else onSend?.();
      }}
    />
  );
  return barred === null ? (
    button
  ) : (
    <>
      {button}
      <ForOthers who={barred} />
    </>
  );
}
