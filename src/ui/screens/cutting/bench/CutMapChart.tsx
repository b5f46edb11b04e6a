'use client';
import { contours, geoPath, geoTransform, scaleLinear } from 'd3';
import { type KeyboardEvent, type PointerEvent, useDeferredValue, useMemo, useRef } from 'react';
import {
  type Bind,
  type CutAsked,
  cutFigures,
  type CutMap,
  cutMap,
  huntingSpeeds,
  mapReach,
  speedMap,
  speedReach,
} from '@/core/cutting';
import { namesOf } from '@/core/names';
import { useLengths } from '@/ui/shell';
import styles from './Bench.module.css';

const W = 400;
const H = 380;
const M = { left: 48, right: 12, top: 14, bottom: 44 };
/** Columns and rows: fine enough for a smooth line, few enough to follow the hand. */
const STEPS = 26;
/** The limits that have a line, in a word. */
const WORDS = {
  rpm: 'turns',
  feed: 'feed',
  power: 'power',
  torque: 'torque',
  deflection: 'bends',
  'thin chip': 'rubs',
  'thick chip': 'too thick',
} as const satisfies Partial<Record<Bind['of'], string>>;

/** What the map goes over: depth and width of the pass, or speed and feed. */
export type MapOver = 'pass' | 'speed';

/** A figure on the way along or up: where it is, how far it goes, and in which words. */
interface Axis {
  at: number;
  beside: number | null;
  most: number;
  name: string;
  say: (figure: number) => string;
}

/**
 * A cut among its limits: beyond one's line it is not to be run. Depth over width, or speed over feed, as it is asked. The
 * point is dragged, or goes by the arrow keys.
 */
export function CutMapChart({
  cut,
  beside,
  over,
  onMove,
}: {
  cut: CutAsked;
  beside: CutAsked | null;
  over: MapOver;
  /** Its figure upwards and along: ap and ae, or Vc and the feed a tooth. */
  onMove: (up: number, along: number) => void;
}) {
  const lengths = useLengths();
  const svg = useRef<SVGSVGElement>(null);
  const asked = useDeferredValue(cut);
  const { along, up } = useMemo(() => axesOf(cut, beside, over, lengths), [cut, beside, over, lengths]);
  const x = scaleLinear([0, along.most], [M.left, W - M.right]).clamp(true);
  const y = scaleLinear([0, up.most], [H - M.bottom, M.top]).clamp(true);
  const { lines, hunts } = useMemo(() => limitsOf(asked, over), [asked, over]);
  const path = geoPath(
    geoTransform({
      // A cell's middle is its figure; one cell was laid round the grid, and ends at the field's border.
      point(column, row) {
        const side = (at: number, of: number) => ((at - 0.5) * of) / STEPS;
        this.stream.point(x(side(column, along.most)), y(side(row, up.most)));
      },
    }),
  );
  const drag = (event: PointerEvent) => {
    if (event.buttons !== 1 || !svg.current) return;
    const box = svg.current.getBoundingClientRect();
    const [px, py] = [((event.clientX - box.x) * W) / box.width, ((event.clientY - box.y) * H) / box.height];
    onMove(Math.max(y.invert(py), up.most / 200), Math.max(x.invert(px), along.most / 200));
  };
  const key = (event: KeyboardEvent) => {
    const step = event.shiftKey ? 10 : 1;
    const by: Record<string, [up: number, along: number]> = {
      ArrowUp: [1, 0],
      ArrowDown: [-1, 0],
      ArrowRight: [0, 1],
      ArrowLeft: [0, -1],
    };
    const move = by[event.key];
    if (!move) return;
    event.preventDefault();
    const to = (at: number, d: number, of: number) =>
      Math.min(of, Math.max(of / 200, at + (d * step * of) / 100));
    onMove(to(up.at, move[0], up.most), to(along.at, move[1], along.most));
  };
  return (
    <figure className={styles.map}>
      <svg
        ref={svg}
        viewBox={`0 0 ${W} ${H}`}
        width="100%"
        onPointerDown={(e) => {
          e.currentTarget.setPointerCapture(e.pointerId);
          drag(e);
        }}
        onPointerMove={drag}
        style={{ touchAction: 'none' }}
      >
        <rect
          x={M.left}
          y={M.top}
          width={W - M.left - M.right}
          height={H - M.top - M.bottom}
          className={styles.field}
        />
        {x.ticks(5).map((t) => (
          <text key={t} x={x(t)} y={H - M.bottom + 16} textAnchor="middle" className={styles.tick}>
            {along.say(t)}
          </text>
        ))}
        {y.ticks(6).map((t) => (
          <text key={t} x={M.left - 6} y={y(t) + 4} textAnchor="end" className={styles.tick}>
            {up.say(t)}
          </text>
        ))}
        <text x={(M.left + W - M.right) / 2} y={H - 8} textAnchor="middle" className={styles.axis}>
          {along.name}
        </text>
        <text x={M.left} y={10} className={styles.axis}>
          {up.name}
        </text>
        {lines.map(({ of, over, at }) => (
          <g key={of}>
            <path d={path(over) ?? ''} className={styles.beyond} />
            {at && (
              <text
                x={Math.min(W - 70, x((at[0] * along.most) / STEPS) + 4)}
                y={Math.max(M.top + 12, y((at[1] * up.most) / STEPS) - 4)}
                className={styles.limit}
              >
                {WORDS[of]}
              </text>
            )}
          </g>
        ))}
        {hunts && (
          <>
            <rect
              x={M.left}
              y={y(hunts.to)}
              width={W - M.left - M.right}
              height={y(hunts.from) - y(hunts.to)}
              className={styles.beyond}
            />
            <text x={M.left + 6} y={Math.max(M.top + 12, y(hunts.to) - 4)} className={styles.limit}>
              hunts
            </text>
          </>
        )}
        {along.beside !== null && up.beside !== null && (
          <circle cx={x(along.beside)} cy={y(up.beside)} r="6" className={styles.other} />
        )}
        <circle
          cx={x(along.at)}
          cy={y(up.at)}
          r="9"
          className={styles.point}
          role="slider"
          tabIndex={0}
          aria-label={over === 'pass' ? 'This cut: depth and width' : 'This cut: speed and feed'}
          aria-valuetext={
            over === 'pass'
              ? `${lengths.show(cut.ap, 2)} deep, ${lengths.show(cut.ae, 2)} wide`
              : `Vc ${up.say(up.at)}, ${lengths.show(along.at, 4)} a tooth`
          }
          aria-valuenow={Math.round((100 * up.at) / up.most)}
          aria-valuemin={0}
          aria-valuemax={100}
          onKeyDown={key}
        />
      </svg>
      <figcaption className="soft small">
        {lines.length > 0 || hunts
          ? 'Shaded: past a limit. Drag the point, or move it by the arrow keys.'
          : over === 'pass'
            ? 'No limit is known that goes with depth or width: say what the spindle gives, or how far it may bend.'
            : 'No limit is known that goes with speed or feed: choose the machine, or say what the holder turns at most.'}
      </figcaption>
    </figure>
  );
}

/** Both ways of the map. A speed map is asked only where a feed a tooth is known (`speedReach`). */
function axesOf(
  cut: CutAsked,
  beside: CutAsked | null,
  over: MapOver,
  { show, unitWord }: ReturnType<typeof useLengths>,
): { along: Axis; up: Axis } {
  if (over === 'pass') {
    const most = mapReach(cut);
    const say = (t: number) => show(t, 1);
    return {
      along: {
        ...{ at: cut.ae, beside: beside?.ae ?? null, most: most.ae },
        name: `width ae, ${unitWord}`,
        say,
      },
      up: {
        ...{ at: cut.ap, beside: beside?.ap ?? null, most: most.ap },
        name: `depth ap, ${unitWord}`,
        say,
      },
    };
  }
  const [here, there] = [cutFigures(cut), beside && cutFigures(beside)];
  const most = speedReach(cut) ?? { fz: 1, vc: 1 };
  return {
    along: {
      ...{ at: here.fz.value ?? 0, beside: there?.fz.value ?? null, most: most.fz },
      ...{ name: `feed a tooth, ${unitWord}`, say: (t) => show(t, 3) },
    },
    up: {
      ...{ at: here.vc.value, beside: there?.vc.value ?? null, most: most.vc },
      ...{ name: 'speed Vc, m/min', say: (t) => t.toFixed(0) },
    },
  };
}

/** The lines of the limits, and over speeds the band where the spindle hunts. */
const limitsOf = (asked: CutAsked, over: MapOver) => ({
  lines: linesOf(over === 'pass' ? cutMap(asked, STEPS).shares : (speedMap(asked, STEPS)?.shares ?? {})),
  hunts: over === 'pass' ? null : huntingSpeeds(asked),
});

/** The grid with one cell more on each side, of the figure beside it: what is shaded goes to the border of the field. */
const WITH_EDGE = STEPS + 2;
const withEdge = (values: readonly number[]): number[] =>
  Array.from({ length: WITH_EDGE * WITH_EDGE }, (_, i) => {
    const inside = (at: number) => Math.min(STEPS - 1, Math.max(0, at - 1));
    return values[inside(Math.floor(i / WITH_EDGE)) * STEPS + inside(i % WITH_EDGE)] ?? 0;
  });

/** What lies past each limit, in columns and rows, and where its name stands: the first place along its line. */
function linesOf(shares: CutMap['shares']) {
  return namesOf(WORDS).flatMap((of, i, all) => {
    const values = shares[of];
    if (!values) return [];
    const [over] = contours().size([WITH_EDGE, WITH_EDGE]).thresholds([1])(withEdge(values));
    if (!over || over.coordinates.length === 0) return [];
    const inside = over.coordinates
      .flat(2)
      .filter(([c = 0, r = 0]) => c > 2 && r > 2 && c < STEPS && r < STEPS);
    // Lines may lie on each other, as those of power and torque do at high turns: each name has its own place along them.
    const at = inside[Math.floor((inside.length * (i + 1)) / (all.length + 1))] ?? null;
    return [{ of, over, at: at && ([(at[0] ?? 0) - 0.5, (at[1] ?? 0) - 0.5] as const) }];
  });
}
