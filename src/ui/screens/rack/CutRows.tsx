'use client';
import Button from '@mui/material/Button';
import dynamic from 'next/dynamic';
import { useState } from 'react';
import { linkTo } from '@/core/links';
import { amountWords } from '@/core/life';
import type { AssemblyView } from '@/crib/rack';
import { Fold } from '@/ui/kit/page';
import { Link } from '@/ui/kit/link';
import { EntryBack } from '@/ui/screens/common/EntryBack';
import { useTimes } from '@/ui/shell';
import styles from './wear/Wear.module.css';

/** Comes when somebody corrects: the rack shows without it. */
const CorrectCut = dynamic(async () => (await import('./CutForms')).CorrectCut);
const CutBeside = dynamic(async () => (await import('./CutForms')).CutBeside);

type Cut = AssemblyView['cut'];

/** Example: 12 parts, 48 holes, at least 6.2 min. */
function cutWords(x: Cut['on'][number] | Cut['logs'][number], holes: boolean): string {
  return [
    x.parts > 0 && `${x.parts} ${x.parts === 1 ? 'part' : 'parts'}`,
    holes
      ? x.holes === null
        ? 'holes not counted'
        : amountWords(x.holes, 'holes')
      : x.holes
        ? amountWords(x.holes, 'holes')
        : null,
    `${x.lowerBound ? 'at least ' : ''}${amountWords(x.minutes, 'minutes')}`,
    x.cutMm !== null && x.cutMm > 0 && amountWords(x.cutMm / 1000, 'metres'),
  ]
    .filter(Boolean)
    .join(', ');
}

/** Example: 1 240 000 mm³ is '1.2 l', 56 000 '56 cm³'. */
const chipsWords = (mm3: number): string =>
  mm3 >= 1e6 ? `${(mm3 / 1e6).toFixed(1)} l` : `${(mm3 / 1000).toFixed(mm3 < 10_000 ? 1 : 0)} cm³`;

/** What its edge has cut, by job and material, and log by log with the way to correct each. */
export function CutRows({ card }: { card: AssemblyView }) {
  const [beside, setBeside] = useState(false);
  const { cut } = card;
  const holes = cut.measure === 'holes';
  return (
    <>
      <h2>What its edge has cut</h2>
      {cut.on.length === 0 && <p className="soft">Nothing that was logged.</p>}
      {cut.on.map((x) => (
        <div key={`${x.operationId} ${x.t} ${x.material}`} className={styles.reading}>
          {x.job === null ? (
            <span className="soft">beside the logs</span>
          ) : (
            <Link className="fig" href={linkTo('jobs', { open: x.job, t: x.t ?? undefined })}>
              T{x.t} of {x.job}
            </Link>
          )}{' '}
          <span className="soft">in {x.material}</span>
          <div className="fig small" style={{ whiteSpace: 'normal' }}>
            {cutWords(x, holes)}
          </div>
          {x.chipsMm3 !== null && x.chipsMm3 > 0 && (
            <div className="soft small">at most {chipsWords(x.chipsMm3)} of chips</div>
          )}
        </div>
      ))}
      {cut.logs.length > 0 && (
        <Fold label="log by log">
          {cut.logs.map((l) => (
            <Log key={l.useId ?? `e${l.entryId}`} log={l} card={card} holes={holes} />
          ))}
        </Fold>
      )}
      {beside ? (
        <CutBeside card={card} onDone={() => setBeside(false)} />
      ) : (
        <Button variant="text" size="small" onClick={() => setBeside(true)}>
          it cut something that was not logged
        </Button>
      )}
    </>
  );
}

function Log({ log: l, card, holes }: { log: Cut['logs'][number]; card: AssemblyView; holes: boolean }) {
  const { moment } = useTimes();
  const [open, setOpen] = useState(false);
  return (
    <div className={styles.reading}>
      <span className="fig" style={{ whiteSpace: 'normal' }}>
        {cutWords(l, holes)}
      </span>
      <div className="soft small">
        {moment(l.happenedAt)} {l.who} · {l.job === null ? 'said' : `T${l.t} of ${l.job}`}
        {l.rpm !== null && ` · at ${l.rpm.toFixed(0)} rev/min`}
        {l.correctedBy !== null && ' · corrected'}
        {l.note ? ` · ${l.note}` : ''}
        {l.useId !== null && !open && (
          <Button
            variant="text"
            size="small"
            aria-label={`Correct what it cut at ${moment(l.happenedAt)}`}
            onClick={() => setOpen(true)}
          >
            correct
          </Button>
        )}
        {l.correctedBy !== null && <EntryBack entry={l.correctedBy} what="this correction" />}
        {l.useId === null && <EntryBack entry={l.entryId} what="what it cut beside the logs" />}
      </div>
      {open && <CorrectCut log={l} tag={card.tag} holes={holes} onDone={() => setOpen(false)} />}
    </div>
  );
}
