'use client';
import Button from '@mui/material/Button';
import Link from 'next/link';
import { useRouter } from 'next/navigation';
import { useRef, useState } from 'react';
import { SYMBOLS } from '@/core/cutters';
import type { ProblemDocument } from '@/crib/door';
import type { ExchangeView, Preview } from '@/crib/exchange';
import { FileButton, ProblemNote, SendButton, base64, post, useSendOnce } from '../form';
import { Middle, useSurroundings, useTimes } from '../shell';
import { EntryBack } from './EntryBack';

/** Columns that are no facts, as docs/formats.md has them. */
const PLAIN = [
  'code',
  'kind',
  'family',
  'maker',
  'supplier',
  'order_code',
  'price',
  'pack',
  'minimum',
  'life_minutes',
];
const SHOWN = 60;

interface Chosen {
  name: string;
  content: string;
}
/** Lists in and out: what would change is shown before anything does, then it is all or nothing. */
export function ExchangeScreen({ view }: { view: ExchangeView }) {
  const { who, say } = useSurroundings();
  const { moment } = useTimes();
  const router = useRouter();
  const [chosen, setChosen] = useState<Chosen | null>(null);
  const [preview, setPreview] = useState<Preview | null>(null);
  const [mapping, setMapping] = useState<Record<string, string | null>>({});
  const [problem, setProblem] = useState<ProblemDocument | null>(null);
  const [busy, setBusy] = useState<string | null>(null);
  const { once } = useSendOnce();
  const cancel = useRef<AbortController | null>(null);

  const look = async (list: Chosen, map: Record<string, string | null>) => {
    setBusy('Reading the list …');
    setProblem(null);
    cancel.current = new AbortController();
    const answer = await post<Preview>(
      '/api/v1/items/import-preview',
      { content: list.content, mapping: map },
      cancel.current.signal,
    );
    const stopped = cancel.current.signal.aborted;
    setBusy(null);
    if (stopped) return;
    if (answer.ok) setPreview(answer.value);
    else {
      setPreview(null);
      setProblem(answer.problem);
    }
  };
  const choose = async (file: File) => {
    const list = { name: file.name, content: await base64(file) };
    setChosen(list);
    setPreview(null);
    await look(list, mapping);
  };
  const say_ = (header: string, meaning: string) => {
    const next = { ...mapping, [header]: meaning === '-' ? null : meaning };
    setMapping(next);
    if (chosen && meaning) void look(chosen, next);
  };
  const accept = async () => {
    if (!chosen || !preview) return;
    setBusy('Bringing it in …');
    const answer = await once((formId) =>
      post<{ added: number; changed: number }>('/api/v1/items/imported', {
        ...chosen,
        mapping,
        accepted: preview.digest,
        formId,
        who,
      }),
    );
    setBusy(null);
    if (!answer) return;
    if (!answer.ok) return setProblem(answer.problem);
    setProblem(null);
    setPreview(null);
    setChosen(null);
    say(`${answer.value.added} new and ${answer.value.changed} changed from ${chosen.name}`);
    router.refresh();
  };
  return (
    <Middle>
      <div className="head">
        <div>
          <h1>Lists in and out</h1>
          <div className="soft">
            CSV, XLSX or JSON, with ISO 13399 symbols as headers.{' '}
            <Link href="/cutters">Back to the catalogue</Link>
          </div>
        </div>
      </div>
      <h2>Out</h2>
      <p>
        The whole catalogue as{' '}
        {(['csv', 'xlsx', 'json'] as const).map((f, i) => (
          <span key={f}>
            {i > 0 && ', '}
            <a href={`/api/v1/items.${f}`} download>
              {f.toUpperCase()}
            </a>
          </span>
        ))}
        . What is found in the catalogue goes out by the same words: look for something there first.
      </p>
      <h2>In</h2>
      <p className="soft small">
        Nothing reaches the catalogue until you accept what is shown. A cell left blank changes nothing.
      </p>
      <div className="acts" style={{ alignItems: 'center' }}>
        <FileButton
          words="Choose a list"
          label="A list to bring in"
          accept=".csv,.txt,.xlsx,.json"
          main
          busy={busy !== null}
          onFile={(file) => void choose(file)}
        />
        {chosen && <strong>{chosen.name}</strong>}
        {busy && (
          <span role="status">
            {busy}{' '}
            {busy.startsWith('Reading') && (
              <button type="button" className="link" onClick={() => cancel.current?.abort()}>
                stop
              </button>
            )}
          </span>
        )}
      </div>
      <ProblemNote problem={problem} />
      {preview && (
        <>
          {preview.unknown.length > 0 && <Unknown headers={preview.unknown} mapping={mapping} onSay={say_} />}
          <Outcome preview={preview} />
          <div className="acts">
            <SendButton
              variant="contained"
              onSend={() => void accept()}
              pending={busy !== null}
              disabled={!preview.added.length && !preview.changed.length}
            >
              Bring in {preview.added.length} new and {preview.changed.length} changed
            </SendButton>
            <Button
              onClick={() => {
                setPreview(null);
                setChosen(null);
              }}
            >
              Leave it
            </Button>
          </div>
        </>
      )}
      {view.imports.length > 0 && (
        <>
          <h2>Came in</h2>
          <table className="list">
            <thead>
              <tr>
                <th>When</th>
                <th>List</th>
                <th className="num">New</th>
                <th className="num">Changed</th>
                <th>Who</th>
                <th></th>
              </tr>
            </thead>
            <tbody>
              {view.imports.map((i) => (
                <tr key={i.entryId}>
                  <td>{moment(i.happenedAt)}</td>
                  <td>{i.name}</td>
                  <td className="num fig">{i.added}</td>
                  <td className="num fig">{i.changed}</td>
                  <td>{i.who}</td>
                  <td>
                    <EntryBack entry={i.entryId} what={`the list ${i.name}`} />
                  </td>
                </tr>
              ))}
            </tbody>
          </table>
        </>
      )}
    </Middle>
  );
}

function Unknown({
  headers,
  mapping,
  onSay,
}: {
  headers: string[];
  mapping: Record<string, string | null>;
  onSay: (header: string, meaning: string) => void;
}) {
  return (
    <div className="ask">
      <strong>
        {headers.length} column{headers.length === 1 ? '' : 's'} of unknown meaning: left out until you say
        what {headers.length === 1 ? 'it is' : 'they are'}.
      </strong>{' '}
      It is remembered for the next list.
      {headers.slice(0, 30).map((h) => (
        <div key={h} style={{ marginTop: 6 }}>
          <label>
            <span className="fig">{h}</span>{' '}
            <select
              className="plain"
              value={mapping[h] === null ? '-' : (mapping[h] ?? '')}
              onChange={(e) => onSay(h, e.target.value)}
            >
              <option value="">what is it?</option>
              <option value="-">leave it out</option>
              {PLAIN.map((p) => (
                <option key={p} value={p}>
                  {p}
                </option>
              ))}
              {Object.entries(SYMBOLS).map(([s, spec]) => (
                <option key={s} value={s}>
                  {s} {spec.words}
                </option>
              ))}
            </select>
          </label>
        </div>
      ))}
    </div>
  );
}

/** New, changed value by value, refused with row and reason. */
function Outcome({ preview: p }: { preview: Preview }) {
  return (
    <>
      <p>
        <strong>{p.added.length} new</strong>, <strong>{p.changed.length} changed</strong>, {p.same} as they
        are,{' '}
        <strong style={p.refused.length ? { color: 'var(--rust)' } : undefined}>
          {p.refused.length} refused
        </strong>
        .{p.suppliers.length > 0 && ` Suppliers that come with it: ${p.suppliers.join(', ')}.`}
      </p>
      {p.refused.length > 0 && (
        <table className="list">
          <thead>
            <tr>
              <th>Row</th>
              <th>Code</th>
              <th>Refused because</th>
            </tr>
          </thead>
          <tbody>
            {p.refused.slice(0, SHOWN).map((r) => (
              <tr key={r.row}>
                <td className="fig">{r.row}</td>
                <td className="fig">{r.code || '—'}</td>
                <td>{r.reasons.join('; ')}</td>
              </tr>
            ))}
          </tbody>
        </table>
      )}
      <More n={p.refused.length} of="refused" />
      {p.changed.length > 0 && (
        <table className="list">
          <thead>
            <tr>
              <th>Changed</th>
              <th>Value</th>
              <th>From</th>
              <th>To</th>
            </tr>
          </thead>
          <tbody>
            {p.changed.slice(0, SHOWN).flatMap((x) =>
              x.changes.map((ch, i) => (
                <tr key={`${x.item.code} ${ch.field} ${i}`}>
                  <td className="fig">{i === 0 ? x.item.code : ''}</td>
                  <td className="fig">{ch.field}</td>
                  <td>{ch.from ?? <span className="soft">not known</span>}</td>
                  <td>{ch.to}</td>
                </tr>
              )),
            )}
          </tbody>
        </table>
      )}
      <More n={p.changed.length} of="changed" />
      {p.added.length > 0 && (
        <table className="list">
          <thead>
            <tr>
              <th>New</th>
              <th>Kind</th>
              <th>Facts</th>
            </tr>
          </thead>
          <tbody>
            {p.added.slice(0, SHOWN).map((a) => (
              <tr key={a.code}>
                <td className="fig">{a.code}</td>
                <td>{a.family ?? a.kind}</td>
                <td className="small">
                  {a.facts.map((f) => `${f.symbol} ${f.text}${f.unit === 'inch' ? ' in' : ''}`).join(', ')}
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      )}
      <More n={p.added.length} of="new" />
    </>
  );
}

const More = ({ n, of }: { n: number; of: string }) =>
  n > SHOWN ? (
    <p className="soft small">
      and {n - SHOWN} more {of}
    </p>
  ) : null;
