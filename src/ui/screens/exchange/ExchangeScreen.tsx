'use client';
import Table from '@mui/material/Table';
import TableBody from '@mui/material/TableBody';
import TableCell from '@mui/material/TableCell';
import TableHead from '@mui/material/TableHead';
import TableRow from '@mui/material/TableRow';
import Button from '@mui/material/Button';
import { Link } from '@/ui/kit/link';
import { useRouter } from 'next/navigation';
import { useRef, useState } from 'react';
import { v4 as newId } from 'uuid';
import { counted } from '@/core/units';
import type { ProblemDocument } from '@/crib/door';
import type { ExchangeView, ShownPreview } from '@/crib/exchange';
import { FileDrop } from '@/ui/kit/file';
import { ForOthers, ProblemNote, SendButton, useSendOnce } from '@/ui/kit/form';
import { Acts, Head } from '@/ui/kit/page';
import { EntryBack } from '@/ui/screens/common/EntryBack';
import { base64, Middle, post, useBarred, useSurroundings, useTimes } from '@/ui/shell';
import { HowFar } from './HowFar';
import { Outcome } from './Outcome';
import { type Chosen, Unknown } from './UnknownColumn';

/** Lists in and out: what would change is shown before anything does, then it is all or nothing. */
export function ExchangeScreen({ view }: { view: ExchangeView }) {
  const { say } = useSurroundings();
  const barred = useBarred('importItems');
  const { moment } = useTimes();
  const router = useRouter();
  const [chosen, setChosen] = useState<Chosen | null>(null);
  const [preview, setPreview] = useState<ShownPreview | null>(null);
  const [mapping, setMapping] = useState<Record<string, string | null>>({});
  const [problem, setProblem] = useState<ProblemDocument | null>(null);
  /** What is done with the list now, under the id by which it is asked how far that has come. */
  const [busy, setBusy] = useState<{ id: string; begins: string; stops: boolean } | null>(null);
  const { once } = useSendOnce();
  const cancel = useRef<AbortController | null>(null);

  const look = async (list: Chosen, map: Record<string, string | null>) => {
    const id = newId();
    setBusy({ id, begins: 'Reading the list', stops: true });
    setProblem(null);
    cancel.current = new AbortController();
    const answer = await post<ShownPreview>(
      '/api/v1/items/import-preview',
      { content: list.content, mapping: map, formId: id },
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
    const answer = await once((formId) => {
      setBusy({ id: formId, begins: 'Bringing it in', stops: false });
      return post<{ added: number; changed: number }>('/api/v1/items/imported', {
        ...chosen,
        mapping,
        accepted: preview.digest,
        formId,
      });
    });
    setBusy(null);
    if (!answer) return;
    if (!answer.ok) return setProblem(answer.problem);
    setProblem(null);
    setPreview(null);
    setChosen(null);
    say(
      `${counted(answer.value.added)} new and ${counted(answer.value.changed)} changed from ${chosen.name}`,
    );
    router.refresh();
  };
  return (
    <Middle>
      <Head>
        <div>
          <h1>Lists in and out</h1>
          <div className="soft">
            CSV, XLSX or JSON, with ISO 13399 symbols as headers.{' '}
            <Link href="/cutters">Back to the catalogue</Link>
          </div>
        </div>
      </Head>
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
      {barred !== null && <ForOthers who={barred} />}
      {barred === null && (
        <FileDrop
          words="Choose a list"
          label="A list to bring in"
          accept=".csv,.txt,.xlsx,.json"
          main
          busy={busy !== null}
          onFile={(file) => void choose(file)}
        />
      )}
      {chosen && (
        <p>
          <strong>{chosen.name}</strong>
        </p>
      )}
      {busy?.stops && (
        <HowFar key={busy.id} id={busy.id} begins={busy.begins} onStop={() => cancel.current?.abort()} />
      )}
      {!preview && <ProblemNote problem={problem} />}
      {preview && (
        <>
          {preview.unknown.length > 0 && <Unknown headers={preview.unknown} mapping={mapping} onSay={say_} />}
          <Outcome preview={preview} />
          {busy && !busy.stops ? (
            <HowFar key={busy.id} id={busy.id} begins={busy.begins} />
          ) : (
            <Acts>
              <SendButton
                variant="contained"
                onSend={() => void accept()}
                pending={busy !== null}
                disabled={!preview.of.added && !preview.of.changed}
              >
                Bring in {counted(preview.of.added)} new and {counted(preview.of.changed)} changed
              </SendButton>
              <Button
                onClick={() => {
                  setPreview(null);
                  setChosen(null);
                }}
              >
                Leave it
              </Button>
            </Acts>
          )}
          <ProblemNote problem={problem} />
        </>
      )}
      {view.imports.length > 0 && (
        <>
          <h2>Came in</h2>
          <Table>
            <TableHead>
              <TableRow>
                <TableCell>When</TableCell>
                <TableCell>List</TableCell>
                <TableCell className="num">New</TableCell>
                <TableCell className="num">Changed</TableCell>
                <TableCell>Who</TableCell>
                <TableCell></TableCell>
              </TableRow>
            </TableHead>
            <TableBody>
              {view.imports.map((i) => (
                <TableRow key={i.entryId}>
                  <TableCell>{moment(i.happenedAt)}</TableCell>
                  <TableCell>{i.name}</TableCell>
                  <TableCell className="num fig">{counted(i.added)}</TableCell>
                  <TableCell className="num fig">{counted(i.changed)}</TableCell>
                  <TableCell>{i.who}</TableCell>
                  <TableCell>
                    <EntryBack entry={i.entryId} what={`the list ${i.name}`} />
                  </TableCell>
                </TableRow>
              ))}
            </TableBody>
          </Table>
        </>
      )}
    </Middle>
  );
}
