'use client';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { linkTo } from '@/core/links';
import { parseLength } from '@/core/units';
import type { SheetView } from '@/crib/assemblies';
import type { TakeableView, TakeSource } from '@/crib/stock';
import { Entry, Tick } from '@/ui/kit/field';
import { ProblemNote, SendButton, useVerb } from '@/ui/kit/form';
import { Acts, Caution } from '@/ui/kit/page';
import { Tag } from '@/ui/kit/tag';
import { ask } from '@/ui/screens/common/ask';
import { Judged } from '@/ui/screens/common/Judged';
import { sourceOf, stockOf } from '@/ui/screens/common/found';
import { useQuery } from '@/ui/screens/common/query';
import { useLengths, useScreenScan, useSurroundings } from '@/ui/shell';
import { judgedBySheet, type Taken } from './judgedBySheet';
import styles from './Sheets.module.css';
import { Step } from './Step';

type Piece = SheetView['pieces'][number];

/** What a scan or a tap names among the pieces of a step: its own, or one that stands in. */
const named = (p: Piece, text: string): TakeSource | undefined => {
  const is = (s: TakeSource) => [s.item, s.value, s.marked].some((x) => x?.toUpperCase() === text);
  const lies = (s: TakeSource) => s.value.toUpperCase().endsWith(`|${text}`);
  const others = p.instead.map((o) => o.source);
  return p.sources.find(is) ?? others.find(is) ?? p.sources.find(lies);
};

/** A build from its sheet, a step at a time: each piece scanned from its place, then clean, set and tightened. */
export function BuildFrom({ sheet, closeHref }: { sheet: SheetView; closeHref: string }) {
  const query = useQuery('sheets');
  const router = useRouter();
  const { entered, unit, unitWord } = useLengths();
  const { say } = useSurroundings();
  const { send, problem, pending, barred } = useVerb('buildAssembly');
  const [taken, setTaken] = useState<Taken>({});
  const [ticked, setTicked] = useState({ clean: false, collar: false, torqued: false });
  const [stickout, setStickout] = useState(entered(sheet.stickoutEntered, sheet.stickoutMm, 2));
  const [despite, setDespite] = useState('');
  const now = sheet.pieces.findIndex((_, i) => !taken[i]);
  const length = parseLength(stickout, unit);
  const mm = length && length.mm > 0 ? length.mm : null;
  const judgements = judgedBySheet(sheet, taken, mm);
  const stops = judgements.filter((j) => j.grade === 'stop');
  const all = now < 0;
  const ready =
    all &&
    mm !== null &&
    ticked.clean &&
    (ticked.collar || !sheet.collar) &&
    (ticked.torqued || sheet.torque === null) &&
    (stops.length === 0 || despite.trim() !== '');

  const take = (i: number, source: TakeSource | undefined) =>
    setTaken((before) => ({ ...before, [i]: source }));
  /** Not among what was offered: asked of the crib, taken and judged, since whoever holds it has it in the hand. */
  const look = async (i: number, text: string) => {
    const piece = sheet.pieces[i];
    if (!piece) return;
    const view = await ask<TakeableView>('takeable', { what: piece.what, q: text }).catch(() => null);
    const found = view?.sources.find((s) =>
      [s.item, s.value, s.marked].some((x) => x?.toUpperCase() === text),
    );
    if (found) take(i, found);
    say(
      found
        ? `${text} taken in its place`
        : `${text}: ${view?.against ?? 'none of it can be taken for this step'}`,
    );
  };
  useScreenScan((scan) => {
    const text = scan.trim().toUpperCase();
    const order = [now, ...sheet.pieces.keys()].filter((i) => i >= 0 && !taken[i]);
    for (const i of order) {
      const piece = sheet.pieces[i];
      const source = piece && named(piece, text);
      if (!source) continue;
      take(i, source);
      return `taken: ${source.take}`;
    }
    if (now < 0) return null;
    void look(now, text);
    return 'looked up for this step';
  });

  const build = async () => {
    const value = (i: number) => taken[i]?.value ?? '';
    const operation = Number(query.get('operation'));
    const t = query.get('t');
    const done = await send(
      {
        cutter: sourceOf(value(0)),
        holder: stockOf(value(1)),
        parts: sheet.pieces.flatMap((p, i) =>
          p.what === 'part'
            ? [
                {
                  ...stockOf(value(i)),
                  ...(p.outEntered ? { out: p.outEntered } : {}),
                },
              ]
            : [],
        ),
        stickout: /[a-z"]/i.test(stickout) ? stickout : `${stickout} ${unit === 'mm' ? 'mm' : 'in'}`,
        sheet: {
          code: sheet.code,
          version: sheet.version,
          clean: true,
          ...(sheet.torque === null ? {} : { torqued: ticked.torqued }),
        },
        ...(despite.trim() ? { despite: despite.trim() } : {}),
        ...(operation && t ? { for: { operation, t } } : {}),
      },
      (d) => `${d.tag} built from ${sheet.code}: measure it next`,
    );
    if (done) router.push(linkTo('rack', { open: done.tag, do: 'measure' }), { scroll: false });
  };
  const tick = (name: keyof typeof ticked) => ({
    checked: ticked[name],
    onChange: (e: React.ChangeEvent<HTMLInputElement>) =>
      setTicked((b) => ({ ...b, [name]: e.target.checked })),
  });
  return (
    <Tag
      over={`Build from ${sheet.code}, version ${sheet.version}`}
      number={all ? 'Set and tighten' : `Step ${now + 1}`}
      words={all ? 'Everything is at hand.' : 'Scan what you take out of the drawer, or the drawer.'}
      closeHref={closeHref}
    >
      <ol className={styles.steps}>
        {sheet.pieces.map((p, i) => (
          <li key={i} className={taken[i] ? styles.done : i === now ? styles.now : undefined}>
            <Step piece={p} taken={taken[i]} onTake={(source) => take(i, source)} />
          </li>
        ))}
        <li className={ticked.clean ? styles.done : undefined}>
          <div>
            <label>
              <Tick {...tick('clean')} /> Shank, bore and collet are clean and free of oil
            </label>
            <Caution>
              Hold it by the shank: the edges cut. Collet snapped into its nut before the cutter goes in.
            </Caution>
          </div>
        </li>
        <li className={mm !== null && all ? styles.done : undefined}>
          <div>
            <label>
              Stickout{' '}
              <Entry
                className="fig"
                aria-label="Stickout"
                inputMode="decimal"
                style={{ width: 110 }}
                value={stickout}
                onChange={(e) => setStickout(e.target.value)}
              />{' '}
              {unitWord}
            </label>{' '}
            <span className="soft small">
              {entered(sheet.leastEntered, sheet.design.range.least, 1)} to{' '}
              {entered(sheet.mostEntered, sheet.design.range.most, 1)}
            </span>
            {sheet.collar && (
              <div>
                <label>
                  <Tick {...tick('collar')} /> Stop collar set on the shank
                </label>
              </div>
            )}
          </div>
        </li>
        {sheet.torque !== null && (
          <li className={ticked.torqued ? styles.done : undefined}>
            <div>
              <label>
                <Tick {...tick('torqued')} /> Tightened to <strong className="fig">{sheet.torque}</strong> N m
              </label>
              <Caution>In the tightening fixture, wrench pulled towards you and clear of the edges.</Caution>
            </div>
          </li>
        )}
      </ol>
      {sheet.steps && (
        <p className="soft" style={{ whiteSpace: 'pre-wrap' }}>
          {sheet.steps}
        </p>
      )}
      <Judged list={judgements} />
      {stops.length > 0 && (
        <label>
          A stop is judged: why build it all the same?
          <Entry
            aria-label="Why, though a stop is judged"
            style={{ display: 'flex' }}
            value={despite}
            onChange={(e) => setDespite(e.target.value)}
          />
        </label>
      )}
      <ProblemNote problem={problem} />
      <Acts>
        <SendButton
          variant="contained"
          pending={pending}
          barred={barred}
          disabled={!ready}
          onSend={() => void build()}
        >
          Build
        </SendButton>
        {!ready && <span className="soft">{lacks(now, mm, ticked, sheet, stops.length > 0)}</span>}
      </Acts>
    </Tag>
  );
}

/** What is still to be done, in the order of the steps. */
function lacks(
  now: number,
  mm: number | null,
  ticked: { clean: boolean; collar: boolean; torqued: boolean },
  sheet: SheetView,
  stopped: boolean,
): string {
  if (now >= 0) return `Step ${now + 1} first.`;
  if (!ticked.clean) return 'Cleaned?';
  if (mm === null) return 'How far out?';
  if (sheet.collar && !ticked.collar) return 'Stop collar?';
  if (sheet.torque !== null && !ticked.torqued) return 'Tightened?';
  return stopped ? 'Say why, or change what is judged.' : '';
}
