'use client';
import Button from '@mui/material/Button';
import { useEffect, useRef } from 'react';
import { Controller, useFieldArray, useForm, useWatch } from 'react-hook-form';
import { type Group, GROUP_WORDS, GROUPS } from '@/core/choosing';
import type { Rung } from '@/core/life';
import { Entry, PickSome } from '@/ui/kit/field';
import { ProblemNote, SendButton, useVerb } from '@/ui/kit/form';
import { Acts } from '@/ui/kit/page';
import styles from './Ladder.module.css';

const SCRAP: Rung = { name: 'scrap', groups: [] };

/** All rungs but scrap, which stays as it is. */
const editable = (ladder: readonly Rung[]): Rung[] => ladder.slice(0, -1).map((r) => ({ ...r }));

const GroupName = ({ group }: { group: Group }) => (
  <>
    <span className="fig">{group}</span> {GROUP_WORDS[group]}
  </>
);

/** The ladder of second lives: where a used cutter may still go, from the sharpest down. The shop's own. */
export function Ladder({ ladder }: { ladder: readonly Rung[] }) {
  const { send, problem, pending, barred } = useVerb('setLadder');
  const { control, register, handleSubmit, reset } = useForm<{ rungs: Rung[] }>({
    defaultValues: { rungs: editable(ladder) },
  });
  const { fields, append, remove, swap } = useFieldArray({ control, name: 'rungs' });
  const inForce = JSON.stringify(ladder);
  const known = useRef(inForce);
  const sent = useRef<string | null>(null);
  useEffect(() => {
    if (inForce === known.current) return;
    // Somebody else's ladder replaces what stands here; one's own came back, and may have been changed on meanwhile.
    known.current = inForce;
    if (inForce !== sent.current) reset({ rungs: editable(ladder) });
  }, [inForce, ladder, reset]);
  const rungs = useWatch({ control, name: 'rungs' });
  // Scrap is always the last: it is not edited.
  const changed = JSON.stringify([...rungs, SCRAP]) !== inForce;
  const save = (texts: { rungs: Rung[] }) => {
    const rungs = [...texts.rungs, SCRAP];
    sent.current = JSON.stringify(rungs);
    void send({ rungs }, (d) => `the ladder has ${d.rungs.length} rungs now`);
  };
  return (
    <section style={{ maxWidth: 760 }}>
      <p className="soft">
        A used cutter is graded by the highest rung it is still good for. Choosing takes a graded one where
        the cut’s material stands on its rung; coating and substrate keep it from rungs they don’t suit.
      </p>
      <ol className={styles.ladder}>
        {fields.map((field, i) => (
          <li key={field.id}>
            <Entry
              style={{ width: 320 }}
              aria-label={`Rung ${i + 1}`}
              maxLength={60}
              {...register(`rungs.${i}.name`)}
            />
            <span>
              <Button
                size="small"
                variant="text"
                disabled={i === fields.length - 1}
                onClick={() => swap(i, i + 1)}
                aria-label={`Rung ${i + 1} down`}
              >
                down
              </Button>
              <Button
                size="small"
                variant="text"
                disabled={fields.length === 1}
                onClick={() => remove(i)}
                aria-label={`Rung ${i + 1} away`}
              >
                away
              </Button>
            </span>
            <Controller
              name={`rungs.${i}.groups`}
              control={control}
              render={({ field: groups }) => (
                <PickSome
                  label={`Rung ${i + 1} is good for`}
                  options={GROUPS.map((g) => [g, <GroupName key={g} group={g} />] as const)}
                  value={groups.value}
                  onChange={groups.onChange}
                />
              )}
            />
          </li>
        ))}
        <li className="soft">scrap: good for nothing more</li>
      </ol>
      <ProblemNote problem={problem} />
      <Acts>
        <SendButton
          variant="contained"
          pending={pending}
          barred={barred}
          disabled={!changed}
          onSend={() => void handleSubmit(save)()}
        >
          {pending ? 'Writing …' : 'Set the ladder'}
        </SendButton>
        <Button onClick={() => append({ name: '', groups: [] })} disabled={fields.length >= 19}>
          One more rung
        </Button>
      </Acts>
      <p className="soft small">
        Cutters graded before keep their rung’s name; one whose rung is gone is chosen for nothing until it is
        graded anew.
      </p>
    </section>
  );
}
