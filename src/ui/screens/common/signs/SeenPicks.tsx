'use client';
import Checkbox from '@mui/material/Checkbox';
import FormControlLabel from '@mui/material/FormControlLabel';
import { SIGN_WORDS, type SignName } from '@/core/life';
import styles from './SeenPicks.module.css';
import { SignDrawing } from './SignDrawing';

/** Signs to tap, each drawn and in words; they come in the order in which they are offered. */
export function SeenPicks({
  label,
  offered,
  value,
  onChange,
}: {
  label: string;
  offered: readonly SignName[];
  value: readonly SignName[];
  onChange: (value: SignName[]) => void;
}) {
  return (
    <div role="group" aria-label={label} className={styles.picks}>
      {offered.map((sign) => (
        <FormControlLabel
          key={sign}
          label={SIGN_WORDS[sign]}
          control={
            <Checkbox
              style={{ padding: 0 }}
              icon={<SignDrawing sign={sign} />}
              checkedIcon={<SignDrawing sign={sign} on />}
              checked={value.includes(sign)}
              onChange={() =>
                onChange(offered.filter((s) => (s === sign ? !value.includes(s) : value.includes(s))))
              }
            />
          }
        />
      ))}
    </div>
  );
}
