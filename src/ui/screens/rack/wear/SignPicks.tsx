'use client';
import ButtonBase from '@mui/material/ButtonBase';
import { SIGNS, type SignSeen, STRENGTH_NAMES } from '@/core/life';
import styles from './Wear.module.css';

/** Signs with how strong each is: a tap more makes it stronger, the tap after strong takes it away. */
export function SignPicks({ value, onChange }: { value: SignSeen[]; onChange: (signs: SignSeen[]) => void }) {
  const strengthOf = (sign: string) => value.find((s) => s.sign === sign)?.strength ?? null;
  return (
    <fieldset className={styles.signs}>
      <legend>Signs: tap once for slight, again for clear, strong, none</legend>
      {SIGNS.map((sign) => {
        const strength = strengthOf(sign);
        const level = strength === null ? 0 : STRENGTH_NAMES.indexOf(strength) + 1;
        const next = STRENGTH_NAMES[level];
        const others = value.filter((s) => s.sign !== sign);
        return (
          <ButtonBase
            key={sign}
            className={styles.sign}
            data-level={level}
            aria-label={`${sign}: ${strength ?? 'none'}`}
            onClick={() => onChange(next ? [...others, { sign, strength: next }] : others)}
          >
            {sign}
            <span className={styles.level} aria-hidden>
              {strength ?? ''}
            </span>
          </ButtonBase>
        );
      })}
    </fieldset>
  );
}
