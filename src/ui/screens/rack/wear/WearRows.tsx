'use client';
import dynamic from 'next/dynamic';
import { CHIPS, GAUGE } from '@/core/life';
import type { AssemblyView } from '@/crib/rack';
import { BecauseThis, Row, Rows, Unknown } from '@/ui/kit/figure';
import { EntryBack } from '@/ui/screens/common/EntryBack';
import { useLengths, useTimes } from '@/ui/shell';
import styles from './Wear.module.css';
import rows from './WearPicture.module.css';

/** Comes where an edge was read: the rack shows without it. */
const WearChart = dynamic(async () => (await import('./WearChart')).WearChart);
const SizeChart = dynamic(async () => (await import('./SizeChart')).SizeChart);

/** What the readings of an edge say, drawn and one by one. */
export function WearRows({ card }: { card: AssemblyView }) {
  const { show, unitWord } = useLengths();
  const { wear } = card;
  if (wear.readings.length === 0) return <EdgePictures card={card} />;
  const { left } = wear;
  return (
    <>
      <h2>Wear</h2>
      <Rows>
        {wear.cornerMm !== null && (
          <Row
            name="Corner"
            note={`worn at ${show(wear.cornerLimitMm, 2)}${wear.here?.corner ? ` on ${wear.here.corner.of}` : ''}`}
          >
            {show(wear.cornerMm, 2)}
          </Row>
        )}
        {wear.gauge !== null && <Row name="Gauged, what it makes">{GAUGE[wear.gauge]}</Row>}
        {wear.size?.left && !wear.worn && (
          <Row
            name="Holes within limits"
            note={
              wear.size.left.cautious === null
                ? undefined
                : `one in twenty out in ${wear.size.left.cautious.toFixed(0)}`
            }
          >
            about {wear.size.left.holes.toFixed(0)} more
          </Row>
        )}
        <Row
          name="Worn in about"
          note={
            !wear.worn && left?.cautious != null
              ? `one in twenty in ${left.cautious.toFixed(0)} min`
              : undefined
          }
        >
          {wear.worn ? 'worn now' : left ? `${left.minutes.toFixed(0)} min` : <Unknown>cannot say</Unknown>}
        </Row>
        {wear.zone && (
          <Row name="Worn zone" note="from the tip" unit={unitWord}>
            {`${show(wear.zone.fromMm, 1)} to ${show(wear.zone.toMm, 1)}`}
          </Row>
        )}
      </Rows>
      <BecauseThis because={wear.because} label="worn in, because" />
      <WearChart card={card} />
      {wear.size && <SizeChart card={card} size={wear.size} />}
      {wear.size && <BecauseThis because={wear.size.because} label="holes within limits, because" />}
      <EdgePictures card={card} />
      {wear.readings.toReversed().map((r) => (
        <Reading key={r.entryId} reading={r} />
      ))}
    </>
  );
}

/** Pictures of its edge in a row, by the minutes it had cut. */
function EdgePictures({ card }: { card: AssemblyView }) {
  const { moment } = useTimes();
  if (!card.pictures.length) return null;
  return (
    <div className={rows.row} aria-label="Pictures of its edge" role="group">
      {card.pictures.map((p) => (
        <figure key={p.entryId}>
          <a href={`/api/v1/pictures/${p.entryId}`} target="_blank" rel="noreferrer">
            {/* Kept pictures are small already and come from this server alone. */}
            {/* eslint-disable-next-line @next/next/no-img-element */}
            <img src={`/api/v1/pictures/${p.entryId}/small`} alt={`${p.shows}, ${moment(p.happenedAt)}`} />
          </a>
          <figcaption className="small soft">
            <span className="fig">{p.minutes.toFixed(1)} min</span>
          </figcaption>
        </figure>
      ))}
    </div>
  );
}

function Reading({ reading: r }: { reading: AssemblyView['wear']['readings'][number] }) {
  const { show } = useLengths();
  const { moment } = useTimes();
  const drift = r.driftMm === null ? null : `${r.driftMm < 0 ? '−' : '+'}${show(Math.abs(r.driftMm), 3)}`;
  const said = [
    r.flankWearMm === null
      ? null
      : `VB ${show(r.flankWearMm, 3)}${r.uncertaintyMm === null ? '' : ` ± ${show(r.uncertaintyMm, 3)}`}`,
    r.cornerMm === null ? null : `corner ${show(r.cornerMm, 3)}`,
    r.holeMm === null ? null : `hole ${show(r.holeMm, 3)} for ${r.holeFits ?? ''}`,
    r.gauge && (r.holeMm === null || r.gauge !== 'passes') ? `gauge: ${GAUGE[r.gauge]}` : null,
    r.chips && `chips: ${CHIPS[r.chips]}`,
    drift === null ? null : `size ${drift}`,
    r.runoutMm === null ? null : `runout ${show(r.runoutMm, 3)}`,
    ...r.signs.map((s) => `${s.sign} (${s.strength})`),
  ].filter(Boolean);
  return (
    <div className={styles.reading}>
      <span className="fig">{r.minutes.toFixed(1)} min</span>
      {r.holes !== null && r.holes > 0 && <span className="fig soft"> {r.holes} holes</span>}{' '}
      {said.join(' · ')}
      <div className="soft small">
        {moment(r.happenedAt)} {r.who}
        {r.note ? ` · ${r.note}` : ''}
        <EntryBack entry={r.entryId} what="this reading" />
      </div>
    </div>
  );
}
