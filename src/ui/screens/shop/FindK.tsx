'use client';
import Button from '@mui/material/Button';
import { useState } from 'react';
import { findK } from '@/core/measuring';
import { formatLength, type LengthUnit, parseLength } from '@/core/units';
import type { AssemblyView } from '@/crib/rack';
import type { ShopView } from '@/crib/shop';
import { Fields, Together } from '@/ui/kit/field';
import { BecauseThis, Judgements, Row, Rows } from '@/ui/kit/figure';
import { type FieldOf, VerbForm } from '@/ui/kit/form';
import { Caution } from '@/ui/kit/page';
import { ask } from '@/ui/screens/common/ask';
import { Typed } from '@/ui/screens/common/Typed';

interface Tool {
  /** A length, or the tag of an assembly that has one. */
  L: string;
  readings: string[];
}
const BLANK: Tool = { L: '', readings: ['', ''] };
const MOST = 8;

/**
 * K of a machine, guided: three tools of different length, each measured on the presetter and touched off twice in the
 * machine. What they say is shown as it is typed, and stated with the machine's other figures as they are.
 */
export function FindK({
  machine: m,
  fields,
}: {
  machine: ShopView['machines'][number];
  /** The machine's figures as they stand: K alone is another. */
  fields: readonly FieldOf<'changeMachine'>[];
}) {
  const [unit, setUnit] = useState<LengthUnit>(m.units);
  const [block, setBlock] = useState('');
  const [tools, setTools] = useState<Tool[]>([BLANK, BLANK, BLANK]);
  const [known, setKnown] = useState<Record<string, number | null>>({});
  const mm = (text: string): number | null => parseLength(text, unit)?.mm ?? null;
  const change = (at: number, to: Partial<Tool>) =>
    setTools((before) => before.map((t, i) => (i === at ? { ...t, ...to } : t)));
  /** The measured length of a tag that was typed or scanned; null: it has none that counts. */
  const lookUp = async (text: string) => {
    const tag = text.trim().toUpperCase();
    if (!/^A-\d{4,}$/.test(tag) || tag in known) return;
    const card = await ask<AssemblyView | null>('assembly', { tag }).catch(() => null);
    const L = card?.measured.state === 'measured' ? card.measured.measurement.gaugeLengthMm : null;
    setKnown((before) => ({ ...before, [tag]: L }));
  };
  const lengthOf = ({ L }: Tool): number | null => known[L.trim().toUpperCase()] ?? mm(L);
  const g = mm(block);
  const found =
    g === null
      ? null
      : findK(
          g,
          tools.flatMap((t) => {
            const L = lengthOf(t);
            const readings = t.readings.flatMap((r) => mm(r) ?? []);
            return L !== null && L > 0 && readings.length ? [{ L, readings }] : [];
          }),
        );
  const K = found?.K.value ?? null;
  const text = (value: number) => formatLength(value, m.units, m.units === 'mm' ? 3 : 4);
  return (
    <>
      <h2>Find K</h2>
      <ol className="soft small" style={{ margin: 0, paddingLeft: 20 }}>
        <li>
          Three tools of different length, 50 mm or more between the longest and the shortest; measured on the
          presetter today.
        </li>
        <li>Spindle warm, as it runs. A block of known thickness on the datum surface, both clean.</li>
        <li>
          Each tool down until the block just no longer moves under the tip: write down machine Z. Each one
          twice, lifted between.
        </li>
      </ol>
      <Fields>
        <Typed
          label={`Block, ${unit}`}
          className="fig"
          inputMode="decimal"
          value={block}
          onChange={(e) => setBlock(e.target.value)}
        />
      </Fields>
      {tools.map((t, i) => (
        <fieldset key={i} style={{ border: 0, padding: 0, margin: '8px 0 0' }}>
          <legend className="small">Tool {i + 1}</legend>
          <Fields>
            <Typed
              label={`Length, ${unit}, or its tag`}
              className="fig"
              value={t.L}
              onChange={(e) => change(i, { L: e.target.value })}
              onBlur={(e) => void lookUp(e.target.value)}
            />
            <span className="soft small" style={{ alignSelf: 'end' }}>
              {said(known, t.L, text)}
            </span>
            {t.readings.map((r, n) => (
              <Typed
                key={n}
                label={`Machine Z, ${['once', 'again', 'a third time'][n] ?? `${n + 1}.`}`}
                className="fig"
                inputMode="text"
                value={r}
                onChange={(e) =>
                  change(i, { readings: t.readings.map((x, k) => (k === n ? e.target.value : x)) })
                }
              />
            ))}
          </Fields>
        </fieldset>
      ))}
      <Together>
        {tools.length < MOST && (
          <Button variant="text" size="small" onClick={() => setTools([...tools, BLANK])}>
            one more tool
          </Button>
        )}
        <Button
          variant="text"
          size="small"
          onClick={() => setTools(tools.map((t) => ({ ...t, readings: [...t.readings, ''] })))}
        >
          touch once more
        </Button>
        <Button variant="text" size="small" onClick={() => setUnit(unit === 'mm' ? 'inch' : 'mm')}>
          typed in {unit === 'mm' ? 'inch' : 'mm'}
        </Button>
      </Together>
      {found && K !== null && (
        <>
          <Rows>
            <Row name="K" unit={m.units} big>
              {text(K)}
            </Row>
            {m.kMm !== null && (
              <Row name="differs from the one in force" unit={m.units}>
                {text(K - m.kMm)}
              </Row>
            )}
          </Rows>
          <BecauseThis because={found.K.because} />
          <Judgements list={found.judgements} />
          <VerbForm
            key={text(K)}
            verb="changeMachine"
            fixed={{
              code: m.code,
              note: noteOf(tools, found, text),
            }}
            submit="State it from now on"
            when
            fields={fields.map((f) =>
              f.name === 'k' ? { ...f, start: `${text(K)} ${m.units === 'mm' ? 'mm' : 'in'}` } : f,
            )}
            said={() => `K of ${m.code} is ${text(K)}: every number it was given is to be given anew`}
          />
        </>
      )}
      <Caution>
        Low override and hand on feed hold on the way down; the last hundredths in steps. A tip that is driven
        onto a block breaks, and the K with it.
      </Caution>
    </>
  );
}

/** What is known of a tag that was typed for a length. */
function said(
  known: Readonly<Record<string, number | null>>,
  typed: string,
  text: (mm: number) => string,
): string {
  const tag = typed.trim().toUpperCase();
  if (!(tag in known)) return '';
  const L = known[tag];
  return L == null ? 'no length that counts: measure it first' : `measured ${text(L)}`;
}

/** What it was found by, kept with its entry. */
function noteOf(
  tools: readonly Tool[],
  found: ReturnType<typeof findK>,
  text: (mm: number) => string,
): string {
  const by = tools.flatMap((t) =>
    t.L.trim() && t.readings.some(Boolean)
      ? [`${t.L.trim()} at ${t.readings.filter(Boolean).join(' and ')}`]
      : [],
  );
  return [
    `K by ${by.join('; ')}`,
    found.spread === null ? null : `repeats within ${text(found.spread)}`,
    found.scale === null ? null : `${text(found.scale)} over 100 mm`,
  ]
    .filter(Boolean)
    .join('; ')
    .slice(0, 2000);
}
