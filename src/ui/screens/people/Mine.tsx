'use client';
import Button from '@mui/material/Button';
import { type FormEvent, type ReactNode, useState } from 'react';
import { mayDo, PASSWORD, PIN_DIGITS, type Role } from '@/core/people';
import type { ProblemDocument } from '@/crib/door';
import type { PeopleView } from '@/crib/people';
import { ProblemNote } from '@/ui/kit/form';
import { Acts, Lines } from '@/ui/kit/page';
import { useSurroundings, useTimes } from '@/ui/shell';
import styles from './People.module.css';
import { Typed } from '@/ui/screens/common/Typed';
import { useAct } from '@/ui/screens/common/useAct';

type Me = NonNullable<PeopleView['me']>;

/** One's own: password, PIN, and where one is signed in. */
export function Mine({ me, role }: { me: Me; role: Role }) {
  return (
    <section aria-label="You">
      <h2>You, {me.name}</h2>
      <div className={styles.two}>
        <SignIns me={me} />
        <div>
          <SetPin me={me} />
          {me.hasPassword && <SetPassword />}
          {mayDo(role, ['crib']) && <ShareScreen />}
        </div>
      </div>
    </section>
  );
}

/** A form of one act: its title, its fields, what went wrong, its button. */
function OwnForm({
  title,
  submit,
  act: { pending, problem },
  names,
  disabled,
  onSend,
  children,
}: {
  title: string;
  submit: string;
  act: { pending: boolean; problem: ProblemDocument | null };
  /** Fields by the names the act has for them. */
  names: readonly { name: string; label: string }[];
  disabled?: boolean;
  onSend: () => Promise<void>;
  children: ReactNode;
}) {
  const send = (event: FormEvent) => {
    event.preventDefault();
    void onSend();
  };
  return (
    <form onSubmit={send}>
      <h3>{title}</h3>
      {children}
      <ProblemNote problem={problem} fields={names} />
      <Acts>
        <Button type="submit" disabled={disabled} aria-disabled={pending}>
          {submit}
        </Button>
      </Acts>
    </form>
  );
}

function SignIns({ me }: { me: Me }) {
  const { act, problem } = useAct('people/sessions/end');
  const { moment } = useTimes();
  const others = me.sessions.filter((s) => !s.this);
  return (
    <div>
      <h3>Signed in at</h3>
      <Lines>
        {me.sessions.map((s) => (
          <li key={s.id}>
            {s.device}, last used <span className="fig">{moment(s.usedAt)}</span>
            {s.shared && ', a screen of many hands'}
            {s.this ? (
              ' · this one'
            ) : (
              <Button variant="text" size="small" onClick={() => void act({ session: s.id })}>
                end
              </Button>
            )}
          </li>
        ))}
      </Lines>
      {others.length > 0 && <Button onClick={() => void act({})}>End all but this one</Button>}
      <ProblemNote problem={problem} />
    </div>
  );
}

function SetPin({ me }: { me: Me }) {
  const pinAct = useAct('people/pin');
  const { say } = useSurroundings();
  const [pin, setPin] = useState('');
  const [old, setOld] = useState('');
  const send = async () => {
    if (!(await pinAct.act({ pin, ...(me.hasPassword ? { old } : {}) }))) return;
    setPin('');
    setOld('');
    say('your PIN is set');
  };
  return (
    <OwnForm
      title={`${me.hasPin ? 'A new PIN' : 'A PIN'}, for screens of many hands`}
      submit="Set the PIN"
      act={pinAct}
      names={[
        { name: 'pin', label: 'PIN' },
        { name: 'old', label: 'Your password' },
      ]}
      onSend={send}
    >
      <Typed
        label={`PIN, ${PIN_DIGITS} digits`}
        type="password"
        inputMode="numeric"
        autoComplete="off"
        maxLength={PIN_DIGITS}
        value={pin}
        onChange={(e) => setPin(e.target.value)}
      />
      {me.hasPassword && (
        <Typed
          label="Your password"
          type="password"
          autoComplete="current-password"
          value={old}
          onChange={(e) => setOld(e.target.value)}
        />
      )}
    </OwnForm>
  );
}

function SetPassword() {
  const passwordAct = useAct('people/password');
  const { say } = useSurroundings();
  const [old, setOld] = useState('');
  const [password, setPassword] = useState('');
  const send = async () => {
    if (!(await passwordAct.act({ old, password }))) return;
    setOld('');
    setPassword('');
    say('your password is set, and all your other sign-ins have ended');
  };
  return (
    <OwnForm
      title="Another password"
      submit="Change it"
      act={passwordAct}
      names={[
        { name: 'old', label: 'The one now' },
        { name: 'password', label: 'The new one' },
      ]}
      onSend={send}
    >
      <Typed
        label="The one now"
        type="password"
        autoComplete="current-password"
        value={old}
        onChange={(e) => setOld(e.target.value)}
      />
      <Typed
        label={`The new one, ${PASSWORD.least} characters or more`}
        type="password"
        autoComplete="new-password"
        value={password}
        onChange={(e) => setPassword(e.target.value)}
      />
    </OwnForm>
  );
}

function ShareScreen() {
  const share = useAct('people/shared-screens');
  const [name, setName] = useState('');
  return (
    <OwnForm
      title="This screen for many hands"
      submit="Make it one"
      act={share}
      names={[{ name: 'name', label: 'What it is called' }]}
      disabled={!name.trim()}
      onSend={async () => void (await share.act({ name }))}
    >
      <p className="soft small">
        At a hatch or a machine: it shows the crib to whoever stands there, and each signs by badge or PIN.
        You are signed out of it.
      </p>
      <Typed
        label="What it is called"
        placeholder="Hatch"
        maxLength={40}
        value={name}
        onChange={(e) => setName(e.target.value)}
      />
    </OwnForm>
  );
}
