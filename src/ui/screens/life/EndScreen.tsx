'use client';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { type Ending, ENDING_NAMES, ENDINGS, type Sign, SIGNS } from '@/core/life';
import { linkTo, linkToRun } from '@/core/links';
import { inCrib } from '@/core/stock';
import { enteredText, parseLength } from '@/core/units';
import type { AssemblyCard } from '@/crib/rack';
import type { TakeSource } from '@/crib/stock';
import { Caution } from '@/ui/kit/figure';
import { ProblemNote, SearchField, SendButton, Stepper, useVerb, Choice, Entry } from '@/ui/kit/form';
import { foundSource, sourceOf, takeables } from '@/ui/screens/common/found';
import { Middle, useLengths, useSurroundings } from '@/ui/shell';

const CAUTIONS: Partial<Record<Ending, string>> = {
  broken:
    'A cutter broken at speed throws fragments. Stop and lock out before clearing; find every fragment, a shard left in the cut breaks the next cutter.',
  chipped: 'Look with a light for chips left in the cut before the next cutter goes in.',
  crash:
    'Stop and lock out. After a crash K may be another: measure the machine and every tool that hit before the next cut.',
  'pulled-out': 'Hold every part since the last good measurement. Degrease shank and bore, torque the nut.',
};

/** Three taps at the machine: how it ended, parts since, what now. */
export function EndScreen({
  card,
  takeable,
  places,
}: {
  card: AssemblyCard;
  /** What can be taken in its place, the same cutter first. */
  takeable: TakeSource[];
  places: { code: string; name: string; kind: string }[];
}) {
  const router = useRouter();
  const { who } = useSurroundings();
  const { unit: shownUnit } = useLengths();
  const [unit] = useState(shownUnit);
  const { send, problem, pending } = useVerb('endLife');
  const [kind, setKind] = useState<Ending | null>(null);
  const [signs, setSigns] = useState<Sign[]>([]);
  const [since, setSince] = useState<Record<number, string>>({});
  const [then, setThen] = useState<'down' | 'rebuild'>('down');
  // Offered at once is the same cutter, or an older version of it that goes first; another one is chosen by name.
  const [first] = useState(() =>
    takeable.some((s) => s.item === card.cutter.code) ? foundSource(takeable[0]!) : null,
  );
  const [next, setNext] = useState(first?.value ?? '');
  const [stickout, setStickout] = useState(card.stickoutEntered);
  const [to, setTo] = useState('SCRAP');
  const [cost, setCost] = useState('');
  const [despite, setDespite] = useState('');
  const [missing, setMissing] = useState<string | null>(null);
  const [search] = useState(() => takeables('cutter', card.cutter.code));
  // One row an operation, even where a tool has two T in it.
  const operations = [...new Map(card.ties.map((t) => [t.operation, t])).values()];

  const end = async () => {
    if (!kind) return setMissing('Say how it ended.');
    if (then === 'rebuild' && !next) return setMissing('Say which cutter goes into it.');
    if (cost.trim() && !/^\d+([.,]\d{1,2})?$/.test(cost.trim()))
      return setMissing(`Cost “${cost}” is no amount: figures, and two decimals at most.`);
    setMissing(null);
    const length = parseLength(stickout, unit);
    const done = await send(
      {
        tag: card.tag,
        kind,
        signs,
        ...(cost.trim() ? { costCents: Math.round(Number(cost.trim().replace(',', '.')) * 100) } : {}),
        partsSince: operations.flatMap((o) =>
          since[o.operation]?.trim() ? [{ operation: o.operation, parts: since[o.operation]! }] : [],
        ),
        ...(kind === 'lost' ? {} : { cutterTo: to }),
        ...(then === 'rebuild'
          ? {
              rebuild: {
                cutter: sourceOf(next),
                stickout: length ? enteredText(length) : stickout,
                ...(despite.trim() ? { despite: despite.trim() } : {}),
              },
            }
          : {}),
      },
      (d) =>
        d.newTag
          ? `${card.tag} ended; ${d.newTag} is built in its place: measure it`
          : `${card.tag} ended and taken down`,
    );
    if (done)
      router.push(
        done.newTag
          ? linkTo('rack', { open: done.newTag, do: 'measure' })
          : operations[0]
            ? linkToRun(operations[0].operation)
            : '/rack',
      );
  };
  return (
    <Middle>
      <div className="hand">
        <h1>
          End the life of <span className="fig">{card.tag}</span>
        </h1>
        <div className="soft">
          {card.cutter.words} · {card.life.minutes.toFixed(1)} min in the cut so far
          {card.ties.length ? ` · ${card.ties.map((t) => `T${t.t} of ${t.job}`).join(', ')}` : ''}
        </div>
        {!who && <p className="ask">Pick your initials first: under Areas.</p>}
        {operations.map((o) => (
          <div key={o.operation}>
            <h2>Parts of {o.job} since the last log</h2>
            <Stepper
              label={`Parts of ${o.job} since the last log`}
              value={since[o.operation] ?? ''}
              onChange={(text) => setSince({ ...since, [o.operation]: text })}
            />
          </div>
        ))}
        <h2>How did it end?</h2>
        <div className="picks" role="radiogroup" aria-label="How did it end?">
          {ENDING_NAMES.map((k) => (
            <label key={k} style={{ minHeight: 44 }}>
              <input type="radio" name="kind" checked={kind === k} onChange={() => setKind(k)} />{' '}
              {ENDINGS[k].words}
            </label>
          ))}
        </div>
        {kind && CAUTIONS[kind] && <Caution>{CAUTIONS[kind]}</Caution>}
        <h2>Signs seen</h2>
        <div className="picks">
          {SIGNS.map((s) => (
            <label key={s} style={{ minHeight: 44 }}>
              <input
                type="checkbox"
                checked={signs.includes(s)}
                onChange={(e) => setSigns(e.target.checked ? [...signs, s] : signs.filter((x) => x !== s))}
              />{' '}
              {s}
            </label>
          ))}
        </div>
        <h2>What now?</h2>
        <div className="picks" role="radiogroup" aria-label="What now?">
          <label style={{ minHeight: 44 }}>
            <input type="radio" name="then" checked={then === 'down'} onChange={() => setThen('down')} /> take
            it down, holder back to its place
          </label>
          <label style={{ minHeight: 44 }}>
            <input
              type="radio"
              name="then"
              checked={then === 'rebuild'}
              onChange={() => setThen('rebuild')}
              disabled={takeable.length === 0}
            />{' '}
            another cutter into it
          </label>
        </div>
        {then === 'rebuild' && (
          <div className="fields" style={{ marginTop: 10 }}>
            <div className="field">
              <label htmlFor="next">Cutter from</label>
              <SearchField
                id="next"
                search={search}
                value={next}
                onChange={setNext}
                start={first}
                minHeight={44}
              />
            </div>
            <div className="field">
              <label htmlFor="stickout">Stickout</label>
              <Entry
                id="stickout"
                className="fig"
                value={stickout}
                onChange={(e) => setStickout(e.target.value)}
                style={{ width: '100%', minHeight: 44, fontSize: 16 }}
              />
            </div>
          </div>
        )}
        <div className="fields" style={{ marginTop: 10 }}>
          {kind !== 'lost' && (
            <div className="field">
              <label htmlFor="to">The old cutter goes to</label>
              <Choice
                id="to"
                value={to}
                onChange={(e) => setTo(e.target.value)}
                style={{ width: '100%', minHeight: 44, font: 'inherit' }}
              >
                <option value="SCRAP">scrap</option>
                {places
                  .filter((p) => inCrib(p.kind))
                  .map((p) => (
                    <option key={p.code} value={p.code}>
                      {p.code} {p.name}, to be graded
                    </option>
                  ))}
              </Choice>
            </div>
          )}
          <div className="field">
            <label htmlFor="cost">Cost of it (if known)</label>
            <Entry
              id="cost"
              className="fig"
              inputMode="decimal"
              value={cost}
              onChange={(e) => setCost(e.target.value)}
              style={{ width: '100%', minHeight: 44, fontSize: 16 }}
            />
          </div>
        </div>
        {then === 'rebuild' && problem?.problems.some((p) => p.field === 'stickout') && (
          <div className="field" style={{ marginTop: 10 }}>
            <label htmlFor="despite">A stop is judged: why build it all the same?</label>
            <Entry
              id="despite"
              value={despite}
              onChange={(e) => setDespite(e.target.value)}
              style={{ width: '100%', minHeight: 44, fontSize: 16 }}
            />
          </div>
        )}
        {missing && (
          <div className="ask stop" role="alert">
            {missing}
          </div>
        )}
        <ProblemNote problem={problem} />
        <div className="acts">
          <SendButton
            variant="contained"
            style={{ minHeight: 56, width: '100%', fontSize: 18 }}
            pending={pending}
            onSend={() => void end()}
          >
            {pending ? 'Writing …' : 'End this life'}
          </SendButton>
        </div>
        <Caution>Cutters are sharp even when worn out: hold by the shank, never on the flutes.</Caution>
      </div>
    </Middle>
  );
}
