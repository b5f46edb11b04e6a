'use client';
import Checkbox from '@mui/material/Checkbox';
import InputBase from '@mui/material/InputBase';
import NativeSelect from '@mui/material/NativeSelect';
import type { ComponentPropsWithRef } from 'react';

/** The style of a field goes to its frame, everything else to what is typed into. */
const parts = <P extends { style?: React.CSSProperties }>({ style, ...native }: P) => ({
  frame: { width: 'auto', ...style },
  native,
});

/** A field that stands by itself: in a table, in a sentence, beside a figure. In a form of a verb, FormField. */
export function Entry({ ref, ...props }: ComponentPropsWithRef<'input'>) {
  const { frame, native } = parts(props);
  return <InputBase style={frame} inputRef={ref} inputProps={{ autoComplete: 'off', ...native }} />;
}

/** A short choice that stands by itself; a long one is a SearchField. */
export function Choice({ ref, children, ...props }: ComponentPropsWithRef<'select'>) {
  const { frame, native } = parts(props);
  return (
    <NativeSelect style={frame} inputRef={ref} inputProps={native} disableUnderline>
      {children}
    </NativeSelect>
  );
}

/** Yes or no. */
export function Tick({ ref: _ref, style, ...native }: Omit<ComponentPropsWithRef<'input'>, 'type' | 'size'>) {
  return <Checkbox size="small" style={{ padding: 4, ...style }} slotProps={{ input: native }} />;
}
