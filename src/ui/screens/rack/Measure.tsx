'use client';
import Button from '@mui/material/Button';
import { useState } from 'react';
import { DEFAULTS } from '@/core/defaults';
import { type Agreement, agree, type Reading } from '@/core/devices';
import { at20 } from '@/core/measuring';
import { parseLength, parseNumber } from '@/core/units';
import type { DeviceLine } from '@/crib/devices';
import type { AssemblyView } from '@/crib/rack';
import { Fields } from '@/ui/kit/field';
import { BecauseThis, GradeMark } from '@/ui/kit/figure';
import { VerbForm } from '@/ui/kit/form';
import { Caution, Fold, Notice } from '@/ui/kit/page';
import { Typed } from '@/ui/screens/common/Typed';
import { ReadDevice } from '@/ui/screens/devices';
import { useLengths } from '@/ui/shell';
import { signedMm } from './signedMm';
import { type Touchable, TouchedOff } from './TouchedOff';

const { readingsWanted, readingsWithinMm } = DEFAULTS;
/** With its unit, so that a display in inches rounds nothing away. */
const text = (mm: number) => `${mm.toFixed(4)} mm`;

/** Measure: read from a device until it repeats, or type it. */
export function Measure({
  card,
  devices,
  machines,
  onDone,
}: {
  card: AssemblyView;
  devices: readonly DeviceLine[];
  /** In which it may be touched off instead. */
  machines: readonly Touchable[];
  onDone: (inQuestion: boolean) => void;
}) {
  const { show, unit } = useLengths();
  const [device, setDevice] = useState<DeviceLine | null>(devices[0] ?? null);
  const [readings, setReadings] = useState<Reading[]>([]);
  const [put, setPut] = useState<Record<string, string> | null>(null);
  const [against, setAgainst] = useState<{ block: string; dial: string }>({ block: '', dial: '' });
  const [touched, setTouched] = useState<{ gaugeLength: string; words: string } | null>(null);
  const isStand = device?.kind === 'height stand';
  const block = isStand ? against.block.trim() || device.masterEntered : undefined;
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
      {devices.length > 1 && (
        <div role="group" aria-label="Measured with">
          {devices.map((d) => (
            <Button
              key={d.code}
              size="small"
              variant={d === device ? 'outlined' : 'text'}
              aria-pressed={d === device}
              onClick={() => {
                setDevice(d);
                setReadings([]);
              }}
            >
              {d.code}
            </Button>
          ))}
        </div>
      )}
      {device && (
        <>
          <div className="small">
            <span className="fig">{device.code}</span>{' '}
            <GradeMark grade={device.judgement.grade}>{device.judgement.words}</GradeMark>
          </div>
          {isStand && (
            <Against
              device={device}
              typed={against}
              onType={(now) => {
                setAgainst(now);
                const length = lengthOf(now, device, unit);
                if (length === null) return;
                // What is read by eye is no reading that the device sent.
                setReadings([]);
                setPut({ gaugeLength: text(length) });
              }}
            />
          )}
          {device.port !== null && (
            <ReadDevice
              key={device.code}
              device={device.code}
              tag={card.tag}
              onReading={take}
              {...(block ? { block } : {})}
            />
          )}
          <Readings readings={readings} agreed={agreed} show={show} />
        </>
      )}
      <Fold label="Touched off in a machine instead">
        <TouchedOff
          machines={machines}
          onLength={(length, words) => {
            const gaugeLength = text(length);
            setReadings([]);
            setTouched({ gaugeLength, words });
            setPut({ gaugeLength });
          }}
        />
      </Fold>
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
          {
            name: 'temperature',
            label: 'Tool warmer than the room, °C',
            kind: 'number',
            optional: true,
            help: 'blank: as it was read; else brought to 20 °C',
          },
        ]}
        below={(texts) => <At20 card={card} texts={texts} />}
        // What was typed over is no reading any more.
        shape={(input) => ({
          ...input,
          tag: card.tag,
          ...(touched?.gaugeLength === input.gaugeLength
            ? { note: touched?.words }
            : {
                ...(device && agreed?.enough && input.gaugeLength === put?.gaugeLength
                  ? {
                      device: device.code,
                      readings: readings.slice(-agreed.of).map(({ serial, length, diameter, runout }) => ({
                        ...{ serial, length },
                        ...(diameter === null ? {} : { diameter }),
                        ...(runout === null ? {} : { runout }),
                      })),
                    }
                  : isStand
                    ? { device: device.code }
                    : {}),
                ...(isStand && block ? { block } : {}),
              }),
        })}
        said={(d) =>
          d.inQuestion
            ? `${card.tag} recorded, in question: no register until it is settled`
            : `${card.tag} measured`
        }
        onDone={(d) => onDone(d.inQuestion)}
      />
      <Caution>Cutters are sharp even when worn: hold by the shank, never on the flutes.</Caution>
    </>
  );
}

/** What block and dial of a height stand come to, mm; null: one of them is no length. */
function lengthOf(
  { block, dial }: { block: string; dial: string },
  device: DeviceLine,
  unit: 'mm' | 'inch',
): number | null {
  const stands = block.trim() === '' ? device.masterMm : (parseLength(block, unit)?.mm ?? null);
  const shows = signedMm(dial, unit);
  return stands === null || shows === null ? null : stands + shows;
}

/** Typed from a height stand: the block, and what its dial shows beside it. */
function Against({
  device,
  typed,
  onType,
}: {
  device: DeviceLine;
  typed: { block: string; dial: string };
  onType: (typed: { block: string; dial: string }) => void;
}) {
  return (
    <Fields style={{ marginTop: 10 }}>
      <Typed
        label="Block it stands against"
        inputMode="decimal"
        placeholder={device.masterEntered}
        value={typed.block}
        onChange={(e) => onType({ ...typed, block: e.target.value })}
      />
      <Typed
        label="Dial shows"
        inputMode="text"
        placeholder="-5.812"
        value={typed.dial}
        onChange={(e) => onType({ ...typed, dial: e.target.value })}
      />
    </Fields>
  );
}

/** What a length that was read warm is at 20 °C, while it is typed. */
function At20({ card, texts }: { card: AssemblyView; texts: Readonly<Record<string, string | undefined>> }) {
  const { show, unit, unitWord } = useLengths();
  const L = parseLength(texts.gaugeLength ?? '', unit)?.mm ?? null;
  const t = parseNumber(texts.temperature ?? '');
  if (L === null || t === null || t < -20 || t > 120) return null;
  const is = at20(L, card.stickoutMm, card.cutter.substrate, t);
  return (
    <div className="small">
      At 20 °C{' '}
      <span className="fig">
        {show(is.length, 3)} {unitWord}
      </span>
      : {is.grown < 0 ? 'shrunk' : 'grown'} by {show(Math.abs(is.grown), 3)}.{' '}
      <BecauseThis because={is.because} />
    </div>
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
