'use client';
import Button from '@mui/material/Button';
import { type FormEvent, useState } from 'react';
import { PASSWORD } from '@/core/people';
import { Fields } from '@/ui/kit/field';
import { ProblemNote } from '@/ui/kit/form';
import { Acts, Notice } from '@/ui/kit/page';
import { Typed } from '@/ui/screens/common/Typed';
import { useAct } from '@/ui/screens/common/useAct';
import { useSurroundings } from '@/ui/shell';

/** Sets what locks backups; it is never shown. */
export function Passphrase({ has }: { has: boolean }) {
  const { act, pending, problem } = useAct('keeping/passphrase');
  const { say } = useSurroundings();
  const [typed, setTyped] = useState('');
  const [again, setAgain] = useState('');
  const same = typed === again;
  const set = async (event: FormEvent) => {
    event.preventDefault();
    if (!same || !(await act({ passphrase: typed }))) return;
    setTyped('');
    setAgain('');
    say('the passphrase is set: from now on backups are locked by it');
  };
  return (
    <section aria-label="The passphrase">
      <h2>{has ? 'Another passphrase' : 'A passphrase'}, to lock backups</h2>
      <p>
        A locked backup that is stolen shows nothing. It is one file, which any program for{' '}
        <code>age-encryption.org</code> opens.
      </p>
      <Notice label="Without the passphrase">
        Without it nobody opens a locked backup: not you, not us. Write it down and keep it away from this
        machine. Older backups keep the one they were locked with.
      </Notice>
      <form onSubmit={(e) => void set(e)}>
        <Fields style={{ gridTemplateColumns: '1fr' }}>
          <Typed
            label={`Passphrase, ${PASSWORD.least} characters or more`}
            type="password"
            autoComplete="new-password"
            maxLength={PASSWORD.most}
            value={typed}
            onChange={(e) => setTyped(e.target.value)}
          />
          <Typed
            label="Once more"
            type="password"
            autoComplete="new-password"
            maxLength={PASSWORD.most}
            value={again}
            onChange={(e) => setAgain(e.target.value)}
          />
        </Fields>
        {again !== '' && !same && <p className="small">▲ The two are not the same yet.</p>}
        <ProblemNote problem={problem} fields={[{ name: 'passphrase', label: 'Passphrase' }]} />
        <Acts>
          <Button type="submit" disabled={typed.length < PASSWORD.least || !same} aria-disabled={pending}>
            Set it
          </Button>
          {has && (
            <Button variant="text" aria-disabled={pending} onClick={() => void act({})}>
              take it away
            </Button>
          )}
        </Acts>
      </form>
    </section>
  );
}
