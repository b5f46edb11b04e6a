'use client';
import { useRouter } from 'next/navigation';
import { useMemo, useState } from 'react';
import { type CutFigures, cutFigures, STARTING_MATERIALS } from '@/core/cutting';
import { namesOf } from '@/core/names';
import type { BenchView } from '@/crib/cutting';
import type { ShopView } from '@/crib/shop';
import { Caution, Fold } from '@/ui/kit/page';
import { SearchField } from '@/ui/kit/form';
import { Choice, Entry } from '@/ui/kit/field';
import { items } from '@/ui/screens/common/found';
import { inUseOptions } from '@/ui/screens/common/options';
import { useQuery } from '@/ui/screens/common/query';
import { useLengths } from '@/ui/shell';
import type { RecipeStart } from '../StateRecipeTag';
import styles from './Bench.module.css';
import { CutMapChart, type MapOver } from './CutMapChart';
import { CutTable } from './CutTable';
import {
  type BenchTexts,
  BLANK,
  BLANK_BENCH,
  type CutTexts,
  readCut,
  chosenOf,
  ownMaterials,
  startFromBench,
  textsOf,
} from './readBench';

/** What most cuts are tried with, and what is asked of some. */
const FIRST = ['holderRpm', 'power', 'torque', 'stickout', 'tolerance'] as const;
const ELSE = ['corner', 'bore', 'ramp', 'chip', 'volume'] as const;

/** A cut is tried before it is run: two figures give the rest, and what binds is named. A second one stands beside it. */
export function BenchSheet({
  view,
  shop,
  onKeep,
}: {
  view: BenchView;
  shop: ShopView;
  /** A cut is to be kept: what a recipe of it begins with. */
  onKeep: (start: RecipeStart) => void;
}) {
  const query = useQuery('cutting');
  const router = useRouter();
  const { unit, unitWord, show } = useLengths();
  const { cutter, recipe } = view;
  const [bench, setBench] = useState<BenchTexts>(() => ({
    ...BLANK_BENCH,
    material: recipe ? chosenOf(shop, recipe.material) : '',
    machine: recipe?.machine ?? '',
    ramp: recipe?.ramp == null ? '' : String(recipe.ramp),
  }));
  const [cuts, setCuts] = useState<[CutTexts, CutTexts]>(() => [
    recipe ? textsOf(recipe, cutter) : BLANK,
    BLANK,
  ]);
  const read = useMemo(
    () => cuts.map((c) => readCut(view, shop, bench, c, unit)),
    [view, shop, bench, cuts, unit],
  );
  const figures = useMemo(
    () => read.map((r): CutFigures | null => ('missing' in r ? null : cutFigures(r))),
    [read],
  );
  const common = (name: keyof BenchTexts) => ({
    value: bench[name],
    onChange: (e: { target: { value: string } }) => setBench({ ...bench, [name]: e.target.value }),
  });
  const change = (which: number, over: Partial<CutTexts>) =>
    setCuts(([a, b]) => (which === 0 ? [{ ...a, ...over }, b] : [a, { ...b, ...over }]));
  const [first, second] = read;
  const [asked, setAsked] = useState<MapOver>('pass');
  // A map of speeds needs the feed a tooth: where the teeth are not counted there is none.
  const over = figures[0]?.fz.value == null ? 'pass' : asked;
  const typed = (mm: number) => show(mm, 2);
  const stands = cutter?.shape.CHIP_MAX ?? null;
  const labels: Record<(typeof FIRST)[number] | (typeof ELSE)[number], string> = {
    holderRpm: 'Holder up to, rev/min',
    ...{ power: 'Spindle gives, kW', torque: 'and N m' },
    ...{ stickout: `Stands out, ${unitWord}`, tolerance: `May bend, ${unitWord}` },
    ...{ corner: `Inside corner R, ${unitWord}`, bore: `Bore it goes round in, ${unitWord}` },
    ...{ ramp: 'Goes down at, °', chip: `Thickest chip it stands, ${unitWord}` },
    volume: 'Cut away of a part, cm³',
  };
  const field = (name: keyof typeof labels) => (
    <label key={name}>
      {labels[name]}
      <Entry
        className="fig"
        inputMode="decimal"
        placeholder={name === 'chip' && stands !== null ? show(stands, 3) : undefined}
        {...common(name)}
      />
    </label>
  );
  return (
    <div className={styles.bench}>
      <div className={styles.common}>
        <div className={styles.cutter}>
          <label htmlFor="bench-cutter">Cutter</label>
          <SearchField
            id="bench-cutter"
            search={items}
            value={cutter?.code ?? ''}
            start={cutter && { value: cutter.code, title: cutter.code, words: cutter.words }}
            onChange={(item) =>
              router.push(query.href({ item: item || null, show: 'bench' }), { scroll: false })
            }
          />
          {cutter && <div className="soft small">{cutter.words}</div>}
        </div>
        <label>
          What is cut
          <Choice {...common('material')}>
            <option value="">choose</option>
            <optgroup label="Of this shop">
              {ownMaterials(shop).map(([value, words]) => (
                <option key={value} value={value}>
                  {words}
                </option>
              ))}
            </optgroup>
            <optgroup label="Places to begin, from memory">
              {namesOf(STARTING_MATERIALS).map((m) => (
                <option key={m} value={m}>
                  {m}
                </option>
              ))}
            </optgroup>
          </Choice>
        </label>
        <label>
          Machine
          <Choice {...common('machine')}>
            <option value="">any</option>
            {inUseOptions(shop.machines).map(([code, name]) => (
              <option key={code} value={code}>
                {code} {name}
              </option>
            ))}
          </Choice>
        </label>
        {FIRST.map(field)}
      </div>
      <Fold label="What else is asked of it" open={ELSE.some((name) => bench[name] !== '')}>
        <div className={styles.common}>{ELSE.map(field)}</div>
      </Fold>
      <div className={styles.both}>
        <CutTable
          cuts={cuts}
          figures={figures}
          asks={{
            ...{ corner: bench.corner.trim() !== '', bore: bench.bore.trim() !== '' },
            ...{ ramp: bench.ramp.trim() !== '', volume: bench.volume.trim() !== '' },
          }}
          onChange={change}
          onKeep={(which) => onKeep(startFromBench(shop, cutter?.code ?? null, bench, cuts[which] ?? BLANK))}
        />
        {first && !('missing' in first) && (
          <div>
            <label className="small">
              The map goes over{' '}
              <Choice value={over} onChange={(e) => setAsked(e.target.value === 'speed' ? 'speed' : 'pass')}>
                <option value="pass">depth and width</option>
                <option value="speed" disabled={figures[0]?.fz.value == null}>
                  speed and feed
                </option>
              </Choice>
            </label>
            <CutMapChart
              cut={first}
              beside={second && !('missing' in second) ? second : null}
              over={over}
              onMove={(up, along) =>
                change(
                  0,
                  over === 'pass'
                    ? { ap: typed(up), ae: typed(along) }
                    : { speedAs: 'Vc', speed: up.toFixed(1), feedAs: 'tooth', feed: show(along, 4) },
                )
              }
            />
          </div>
        )}
      </div>
      {first && 'missing' in first && (
        <p className="soft">Still to say: {first.missing.join(', ')}. What stays blank is not known.</p>
      )}
      <Caution>
        Reckoned speeds and feeds are starting points, not permission. kc1.1 and mc are from memory of tables;
        a worn edge, a weak clamping or a long reach change them. Follow the maker of the cutter, the machine
        and your shop’s rules.
      </Caution>
    </div>
  );
}
