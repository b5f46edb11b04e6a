'use client';
import Button from '@mui/material/Button';
import dynamic from 'next/dynamic';
import { useState } from 'react';
import { mayDo, type Role, ROLES } from '@/core/people';
import { namesOf } from '@/core/names';
import type { PeopleView } from '@/crib/people';
import { ProblemNote, VerbForm } from '@/ui/kit/form';
import { Acts } from '@/ui/kit/page';
import { Tag } from '@/ui/kit/tag';
import { useTimes } from '@/ui/shell';
import styles from './People.module.css';
import { useAct } from '@/ui/screens/common/useAct';

// Few ever print a badge.
const Code = dynamic(() => import('./BadgeCode').then((m) => m.BadgeCode), { ssr: false });

/** One person: what they are here for, and what they are given to sign with. */
export function PersonTag({
  person,
  role,
  closeHref,
}: {
  person: PeopleView['people'][number];
  /** Of whoever looks. */
  role: Role;
  closeHref: string;
}) {
  const code = useAct<{ code: string; until: string }>('people/codes');
  const badge = useAct<{ badge: string }>('people/badges');
  const lock = useAct('people/locked');
  const [given, setGiven] = useState<{ code?: string; until?: string; badge?: string } | null>(null);
  const { moment } = useTimes();
  const { initials, signing } = person;
  const owner = role === 'owner';
  return (
    <Tag over="Person" number={initials} words={person.name} closeHref={closeHref}>
      <p>
        {person.role
          ? `Here as ${ROLES[person.role].words}: ${ROLES[person.role].does}.`
          : 'Nobody has said what they are here for: they do not sign in.'}
      </p>
      {owner && (
        <VerbForm
          key={person.role}
          verb="setRole"
          fixed={{ person: initials }}
          submit="Say so"
          fields={[
            {
              name: 'role',
              label: 'Here as',
              kind: 'choice',
              wide: true,
              start: person.role ?? '',
              options: namesOf(ROLES).map((r) => [r, ROLES[r].words] as const),
            },
          ]}
          said={(d) => `${initials} is here as ${d.role}`}
        />
      )}
      {mayDo(role, ['crib']) && person.role && person.inUse && (
        <>
          <h2>To sign with</h2>
          <Acts>
            {owner && (
              <Button onClick={() => void code.act({ person: initials }).then(setGiven)}>
                {signing?.hasPassword ? 'Code for a new password' : 'Code to come in with'}
              </Button>
            )}
            <Button onClick={() => void badge.act({ person: initials }).then(setGiven)}>
              {signing?.hasBadge ? 'A new badge' : 'Make a badge'}
            </Button>
            {owner && (
              <Button color="error" variant="text" onClick={() => void lock.act({ person: initials })}>
                End all they sign with
              </Button>
            )}
          </Acts>
          <ProblemNote problem={code.problem ?? badge.problem ?? lock.problem} />
          {given?.code && given.until && (
            <div className={styles.given} role="status">
              <strong className="fig">{given.code}</strong>
              <div className="small">
                Give it to {person.name}: at the sign-in, under “I have a code”, it sets their password, once,
                until {moment(given.until)}. It is shown now and never again.
              </div>
            </div>
          )}
          {given?.badge && (
            <div className={styles.given} role="status">
              <Code text={given.badge} />
              <strong className="fig">{given.badge}</strong>
              <div className="small">
                Print it now: it is shown once. Whoever holds it signs as {initials}; a badge made before
                counts no more.
              </div>
              <Acts>
                <Button onClick={() => print()}>Print</Button>
              </Acts>
            </div>
          )}
        </>
      )}
      <p className="soft small">
        Gone? Take them out of use under Machines, people and places: they sign in no more, their keys die,
        and what they signed stays signed.
      </p>
    </Tag>
  );
}
