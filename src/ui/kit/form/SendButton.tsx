'use client';
import Button, { type ButtonProps } from '@mui/material/Button';
import { useEffect, useRef } from 'react';

/**
 * A button that writes. A double tap writes once, also where its second half comes round only after the answer to the
 * first: what counts is when the finger came down, not when a busy page gets to it.
 */
export function SendButton({
  onSend,
  pending,
  ...props
}: Omit<ButtonProps, 'onClick'> & { onSend?: () => void; pending: boolean }) {
  const answeredAt = useRef(-Infinity);
  useEffect(() => {
    if (pending) return () => void (answeredAt.current = performance.now());
    return undefined;
  }, [pending]);
  return (
    <Button
      {...props}
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
}
