'use client';
import Button from '@mui/material/Button';
import { type FormEvent, type ReactNode, useState, useSyncExternalStore } from 'react';
import { PASSWORD, type Role, ROLES } from '@/core/people';
import { ProblemNote } from '@/ui/kit/form';
import { useAlive } from '@/ui/shell';
import styles from './People.module.css';
import { Typed } from '@/ui/screens/common/Typed';
import { useAct } from '@/ui/screens/common/useAct';

interface SignInProps {
  /** Where they wanted to go. */
  next: string;
  /** The demo's people; null: this is no demo. */
  demo: { initials: string; name: string; role: Role }[] | null;
  /** Nobody owns the crib yet. */
  first: boolean;
}

/** A code in the address, behind its #, which no browser sends anywhere: it stands in no log. */
const codeInAddress = (): string | null => /^#code=([\w-]+)$/.exec(location.hash)?.[1] ?? null;
function onAddress(changed: () => void): () => void {
  addEventListener('hashchange', changed);
  return () => removeEventListener('hashchange', changed);
}

/** The door: who are you? By password, by a code that sets one, or, in the demo, by one tap. */
export function SignInScreen({ next, demo, first }: SignInProps) {
  useAlive();
  // The whole page anew: nothing drawn for nobody stays.
  const go = () => location.assign(next);
  const code = useSyncExternalStore(onAddress, codeInAddress, () => null);
  const [chosen, setChosen] = useState<'password' | 'code' | null>(null);
  const by = chosen ?? (code !== null || first ? 'code' : 'password');
  return (
    <main className={styles.door} id="middle">
      <div className={styles.sheet}>
        <span className={styles.hole} aria-hidden="true" />
        <h1>Stable</h1>
        {demo ? (
          <DemoPeople people={demo} onIn={go} />
        ) : by === 'code' ? (
          <ByCode key={code} code={code} first={first} onIn={go}>
            {!first && (
              <Button variant="text" onClick={() => setChosen('password')}>
                I have a password
              </Button>
            )}
          </ByCode>
        ) : (
          <ByPassword onIn={go}>
            <Button variant="text" onClick={() => setChosen('code')}>
              I have a code
            </Button>
          </ByPassword>
        )}
      </div>
    </main>
  );
}

function DemoPeople({ people, onIn }: { people: NonNullable<SignInProps['demo']>; onIn: () => void }) {
  const { act, pending, problem } = useAct('sign-in/demo');
  return (
    <>
      <p>The demo shop. Whom do you want to be?</p>
      <ul className={styles.demo}>
        {people.map((p) => (
          <li key={p.initials}>
            <Button
              fullWidth
              disabled={pending}
              onClick={() => void act({ who: p.initials }).then((done) => done && onIn())}
            >
              <strong className="fig">{p.initials}</strong>
              <span className={styles.who}>
                {p.name}, {ROLES[p.role].words}
                <span className="soft small">{ROLES[p.role].does}</span>
              </span>
            </Button>
          </li>
        ))}
      </ul>
      <ProblemNote problem={problem} />
    </>
  );
}

function ByPassword({ onIn, children }: { onIn: () => void; children: ReactNode }) {
  const { act, pending, problem } = useAct('sign-in');
  const [who, setWho] = useState('');
  const [password, setPassword] = useState('');
  const submit = (event: FormEvent) => {
    event.preventDefault();
    void act({ who: who.trim().toUpperCase(), password }).then((done) => done && onIn());
  };
  return (
    <form onSubmit={submit}>
      <Typed
        label="Initials"
        autoComplete="username"
        autoFocus
        value={who}
        onChange={(e) => setWho(e.target.value)}
      />
      <Secret label="Password" autoComplete="current-password" value={password} onChange={setPassword} />
      <ProblemNote problem={problem} fields={FIELDS} />
      <div className={styles.acts}>
        <Button type="submit" variant="contained" aria-disabled={pending}>
          {pending ? 'Looking …' : 'Sign in'}
        </Button>
        {children}
      </div>
    </form>
  );
}

const FIELDS = [
  { name: 'who', label: 'Initials' },
  { name: 'password', label: 'Password' },
  { name: 'code', label: 'Code' },
  { name: 'name', label: 'Name' },
];

function ByCode({
  code: given,
  first,
  onIn,
  children,
}: {
  code: string | null;
  first: boolean;
  onIn: () => void;
  children: ReactNode;
}) {
  const { act, pending, problem } = useAct('sign-in/code');
  const [typed, setTyped] = useState({ code: given ?? '', who: '', name: '', password: '' });
  const put = (field: keyof typeof typed) => (value: string) => setTyped((t) => ({ ...t, [field]: value }));
  const submit = (event: FormEvent) => {
    event.preventDefault();
    const { code, password } = typed;
    const owner = first ? { who: typed.who.trim().toUpperCase(), name: typed.name } : {};
    void act({ code: code.trim(), password, ...owner }).then((done) => done && onIn());
  };
  return (
    <form onSubmit={submit}>
      <p>
        {first
          ? 'Nobody owns this crib yet. The code stands where Stable was started: in its window, or in its log.'
          : 'The code an owner gave you sets your password, once.'}
      </p>
      <Typed
        label="Code"
        autoComplete="one-time-code"
        autoFocus={given === null}
        spellCheck={false}
        value={typed.code}
        onChange={(e) => put('code')(e.target.value)}
      />
      {first && (
        <>
          <Typed
            label="Your initials"
            autoComplete="username"
            value={typed.who}
            onChange={(e) => put('who')(e.target.value)}
          />
          <Typed
            label="Your name"
            autoComplete="name"
            value={typed.name}
            onChange={(e) => put('name')(e.target.value)}
          />
        </>
      )}
      <Secret
        label={`A password of your own, ${PASSWORD.least} characters or more`}
        autoComplete="new-password"
        value={typed.password}
        onChange={put('password')}
      />
      <p className="soft small">
        Three or four words that only you would put together. Blanks are welcome; no rule asks for signs.
      </p>
      <ProblemNote problem={problem} fields={FIELDS} />
      <div className={styles.acts}>
        <Button type="submit" variant="contained" aria-disabled={pending}>
          {pending ? 'Setting …' : first ? 'Become the owner' : 'Set it and sign in'}
        </Button>
        {children}
      </div>
    </form>
  );
}

/** A password, which may be looked at while it is typed (NIST SP 800-63B-4, 3.1.1.2). */
function Secret({
  label,
  value,
  autoComplete,
  onChange,
}: {
  label: string;
  value: string;
  autoComplete: string;
  onChange: (value: string) => void;
}) {
  const [shown, setShown] = useState(false);
  return (
    <div className={styles.secret}>
      <Typed
        label={label}
        type={shown ? 'text' : 'password'}
        autoComplete={autoComplete}
        value={value}
        onChange={(e) => onChange(e.target.value)}
      />
      <Button variant="text" size="small" aria-pressed={shown} onClick={() => setShown(!shown)}>
        {shown ? 'Hide' : 'Show'}
      </Button>
    </div>
  );
}
