'use client';
import Button from '@mui/material/Button';
import { useState } from 'react';
import { PIN_DIGITS } from '@/core/people';
import { Choice, Entry } from '@/ui/kit/field';
import { useSurroundings } from '@/ui/shell';

/** Somebody else who confirms, by badge or by initials and PIN. */
export type Second = { badge: string } | { who: string; pin: string };

/** Asks somebody else to confirm what this shop wants two people for. */
export function SecondPerson({ onGiven }: { onGiven: (second: Second) => void }) {
  const { people, who: me } = useSurroundings();
  const [who, setWho] = useState('');
  const [pin, setPin] = useState('');
  const give = () => {
    setPin('');
    onGiven({ who, pin });
  };
  return (
    <div
      role="group"
      aria-label="A second person"
      style={{ display: 'flex', gap: 8, flexWrap: 'wrap', marginTop: 8 }}
    >
      <Choice aria-label="Who confirms" value={who} onChange={(e) => setWho(e.target.value)}>
        <option value="">who confirms</option>
        {people
          .filter((p) => p.initials !== me)
          .map((p) => (
            <option key={p.initials} value={p.initials}>
              {p.initials} {p.name}
            </option>
          ))}
      </Choice>
      <Entry
        aria-label="Their PIN"
        type="password"
        inputMode="numeric"
        placeholder="PIN"
        maxLength={PIN_DIGITS}
        style={{ width: 92 }}
        value={pin}
        onChange={(e) => setPin(e.target.value)}
      />
      <Button onClick={give} disabled={!who || pin.length < PIN_DIGITS}>
        Confirm
      </Button>
    </div>
  );
}
