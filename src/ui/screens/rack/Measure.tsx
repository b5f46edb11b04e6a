'use client';
import Button from '@mui/material/Button';
import { useState } from 'react';
import { DEFAULTS } from '@/core/defaults';
import { type Agreement, agree, type Reading } from '@/core/devices';
import type { DeviceLine } from '@/crib/devices';
import type { AssemblyView } from '@/crib/rack';
import { GradeMark } from '@/ui/kit/figure';
import { VerbForm } from '@/ui/kit/form';
import { Caution, Notice } from '@/ui/kit/page';
import { ReadDevice } from '@/ui/screens/devices';
import { useLengths } from '@/ui/shell';

const { readingsWanted, readingsWithinMm } = DEFAULTS;
/** With its unit, so that a display in inches rounds nothing away. */
const text = (mm: number) => `${mm.toFixed(4)} mm`;

/** Measure: read from a device until it repeats, or type it. */
export function Measure({
  card,
  devices,
  onDone,
}: {
  card: AssemblyView;
  devices: readonly DeviceLine[];
  onDone: () => void;
}) {
  const { show } = useLengths();
  const [device, setDevice] = useState<DeviceLine | null>(devices[0] ?? null);
  const [readings, setReadings] = useState<Reading[]>([]);
  const [put, setPut] = useState<Record<string, string> | null>(null);
  const agreed = agree(readings, readingsWanted, readingsWithinMm);
  const take = (reading: Reading) => {
    // The last one said again is the same reading: it is there already.
    if (readings.some((r) => r.serial === reading.serial)) return;
    const now = [...readings, reading];
    setReadings(now);
    const is = agree(now, readingsWanted, readingsWithinMm);
    if (is?.enough)
      setPut({
        gaugeLength: text(is.length),
        ...(is.diameter === null ? {} : { diameter: text(is.diameter) }),
        ...(is.runout === null ? {} : { runout: text(is.runout) }),
      });
  };
  return (
    <>
      <h2>Measure {card.tag}</h2>
      {devices.map((d) => (
        <div key={d.code}>
          {devices.length > 1 && (
            <Button
              size="small"
              variant="text"
              aria-pressed={d === device}
              onClick={() => {
                setDevice(d);
                setReadings([]);
              }}
            >
              {d.code}
            </Button>
          )}
        </div>
      ))}
      {device && (
        <>
          <div className="small">
            <span className="fig">{device.code}</span>{' '}
            <GradeMark grade={device.judgement.grade}>{device.judgement.words}</GradeMark>
          </div>
          <ReadDevice key={device.code} device={device.code} tag={card.tag} onReading={take} />
          <Readings readings={readings} agreed={agreed} show={show} />
        </>
      )}
      <VerbForm
        verb="recordMeasurement"
        submit="Record"
        when
        put={put}
        fields={[
          {
            name: 'gaugeLength',
            label: 'Gauge length',
            kind: 'length',
            help: `expected ${show(card.expectedMm, 1)}`,
          },
          { name: 'diameter', label: 'Diameter', kind: 'length', optional: true },
          { name: 'runout', label: 'Runout', kind: 'length', optional: true },
        ]}
        // What was typed over is no reading any more.
        shape={(input) => ({
          ...input,
          tag: card.tag,
          ...(device && agreed?.enough && input.gaugeLength === put?.gaugeLength
            ? {
                device: device.code,
                readings: readings.slice(-agreed.of).map(({ serial, length, diameter, runout }) => ({
                  ...{ serial, length },
                  ...(diameter === null ? {} : { diameter }),
                  ...(runout === null ? {} : { runout }),
                })),
              }
            : {}),
        })}
        said={(d) =>
          d.inQuestion
            ? `${card.tag} recorded, in question: no register until it is settled`
            : `${card.tag} measured`
        }
        onDone={onDone}
      />
      <Caution>Cutters are sharp even when worn: hold by the shank, never on the flutes.</Caution>
    </>
  );
}

/** What was read so far, and whether it repeats. */
function Readings({
  readings,
  agreed,
  show,
}: {
  readings: readonly Reading[];
  agreed: Agreement | null;
  show: (mm: number, decimals: number) => string;
}) {
  if (!agreed) return null;
  return (
    <div aria-label="Readings" role="group">
      {readings.map((r) => (
        <span key={r.serial} className="fig" style={{ marginRight: 14 }}>
          {show(r.length, 3)}
        </span>
      ))}
      {agreed.enough ? (
        <GradeMark grade="good">
          {agreed.of} agree within {show(agreed.spread ?? 0, 4)}
        </GradeMark>
      ) : agreed.spread === null ? (
        <span className="soft">once more: a reading counts when it repeats</span>
      ) : (
        <Notice>
          {show(agreed.spread, 3)} apart: more than {show(readingsWithinMm, 3)}. Chip or oil on the taper, or
          not seated? Wipe, put it in again, and read.
        </Notice>
      )}
    </div>
  );
}
