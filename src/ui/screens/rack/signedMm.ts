import { type LengthUnit, parseLength } from '@/core/units';

/** A length that may be below zero, as a dial or a machine's Z has it, mm; null: it is none. Example: '−5.812' -> -5.812. */
export function signedMm(text: string, unit: LengthUnit): number | null {
  const [, sign = '', rest = ''] = /^\s*([-−+]?)\s*(.*)$/.exec(text) ?? [];
  const mm = rest === '' ? null : (parseLength(rest, unit)?.mm ?? null);
  return mm === null ? null : sign === '-' || sign === '−' ? -mm : mm;
}
