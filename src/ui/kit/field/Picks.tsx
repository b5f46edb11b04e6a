'use client';
import Checkbox from '@mui/material/Checkbox';
import FormControlLabel from '@mui/material/FormControlLabel';
import FormGroup from '@mui/material/FormGroup';
import Radio from '@mui/material/Radio';
import RadioGroup from '@mui/material/RadioGroup';
import type { ReactNode } from 'react';

/** What can be picked: the value it stands for, its words, and whether it can't be picked now. */
type Option<V extends string> = readonly [value: V, words: ReactNode, closed?: boolean];

/** One of a few, all of them seen at once: for a thumb, and for what must not be overlooked. */
export function PickOne<V extends string>({
  label,
  options,
  value,
  onChange,
}: {
  label: string;
  options: readonly Option<V>[];
  value: V | null;
  onChange: (value: V) => void;
}) {
  return (
    <RadioGroup aria-label={label} value={value}>
      {options.map(([option, words, closed]) => (
        <FormControlLabel
          key={option}
          value={option}
          disabled={closed}
          label={words}
          control={<Radio size="small" onChange={() => onChange(option)} />}
        />
      ))}
    </RadioGroup>
  );
}

/** Several of a few, each ticked by itself; they come in the order of the options. */
export function PickSome<V extends string>({
  label,
  labelledBy,
  options,
  value,
  onChange,
}: {
  label?: string;
  labelledBy?: string;
  options: readonly Option<V>[];
  value: readonly V[];
  onChange: (value: V[]) => void;
}) {
  const toggled = (option: V) =>
    options.map(([o]) => o).filter((o) => (o === option ? !value.includes(o) : value.includes(o)));
  return (
    <FormGroup role="group" aria-label={label} aria-labelledby={labelledBy}>
      {options.map(([option, words, closed]) => (
        <FormControlLabel
          key={option}
          disabled={closed}
          label={words}
          control={
            <Checkbox
              size="small"
              style={{ padding: 0 }}
              checked={value.includes(option)}
              onChange={() => onChange(toggled(option))}
            />
          }
        />
      ))}
    </FormGroup>
  );
}
