'use client';

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
    <div className="stepper" role="group" aria-label={label}>
      <button type="button" aria-label={`${label}: one less`} onClick={() => step(-1)}>
        −
      </button>
      <input
        aria-label={label}
        inputMode="numeric"
        value={value}
        onChange={(e) => onChange(e.target.value)}
      />
      <button type="button" aria-label={`${label}: one more`} onClick={() => step(1)}>
        +
      </button>
    </div>
  );
}
