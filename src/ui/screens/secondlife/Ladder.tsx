'use client';
import Button from '@mui/material/Button';
import { useState } from 'react';
import { GROUP_WORDS, GROUPS } from '@/core/choosing';
import type { Rung } from '@/core/life';
import { ProblemNote, SendButton, useVerb, Entry } from '@/ui/kit/form';

const SCRAP: Rung = { name: 'scrap', groups: [] };

/** All rungs but scrap, which stays as it is. */
const editable = (ladder: readonly Rung[]): Rung[] => ladder.slice(0, -1).map((r) => ({ ...r }));

/** The ladder of second lives: where a used cutter may still go, from the sharpest down. The shop's own. */
export function Ladder({ ladder }: { ladder: readonly Rung[] }) {
  const { send, problem, pending } = useVerb('setLadder');
  // Scrap is always the last: it is not edited.
  const [rungs, setRungs] = useState<Rung[]>(editable(ladder));
  const inForce = JSON.stringify(ladder);
  const [known, setKnown] = useState(inForce);
  const [sent, setSent] = useState<string | null>(null);
  if (inForce !== known) {
    // Somebody else's ladder replaces what stands here; one's own came back, and may have been changed on meanwhile.
    setKnown(inForce);
    if (inForce !== sent) setRungs(editable(ladder));
  }
  const changed = JSON.stringify([...rungs, SCRAP]) !== inForce;
  const put = (at: number, rung: Rung) => setRungs(rungs.map((r, i) => (i === at ? rung : r)));
  const swap = (at: number) =>
    setRungs(rungs.map((r, i) => (i === at ? rungs[at + 1]! : i === at + 1 ? rungs[at]! : r)));
  const save = () => {
    setSent(JSON.stringify([...rungs, SCRAP]));
    void send({ rungs: [...rungs, SCRAP] }, (d) => `the ladder has ${d.rungs.length} rungs now`);
  };
  return (
    <section style={{ maxWidth: 760 }}>
      <p className="soft">
        A used cutter is graded by the highest rung it is still good for. Choosing takes a graded one where
        the cut’s material stands on its rung; coating and substrate keep it from rungs they don’t suit.
      </p>
      <ol className="ladder">
        {rungs.map((r, i) => (
          <li key={i}>
            <Entry
              aria-label={`Rung ${i + 1}`}
              value={r.name}
              maxLength={60}
              onChange={(e) => put(i, { ...r, name: e.target.value })}
            />
            <span>
              <Button
                size="small"
                variant="text"
                disabled={i === rungs.length - 1}
                onClick={() => swap(i)}
                aria-label={`Rung ${i + 1} down`}
              >
                down
              </Button>
              <Button
                size="small"
                variant="text"
                disabled={rungs.length === 1}
                onClick={() => setRungs(rungs.filter((_, x) => x !== i))}
                aria-label={`Rung ${i + 1} away`}
              >
                away
              </Button>
            </span>
            <div className="picks" role="group" aria-label={`Rung ${i + 1} is good for`}>
              {GROUPS.map((g) => (
                <label key={g}>
                  <input
                    type="checkbox"
                    checked={r.groups.includes(g)}
                    onChange={(e) =>
                      put(i, {
                        ...r,
                        groups: GROUPS.filter((x) => (x === g ? e.target.checked : r.groups.includes(x))),
                      })
                    }
                  />{' '}
                  <span className="fig">{g}</span> {GROUP_WORDS[g]}
                </label>
              ))}
            </div>
          </li>
        ))}
        <li className="soft">scrap: good for nothing more</li>
      </ol>
      <ProblemNote problem={problem} />
      <div className="acts">
        <SendButton variant="contained" pending={pending} disabled={!changed} onSend={save}>
          {pending ? 'Writing …' : 'Set the ladder'}
        </SendButton>
        <Button onClick={() => setRungs([...rungs, { name: '', groups: [] }])} disabled={rungs.length >= 19}>
          One more rung
        </Button>
      </div>
      <p className="soft small">
        Cutters graded before keep their rung’s name; one whose rung is gone is chosen for nothing until it is
        graded anew.
      </p>
    </section>
  );
}
