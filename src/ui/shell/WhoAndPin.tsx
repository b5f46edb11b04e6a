'use client';
import { PIN_DIGITS } from '@/core/people';
import { Choice, Entry } from '@/ui/kit/field';
import { useSurroundings } from './door';

/** Initials and a PIN as they are typed. */
export interface TypedPin {
  who: string;
  pin: string;
}
export const NO_PIN: TypedPin = { who: '', pin: '' };
/** Whether all of it is there. */
export const isWhole = ({ who, pin }: TypedPin): boolean => who !== '' && pin.length === PIN_DIGITS;

/** Whose PIN, and the PIN: of whoever signs at a screen of many hands, or confirms beside somebody. */
export function WhoAndPin({
  labels: [who, pin],
  but,
  typed,
  onTyped,
}: {
  labels: readonly [who: string, pin: string];
  /** Who is not asked. */
  but?: string | null;
  typed: TypedPin;
  onTyped: (typed: TypedPin) => void;
}) {
  const { people } = useSurroundings();
  return (
    <>
      <Choice aria-label={who} value={typed.who} onChange={(e) => onTyped({ ...typed, who: e.target.value })}>
        <option value="">{who.toLowerCase()}</option>
        {people
          .filter((p) => p.initials !== but)
          .map((p) => (
            <option key={p.initials} value={p.initials}>
              {p.initials} {p.name}
            </option>
          ))}
      </Choice>
      <Entry
        aria-label={pin}
        type="password"
        inputMode="numeric"
        placeholder="PIN"
        maxLength={PIN_DIGITS}
        style={{ width: 92 }}
        value={typed.pin}
        onChange={(e) => onTyped({ ...typed, pin: e.target.value })}
      />
    </>
  );
}
