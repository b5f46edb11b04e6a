'use client';
import Button from '@mui/material/Button';
import { useRouter } from 'next/navigation';
import { type FormEvent, useEffect, useState } from 'react';
import { useSurroundings } from './door';
import { post } from './post';
import { isWhole, NO_PIN, WhoAndPin } from './WhoAndPin';
import styles from './HandStrip.module.css';

/** Signs at a screen of many hands, or hands it back; what went wrong in words, null: nothing. */
export async function hand(path: 'hand' | 'hand/back', body: object): Promise<string | null> {
  const sent = await post(`/api/v1/${path}`, body);
  return sent.ok ? null : `${sent.problem.detail}. ${sent.problem.way_out ?? ''}`;
}

/** At a screen of many hands: who signs here, or how to. On a screen of one's own nothing stands here. */
export function HandStrip() {
  const { signed } = useSurroundings();
  const router = useRouter();
  const [typed, setTyped] = useState(NO_PIN);
  const [wrong, setWrong] = useState<string | null>(null);
  const { handSeconds } = signed;
  useEffect(() => {
    if (handSeconds === null) return;
    // The server has let go by then, whoever looks; the screen says so.
    const left = setTimeout(() => router.refresh(), (handSeconds + 1) * 1000);
    return () => clearTimeout(left);
  }, [handSeconds, router]);
  if (!signed.shared) return null;
  const act = async (path: 'hand' | 'hand/back', body: object) => {
    setTyped({ ...typed, pin: '' });
    const said = await hand(path, body);
    setWrong(said);
    if (said === null) router.refresh();
  };
  if (signed.who !== null)
    return (
      <div className={styles.strip} role="status">
        <span>
          <strong className="fig">{signed.who}</strong> {signed.name} signs here now.
        </span>
        <Button onClick={() => void act('hand/back', {})}>Hand back</Button>
      </div>
    );
  const submit = (event: FormEvent) => {
    event.preventDefault();
    void act('hand', typed);
  };
  return (
    <form className={styles.strip} onSubmit={submit} aria-label="Sign at this screen">
      <span>
        <strong>Nobody has signed here.</strong> Scan your badge, or
      </span>
      <WhoAndPin labels={['Initials', 'PIN']} typed={typed} onTyped={setTyped} />
      <Button type="submit" variant="contained" aria-disabled={!isWhole(typed)}>
        Sign
      </Button>
      {wrong && (
        <span className={styles.wrong} role="alert">
          {wrong}
        </span>
      )}
    </form>
  );
}
