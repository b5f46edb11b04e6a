'use client';
import Button from '@mui/material/Button';
import InputBase from '@mui/material/InputBase';
import { useRouter } from 'next/navigation';
import { useEffect, useRef, useState, type FormEvent } from 'react';
import { readLabelCode } from '@/core/links';
import { Notice } from '@/ui/kit/page';
import { useSurroundings } from './door';
import { hand } from './HandStrip';
import { askScreens, giveBadge } from './scanHandlers';
import styles from './ScanLine.module.css';
import { anyUnsent } from './unsent';
import { SCAN_LINE, useScanner } from './useScanner';

/** Scan, or type a number or words: what it names opens. What was said last stands beside it. */
export function ScanLine({ help, onHelp }: { help: boolean; onHelp: () => void }) {
  const { lookUp, said, say, unit, swapUnit, signed } = useSurroundings();
  const router = useRouter();
  const [text, setText] = useState('');
  const field = useRef<HTMLInputElement>(null);
  /** What was scanned while a form was not sent, and may open when it comes again. */
  const leaving = useRef<string | null>(null);

  const signByBadge = async (badge: string): Promise<string> => {
    if (!signed.shared) return 'A badge signs at screens of many hands; you are signed in here as yourself';
    const wrong = await hand('hand', { badge });
    if (wrong === null) router.refresh();
    return wrong ?? 'signed by badge';
  };
  const take = async (scanned: string) => {
    const wanted = scanned.trim();
    if (!wanted) return;
    // A badge is nobody's to look up: it confirms where a form waits for one, and signs at a screen of many hands.
    if (/^BADGE-/i.test(wanted))
      return say(giveBadge(wanted) ? 'the badge was given to confirm' : await signByBadge(wanted));
    // Screens know an assembly by its tag; the code of its label says more.
    const label = readLabelCode(wanted);
    const named = label?.tag ?? wanted;
    const screen = askScreens(named);
    if (screen) {
      say(`${named} ${screen}`);
      const stale = label && (await lookUp(wanted)).stale;
      return stale ? say(`${named} ${screen} · ${stale}`) : undefined;
    }
    const found = await lookUp(wanted);
    // What opens would take the form away: the same scan again says that it may go.
    if (found.href && anyUnsent() && leaving.current !== wanted) {
      leaving.current = wanted;
      return say(`${wanted} not opened: what you typed is not sent yet. Scan it again to leave that`);
    }
    leaving.current = null;
    say(`${named} ${found.said}`);
    if (found.href) router.push(found.href, { scroll: false });
  };
  useScanner(
    (scan) => {
      setText('');
      void take(scan);
    },
    (scan) => say(`${scan} is no figure: the field keeps what it had`),
  );
  useEffect(() => {
    const onKey = (e: KeyboardEvent) => {
      const typing = e.target instanceof Element && e.target.closest('input, textarea, select');
      if (e.key === '?' && !typing) onHelp();
      if (e.key === 'k' && (e.ctrlKey || e.metaKey)) {
        e.preventDefault();
        field.current?.focus();
      }
    };
    document.addEventListener('keydown', onKey);
    return () => document.removeEventListener('keydown', onKey);
  }, [onHelp]);

  const submit = (event: FormEvent) => {
    event.preventDefault();
    void take(text);
    setText('');
  };
  return (
    <div className={styles.scan}>
      <form onSubmit={submit} role="search">
        <label className="visually-hidden" htmlFor={SCAN_LINE}>
          Scan or type a number, a code or words
        </label>
        <InputBase
          id={SCAN_LINE}
          className={styles.field}
          inputRef={field}
          value={text}
          onChange={(e) => setText(e.target.value)}
          placeholder="Scan, or type a number or words"
          inputProps={{ autoComplete: 'off', spellCheck: false }}
        />
        <output aria-live="polite">{said.text}</output>
      </form>
      <Button
        color="inherit"
        className={styles.unit}
        onClick={swapUnit}
        aria-label={`Lengths in ${unit}: swap`}
      >
        {unit === 'mm' ? 'mm' : 'inch'}
      </Button>
      {help && (
        <div className={styles.keys}>
          <Notice label="Keys">
            <strong>Scan</strong> anywhere: what is scanned opens. Inside a field it is what that field asks
            for, and stays there.
            <br />
            <strong>Ctrl K</strong> to the scan line · <strong>?</strong> these keys · <strong>Tab</strong>,{' '}
            <strong>Enter</strong>, <strong>Space</strong> as everywhere
            <br />
            Codes: A- assembly, E- cutter, O- order, and the numbers of jobs, items and places.
          </Notice>
        </div>
      )}
    </div>
  );
}
