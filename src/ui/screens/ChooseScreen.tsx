'use client';
import { linkTo } from '@/core/links';
import Button from '@mui/material/Button';
import Link from 'next/link';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import {
  CUT_FIELD_NAMES,
  CUT_FIELDS,
  FEATURE_NAMES,
  FEATURES,
  GROUP_WORDS,
  GROUPS,
  REASON_NAMES,
  REASONS,
  type ChoosingRules,
  type CutField,
  type Feature,
} from '@/core/choosing';
import type { ChooseView } from '@/crib/choosing';
import { VerbForm } from '../form';
import { Middle, useLengths } from '../shell';
import { Tag } from '../tag';
import { useQuery } from './query';

interface Field {
  name: CutField;
  label: string;
  kind: 'length' | 'text' | 'degrees';
}
/** What a feature is bound by, in the order of the drawing. */
const fieldsOf = (feature: Feature): Field[] =>
  FEATURES[feature].asks.map((name) => ({
    name,
    label: (name === 'width' ? FEATURES[feature].width : undefined) ?? CUT_FIELDS[name].words,
    kind: CUT_FIELDS[name].kind,
  }));

/** Describing a cut, and the cutters that do it: on hand first, with reasons; those that fail, by how much. */
export function ChooseScreen({
  view,
  rules,
  problem,
}: {
  view: ChooseView | null;
  rules: ChoosingRules;
  problem: string | null;
}) {
  const query = useQuery('choose');
  return (
    <Middle beside={query.get('show') === 'rules' ? <RulesTag rules={rules} /> : <CutTag />}>
      <div className="head">
        <div>
          <h1>Choose by the cut</h1>
          <div className="soft">Say what the drawing asks for; what is on the shelf comes first.</div>
        </div>
        <div className="acts">
          <Button
            component={Link}
            href={query.href({ show: query.get('show') === 'rules' ? null : 'rules' })}
            scroll={false}
          >
            {query.get('show') === 'rules' ? 'Back to the cut' : 'How it is ranked'}
          </Button>
        </div>
      </div>
      {problem && (
        <div className="ask stop" role="alert">
          {problem}
        </div>
      )}
      {!view && !problem && (
        <div className="empty">
          A wall 10 mm deep asks for 10 mm of reach; an inside corner of 4 mm for a cutter of at most 8.
          Describe the cut beside, and every cutter says whether it can, or by how much it can’t.
        </div>
      )}
      {view?.kit && <Kit view={view} />}
      {view && <Fitting view={view} />}
      {view && view.rejected.length > 0 && <Rejected view={view} />}
    </Middle>
  );
}

/** The description of the cut; it stands in the address, so that it can be sent or kept. */
function CutTag() {
  const query = useQuery('choose');
  const router = useRouter();
  const { unit, unitWord } = useLengths();
  const [texts, setTexts] = useState<Record<string, string>>(() =>
    Object.fromEntries(
      (['feature', 'group', 'plunge', ...CUT_FIELD_NAMES] as const).map((n) => [n, query.get(n) ?? '']),
    ),
  );
  const set = (name: string) => (e: React.ChangeEvent<HTMLInputElement | HTMLSelectElement>) =>
    setTexts({ ...texts, [name]: e.target.value });
  const feature = (texts.feature || 'pocket') as Feature;
  const fields = fieldsOf(feature);
  const find = (e: React.FormEvent) => {
    e.preventDefault();
    const address = new URLSearchParams({ feature });
    if (texts.group) address.set('group', texts.group);
    if (texts.plunge === 'yes') address.set('plunge', 'yes');
    for (const f of fields) {
      const text = texts[f.name]!.trim();
      if (text)
        address.set(
          f.name,
          f.kind === 'length' && unit === 'inch' && !/[a-z"]/i.test(text) ? `${text} in` : text,
        );
    }
    router.push(`/choose?${address}`);
  };
  return (
    <Tag over="The cut" number={FEATURES[feature].words} closeHref="/cutters">
      <form onSubmit={find}>
        <div className="fields">
          <div className="field">
            <label htmlFor="feature">What is cut</label>
            <select id="feature" className="plain" value={feature} onChange={set('feature')}>
              {FEATURE_NAMES.map((f) => (
                <option key={f} value={f}>
                  {FEATURES[f].words}
                </option>
              ))}
            </select>
          </div>
          <div className="field">
            <label htmlFor="group">Material, ISO 513</label>
            <select id="group" className="plain" value={texts.group} onChange={set('group')}>
              <option value="">any</option>
              {GROUPS.map((g) => (
                <option key={g} value={g}>
                  {g} {GROUP_WORDS[g]}
                </option>
              ))}
            </select>
          </div>
          {fields.map((f) => (
            <div className="field" key={f.name}>
              <label htmlFor={f.name}>
                {f.label}
                {f.kind === 'length' ? `, ${unitWord}` : ''}
              </label>
              <input
                id={f.name}
                className="plain fig"
                style={{ width: '100%' }}
                inputMode={f.kind === 'text' ? undefined : 'decimal'}
                value={texts[f.name]}
                onChange={set(f.name)}
              />
            </div>
          ))}
          {FEATURES[feature].milled && (
            <div className="field">
              <label>
                <input
                  type="checkbox"
                  checked={texts.plunge === 'yes'}
                  onChange={(e) => setTexts({ ...texts, plunge: e.target.checked ? 'yes' : '' })}
                />{' '}
                must plunge
              </label>
            </div>
          )}
        </div>
        <div className="acts">
          <Button type="submit" variant="contained">
            Find cutters
          </Button>
        </div>
      </form>
      <p className="soft small">
        A field left blank bounds nothing. Reach, corner and clearance are judged by the cutter alone: look at
        the holder beside the wall yourself.
      </p>
    </Tag>
  );
}

const AVAILABLE = {
  'on hand': '● on hand',
  graded: '◐ graded',
  built: '◆ built',
  'to buy': '○ to buy',
} as const;

function Fitting({ view }: { view: ChooseView }) {
  const to = (code: string) => linkTo('cutters', { open: code });
  if (!view.fit.length)
    return (
      <>
        <h2>None fits</h2>
        <p>The nearest misses stand below, each with by how much.</p>
      </>
    );
  return (
    <>
      <h2>Fits</h2>
      <table className="list">
        <thead>
          <tr>
            <th>Where</th>
            <th>Cutter</th>
            <th>Speaks for it</th>
            <th className="num">Points</th>
          </tr>
        </thead>
        <tbody>
          {view.fit.map((c) => (
            <tr key={c.code}>
              <td style={{ whiteSpace: 'nowrap' }}>
                {AVAILABLE[c.availability]}
                {c.take.length > 0 && <div className="soft small fig">{c.take.slice(0, 3).join(' ')}</div>}
              </td>
              <td>
                <Link className="fig" href={to(c.code)}>
                  {c.code}
                </Link>
                <div className="soft small">{c.words}</div>
                {c.open.length > 0 && (
                  <div className="small">
                    <strong>▲ not judged:</strong> {c.open.join(', ')}
                  </div>
                )}
              </td>
              <td className="small">
                {c.reasons.map((r) => (
                  <div key={r.reason} title={REASONS[r.reason]}>
                    {r.words} <span className="soft fig">+{r.points}</span>
                  </div>
                ))}
              </td>
              <td className="num fig">{Math.round(c.score * 10) / 10}</td>
            </tr>
          ))}
        </tbody>
      </table>
    </>
  );
}

function Rejected({ view }: { view: ChooseView }) {
  return (
    <>
      <h2>Can’t</h2>
      <table className="list">
        <tbody>
          {view.rejected.map((c) => (
            <tr key={c.code}>
              <td>
                <Link className="fig" href={linkTo('cutters', { open: c.code })}>
                  {c.code}
                </Link>
                <div className="soft small">{c.words}</div>
              </td>
              <td>■ {c.fails.join('; ')}</td>
            </tr>
          ))}
        </tbody>
      </table>
      {view.rejectedMore > 0 && <p className="soft small">and {view.rejectedMore} more</p>}
      {view.notLookedAt && (
        <p className="soft small">
          Judged were those nearest to the size that is asked for, what lies on the shelf first. Others of
          these families are further off: say more of the cut to be led to them.
        </p>
      )}
    </>
  );
}

function Kit({ view }: { view: ChooseView }) {
  return (
    <>
      <h2>The kit for it</h2>
      <table className="list">
        <thead>
          <tr>
            <th>Step</th>
            <th>Wanted</th>
            <th>Here</th>
          </tr>
        </thead>
        <tbody>
          {view.kit!.map((s, i) => (
            <tr key={`${s.step} ${i}`}>
              <td>{s.step}</td>
              <td>
                {s.wanted}
                <div className="soft small">{s.because}</div>
              </td>
              <td>
                {s.missing ? (
                  <strong style={{ color: 'var(--rust)' }}>
                    ■ missing{s.choices.length ? `: buy ${s.choices[0]!.code}` : ''}
                  </strong>
                ) : (
                  s.choices.slice(0, 3).map((c) => (
                    <div key={c.code}>
                      <Link className="fig" href={linkTo('cutters', { open: c.code })}>
                        {c.code}
                      </Link>{' '}
                      <span className="soft small">{AVAILABLE[c.availability]}</span>
                    </div>
                  ))
                )}
              </td>
            </tr>
          ))}
        </tbody>
      </table>
    </>
  );
}

function RulesTag({ rules }: { rules: ChoosingRules }) {
  const query = useQuery('choose');
  return (
    <Tag over="How it is ranked" number="rules" closeHref={query.href({ show: null })}>
      <p className="soft small">
        What is on hand comes first, then graded, built, to buy. Within each, points are a share from 0 to 1
        times these weights. They are the shop’s own: change them, and see what it does.
      </p>
      <VerbForm
        key={JSON.stringify(rules)}
        verb="setChoosingRules"
        submit="Set the rules"
        fields={[
          ...REASON_NAMES.map((r) => ({
            name: `weights.${r}`,
            label: REASONS[r],
            kind: 'number' as const,
            start: String(rules.weights[r]),
            wide: true,
          })),
          { name: 'l1', label: 'Where people differ', kind: 'legend' as const },
          {
            name: 'bulk',
            label: 'The bulk is taken by',
            kind: 'choice' as const,
            options: [
              ['indexable first', 'indexable cutters first'],
              ['solid first', 'solid cutters first'],
            ] as const,
            start: rules.bulk,
          },
          {
            name: 'finishing',
            label: 'Roughing and finishing',
            kind: 'choice' as const,
            options: [
              ['kept apart', 'by separate cutters'],
              ['one for both', 'by one cutter'],
            ] as const,
            start: rules.finishing,
          },
          { name: 'l2', label: 'Flutes by material, fewest and most', kind: 'legend' as const },
          ...GROUPS.flatMap((g) =>
            ([0, 1] as const).map((i) => ({
              name: `flutes.${g}.${i}`,
              label: `${g} ${GROUP_WORDS[g]}, ${i === 0 ? 'fewest' : 'most'}`,
              kind: 'whole' as const,
              start: rules.flutes[g] ? String(rules.flutes[g][i]) : '',
              optional: true,
            })),
          ),
        ]}
        shape={(input) => ({ ...input, flutes: pairs(input.flutes) })}
        said={() => 'rules for choosing set'}
      />
    </Tag>
  );
}

/** { N: { 0: '2', 1: '3' } } as the form nests it becomes { N: ['2', '3'] }; half a pair is left out. */
function pairs(nested: unknown): Record<string, string[]> {
  return Object.fromEntries(
    Object.entries((nested ?? {}) as Record<string, Record<string, string>>)
      .filter(([, p]) => p['0'] !== undefined && p['1'] !== undefined)
      .map(([g, p]) => [g, [p['0']!, p['1']!]]),
  );
}
