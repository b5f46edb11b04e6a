'use client';
import Button from '@mui/material/Button';
import { type FormEvent, useState } from 'react';
import { isOne, namesOf } from '@/core/names';
import { type Role, ROLES } from '@/core/people';
import type { PeopleView } from '@/crib/people';
import { Choice, Field, Fields } from '@/ui/kit/field';
import { ProblemNote } from '@/ui/kit/form';
import { Acts, Lines } from '@/ui/kit/page';
import { useTimes } from '@/ui/shell';
import styles from './People.module.css';
import { Typed } from '@/ui/screens/common/Typed';
import { useAct } from '@/ui/screens/common/useAct';

/** Keys by which programs come in: named, for a role, ended with a tap. */
export function Keys({ keys }: { keys: NonNullable<PeopleView['keys']> }) {
  const make = useAct<{ name: string; key: string }>('keys');
  const end = useAct('keys/end');
  const { moment } = useTimes();
  const [name, setName] = useState('');
  const [role, setRole] = useState<Role>('viewer');
  const [given, setGiven] = useState<{ name: string; key: string } | null>(null);
  const submit = async (event: FormEvent) => {
    event.preventDefault();
    const made = await make.act({ name, role });
    if (!made) return;
    setGiven(made);
    setName('');
  };
  return (
    <section aria-label="Keys for programs">
      <h2>Keys for programs</h2>
      <Lines>
        {keys.length === 0 && (
          <li className="soft">None yet: a program that reads or writes here needs one.</li>
        )}
        {keys.map((k) => (
          <li key={k.id} className={k.endedAt ? 'soft' : undefined}>
            <strong>{k.name}</strong>, {ROLES[k.role].words}
            {k.verbs && `, only ${k.verbs.join(', ')}`}, made by {k.person} {moment(k.madeAt)},{' '}
            {k.endedAt
              ? `ended ${moment(k.endedAt)}`
              : k.usedAt
                ? `last used ${moment(k.usedAt)}`
                : 'never used'}
            {!k.endedAt && (
              <Button variant="text" size="small" onClick={() => void end.act({ name: k.name })}>
                end
              </Button>
            )}
          </li>
        ))}
      </Lines>
      <form onSubmit={(e) => void submit(e)}>
        <Fields style={{ maxWidth: 420 }}>
          <Typed
            label="What it is for"
            placeholder="Machine monitor"
            maxLength={40}
            value={name}
            onChange={(e) => setName(e.target.value)}
          />
          <Field>
            <label htmlFor="key-role">It may what is for</label>
            <Choice
              id="key-role"
              value={role}
              onChange={(e) => isOne(namesOf(ROLES), e.target.value) && setRole(e.target.value)}
            >
              {namesOf(ROLES).map((r) => (
                <option key={r} value={r}>
                  {ROLES[r].words}
                </option>
              ))}
            </Choice>
          </Field>
        </Fields>
        <ProblemNote
          problem={make.problem ?? end.problem}
          fields={[{ name: 'name', label: 'What it is for' }]}
        />
        <Acts>
          <Button type="submit" disabled={!name.trim()}>
            Make a key
          </Button>
        </Acts>
      </form>
      {given && (
        <div className={styles.given} role="status">
          <strong>{given.name}</strong>: <code className="fig">{given.key}</code>
          <div className="small">
            It is shown now and never again. The program sends it as <code>Authorization: Bearer …</code>
          </div>
        </div>
      )}
    </section>
  );
}
