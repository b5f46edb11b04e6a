'use client';
import Button, { type ButtonProps } from '@mui/material/Button';
import { useRef } from 'react';

/** Taps that follow one another so closely are one tap of a shaking hand, ms. */
const ONE_TAP_MS = 150;

/**
 * A button that writes. A double tap writes once, also where the second tap comes round only after the answer to the
 * first: the browser counts taps when the finger comes down, however late a busy page handles them.
 */
export function SendButton({ onSend, ...props }: Omit<ButtonProps, 'onClick'> & { onSend?: () => void }) {
  const last = useRef(-Infinity);
  return (
    <Button
      {...props}
      onClick={(e) => {
        const { detail, timeStamp } = e.nativeEvent;
        // 0: by a key, which is not counted.
        const again = detail > 1 || (detail === 1 && timeStamp - last.current < ONE_TAP_MS);
        last.current = timeStamp;
        if (again) e.preventDefault();
        else onSend?.();
      }}
    />
  );
}
