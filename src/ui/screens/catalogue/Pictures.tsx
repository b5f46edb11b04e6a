'use client';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import type { PictureLine } from '@/crib/catalogue';
import type { ProblemDocument } from '@/crib/door';
import { Choice } from '@/ui/kit/field';
import { FileButton } from '@/ui/kit/file';
import { ForOthers, ProblemNote, useSendOnce } from '@/ui/kit/form';
import { Acts } from '@/ui/kit/page';
import { EntryBack } from '@/ui/screens/common/EntryBack';
import { base64, post, useBarred, useSurroundings, useTimes } from '@/ui/shell';
import styles from './Pictures.module.css';

const SHOWS = ['the cutter', 'worn edge', 'chipped corner', 'chip', 'finish left', 'something else'] as const;

/** Pictures of an item and its pieces; a phone's camera opens from the same button. */
export function Pictures({
  code,
  marks,
  pictures,
}: {
  code: string;
  marks: string[];
  pictures: PictureLine[];
}) {
  const { say } = useSurroundings();
  const barred = useBarred('addPicture');
  const { day } = useTimes();
  const router = useRouter();
  const [of, setOf] = useState('');
  const [shows, setShows] = useState<string>(SHOWS[0]);
  const { once, pending: busy } = useSendOnce();
  const [problem, setProblem] = useState<ProblemDocument | null>(null);
  const send = async (file: File) => {
    const content = await base64(file);
    const answer = await once((formId) =>
      post<{ shows: string }>('/api/v1/pictures', {
        ...(of ? { piece: of } : { item: code }),
        shows,
        content,
        formId,
      }),
    );
    if (!answer) return;
    setProblem(answer.ok ? null : answer.problem);
    if (!answer.ok) return;
    say(`picture of ${of || code} kept`);
    router.refresh();
  };
  return (
    <>
      <h2>Pictures</h2>
      {pictures.length > 0 && (
        <div className={styles.pictures}>
          {pictures.map((p) => (
            <figure key={p.entryId}>
              <a href={`/api/v1/pictures/${p.entryId}`} target="_blank" rel="noreferrer">
                {/* Kept pictures are small already and come from this server alone. */}
                {/* eslint-disable-next-line @next/next/no-img-element */}
                <img src={`/api/v1/pictures/${p.entryId}/small`} alt={`${p.mark ?? code}: ${p.shows}`} />
              </a>
              <figcaption className="small soft">
                {p.shows}
                {p.mark ? `, ${p.mark}` : ''}, {day(p.happenedAt)}, {p.who}{' '}
                <EntryBack entry={p.entryId} what={`the picture ${p.shows}`} />
              </figcaption>
            </figure>
          ))}
        </div>
      )}
      {barred !== null && <ForOthers who={barred} />}
      <Acts style={barred === null ? { alignItems: 'center' } : { display: 'none' }}>
        <Choice aria-label="What it shows" value={shows} onChange={(e) => setShows(e.target.value)}>
          {SHOWS.map((s) => (
            <option key={s}>{s}</option>
          ))}
        </Choice>
        {marks.length > 0 && (
          <Choice aria-label="Of which piece" value={of} onChange={(e) => setOf(e.target.value)}>
            <option value="">of the item</option>
            {marks.map((m) => (
              <option key={m}>{m}</option>
            ))}
          </Choice>
        )}
        <FileButton
          words={busy ? 'Keeping …' : 'Take or choose a picture'}
          label="A picture"
          accept="image/jpeg,image/png,image/webp"
          camera
          busy={busy}
          onFile={(file) => void send(file)}
        />
      </Acts>
      <ProblemNote problem={problem} />
    </>
  );
}
