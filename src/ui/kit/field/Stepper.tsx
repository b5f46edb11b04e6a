'use client';
import Button from '@mui/material/Button';
import InputBase from '@mui/material/InputBase';

const KEY = { fontSize: 24, minWidth: 56, minHeight: 56 };

/** A count for a dirty thumb: minus, the number, plus. Blank is no value. */
export function Stepper({
  label,
  value,
  onChange,
}: {
  label: string;
  value: string;
  onChange: (text: string) => void;
}) {
  const step = (by: number) => onChange(String(Math.max(0, (/^\d+$/.test(value) ? Number(value) : 0) + by)));
  return (
    <div role="group" aria-label={label} style={{ display: 'flex' }}>
      <Button style={KEY} aria-label={`${label}: one less`} onClick={() => step(-1)}>
        −
      </Button>
      <InputBase
        value={value}
        onChange={(e) => onChange(e.target.value)}
        style={{ borderBlock: '2px solid var(--accent)', borderInline: 0, fontSize: 28 }}
        inputProps={{
          'aria-label': label,
          inputMode: 'numeric',
          autoComplete: 'off',
          className: 'fig',
          style: { textAlign: 'center', fontWeight: 700 },
        }}
      />
      <Button style={KEY} aria-label={`${label}: one more`} onClick={() => step(1)}>
        +
      </Button>
    </div>
  );
}
