'use client';
import { CAUSE_NAMES, CAUSES, FRAGMENT_STATES, SEEN } from '@/core/breakage';
import { linkToRun } from '@/core/links';
import { money } from '@/core/units';
import type { BreakageSheet } from '@/crib/breakage';
import { Row, Rows, Unknown } from '@/ui/kit/figure';
import { VerbForm } from '@/ui/kit/form';
import { Link } from '@/ui/kit/link';
import { Caution, Fold, Notice } from '@/ui/kit/page';
import { Tag } from '@/ui/kit/tag';
import { EntryBack } from '@/ui/screens/common/EntryBack';
import { useQuery } from '@/ui/screens/common/query';
import { SignDrawing } from '@/ui/screens/common/signs/SignDrawing';
import { useTimes } from '@/ui/shell';
import styles from './Breakage.module.css';
import { CauseRows } from './CauseRows';
import { SuspectForms } from './SuspectForms';
import { BROKE_WORDS } from './words';

const SHARED_WORDS = {
  T: 'on',
  holder: 'in holder',
  machine: 'on',
  cutter: 'of',
  recipe: 'by recipe',
  cause: 'because',
} as const;

/** One that broke: fragments first, then parts that may be spoilt, then why. */
export function BreakageTag({ sheet }: { sheet: BreakageSheet }) {
  const { line, repeats } = sheet;
  const query = useQuery('breakages');
  const { moment } = useTimes();
  const seen = line.seen ?? line.signs;
  return (
    <Tag
      over={line.where ?? 'on no T of a job'}
      number={line.mark}
      words={`${line.item} ${BROKE_WORDS[line.kind]} ${moment(line.happenedAt)}, ${line.who}`}
      closeHref={query.href({ open: null })}
    >
      {line.waits.includes('fragments') && (
        <Notice kind="stop">
          <strong>What became of its fragments?</strong> Until that is said no cutter goes on T{line.t} and no
          parts are logged there.
          <Caution>
            A cutter broken at speed throws fragments. Stop and lock out before clearing; find every fragment
            with a light, brush and vacuum, never by hand.
          </Caution>
          <VerbForm
            verb="accountFragments"
            fixed={{ ending: line.entryId }}
            submit="Say so"
            fields={[
              {
                name: 'fragments',
                label: 'Fragments',
                kind: 'choice',
                options: [
                  ['found', 'all found'],
                  ['recut', 'not found, the spot was recut'],
                ],
                start: 'found',
              },
              {
                name: 'recutBy',
                label: 'Recut by, where they were not found',
                optional: true,
                wide: true,
              },
            ]}
            said={(d) => `${d.piece}: ${FRAGMENT_STATES[d.fragments]}`}
          />
        </Notice>
      )}
      {repeats.length > 0 && (
        <Notice>
          <strong>Not the first.</strong> Of {repeats[0]?.among} in twelve months:{' '}
          {repeats.map((r) => `${r.times} ${SHARED_WORDS[r.shared]} ${r.of}`).join(', ')}.
        </Notice>
      )}
      {seen.length > 0 ? (
        <ul className={styles.signs} aria-label="Signs seen">
          {seen.map((s) => (
            <li key={s}>
              <SignDrawing sign={s} /> {SEEN[s]}
            </li>
          ))}
        </ul>
      ) : (
        <p className="soft">No signs were said.</p>
      )}
      <Rows>
        <Row name="In the cut before">{line.minutes.toFixed(1)} min</Row>
        {line.partsMade !== null && line.operationId !== null && (
          <Row name="Parts made by then">
            <Link href={linkToRun(line.operationId)}>{line.partsMade}</Link>
          </Row>
        )}
        {line.holder && <Row name="Holder">{line.holder}</Row>}
        {line.recipe && <Row name="Recipe">{line.recipe}</Row>}
        <Row name="Parts lost">{line.lostParts ?? <Unknown>not said</Unknown>}</Row>
        <Row name="Minutes lost">{line.lostMinutes ?? <Unknown>not said</Unknown>}</Row>
        <Row name="Cost" note={line.centsAre === 'said' ? undefined : (line.centsAre ?? undefined)}>
          {line.cents === null ? <Unknown>not known</Unknown> : money(line.cents)}
        </Row>
      </Rows>
      {line.fragments && line.fragmentsEntryId !== null && (
        <p>
          {FRAGMENT_STATES[line.fragments]}
          {line.recutBy ? ` by ${line.recutBy}` : ''} <span className="soft small">{line.fragmentsWho}</span>
          {line.fragmentsEntryId !== line.entryId && (
            <>
              {' '}
              <EntryBack entry={line.fragmentsEntryId} what={`fragments of ${line.mark}`} />
            </>
          )}
        </p>
      )}
      <SuspectForms sheet={sheet} />
      <h3>Why it broke</h3>
      {line.causeWords && line.causeEntryId !== null && (
        <p>
          <strong>{line.causeWords}</strong>
          {line.remedy ? `; ${line.remedy}` : ''} <span className="soft small">found by {line.causeWho}</span>{' '}
          <EntryBack entry={line.causeEntryId} what={`the cause of ${line.mark}`} />
        </p>
      )}
      <CauseRows sheet={sheet} />
      <Fold
        label={line.cause === null ? 'Say why it broke' : 'It was another cause'}
        open={line.cause === null}
      >
        <VerbForm
          verb="confirmCause"
          fixed={{ ending: line.entryId, ...(line.seen ? { seen: line.seen } : {}) }}
          submit="That was it"
          fields={[
            {
              name: 'cause',
              label: 'Cause, as it was found',
              kind: 'choice',
              wide: true,
              options: [
                ...sheet.causes.map((r) => [r.cause, r.words] as const),
                ...CAUSE_NAMES.filter((n) => !sheet.causes.some((r) => r.cause === n)).map(
                  (n) => [n, CAUSES[n].words] as const,
                ),
              ],
              start: sheet.causes[0]?.cause,
            },
            { name: 'remedy', label: 'What was done about it', optional: true, wide: true },
            {
              name: 'notSeen',
              label: 'Looked for, and not there',
              kind: 'several',
              optional: true,
              wide: true,
              options: [...new Set(sheet.causes.slice(0, 4).flatMap((r) => r.asks))].map(
                (s) => [s, SEEN[s]] as const,
              ),
            },
          ]}
          said={(d) => `${d.piece}: ${CAUSES[d.cause].words}`}
        />
      </Fold>
      <p className="soft small">
        {line.tag && <>It stood in {line.tag}. </>}
        It did not break? <EntryBack entry={line.entryId} what={`the end of ${line.mark}`} />
      </p>
    </Tag>
  );
}
