'use client';
import Button from '@mui/material/Button';
import { useState } from 'react';
import { isWhole, NO_PIN, type TypedPin, useBadge, useSurroundings, WhoAndPin } from '@/ui/shell';

/** Somebody else who confirms, by badge or by initials and PIN. */
export type Second = { badge: string } | TypedPin;

/** Asks somebody else to confirm what this shop wants two people for. */
export function SecondPerson({ onGiven }: { onGiven: (second: Second) => void }) {
  const { who: me } = useSurroundings();
  const [typed, setTyped] = useState(NO_PIN);
  useBadge((badge) => onGiven({ badge }));
  const give = () => {
    setTyped({ ...typed, pin: '' });
    onGiven(typed);
  };
  return (
    <div
      role="group"
      aria-label="A second person"
      style={{ display: 'flex', gap: 8, flexWrap: 'wrap', alignItems: 'center', marginTop: 8 }}
    >
      <span>Scan their badge, or</span>
      <WhoAndPin labels={['Who confirms', 'Their PIN']} but={me} typed={typed} onTyped={setTyped} />
      <Button onClick={give} disabled={!isWhole(typed)}>
        Confirm
      </Button>
    </div>
  );
}
