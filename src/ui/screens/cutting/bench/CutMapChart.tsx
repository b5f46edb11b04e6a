'use client';
import { contours, geoPath, geoTransform, scaleLinear } from 'd3';
import { type KeyboardEvent, type PointerEvent, useDeferredValue, useMemo, useRef } from 'react';
import { type Bind, type CutAsked, cutMap, mapReach } from '@/core/cutting';
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
  feed: 'feed',
  power: 'power',
  torque: 'torque',
  deflection: 'bends',
  'thin chip': 'rubs',
} as const satisfies Partial<Record<Bind['of'], string>>;

/** Depth over width with the limits as lines: beyond one the cut is not to be run. The point is dragged, or goes by the arrow keys. */
export function CutMapChart({
  cut,
  beside,
  onMove,
}: {
  cut: CutAsked;
  beside: CutAsked | null;
  onMove: (ap: number, ae: number) => void;
}) {
  const { show, unitWord } = useLengths();
  const svg = useRef<SVGSVGElement>(null);
  const asked = useDeferredValue(cut);
  const most = mapReach(cut);
  const x = scaleLinear([0, most.ae], [M.left, W - M.right]).clamp(true);
  const y = scaleLinear([0, most.ap], [H - M.bottom, M.top]).clamp(true);
  const lines = useMemo(() => linesOf(asked), [asked]);
  const path = geoPath(
    geoTransform({
      // A cell's middle is its figure: the grid begins half a cell before its first.
      point(column, row) {
        const side = (at: number, of: number) => ((at + 0.5) * of) / STEPS;
        this.stream.point(x(side(column, most.ae)), y(side(row, most.ap)));
      },
    }),
  );
  const drag = (event: PointerEvent) => {
    if (event.buttons !== 1 || !svg.current) return;
    const box = svg.current.getBoundingClientRect();
    const [px, py] = [((event.clientX - box.x) * W) / box.width, ((event.clientY - box.y) * H) / box.height];
    onMove(Math.max(y.invert(py), most.ap / 200), Math.max(x.invert(px), most.ae / 200));
  };
  const key = (event: KeyboardEvent) => {
    const step = event.shiftKey ? 10 : 1;
    const by: Record<string, [ap: number, ae: number]> = {
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
    onMove(to(cut.ap, move[0], most.ap), to(cut.ae, move[1], most.ae));
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
            {show(t, 1)}
          </text>
        ))}
        {y.ticks(6).map((t) => (
          <text key={t} x={M.left - 6} y={y(t) + 4} textAnchor="end" className={styles.tick}>
            {show(t, 1)}
          </text>
        ))}
        <text x={(M.left + W - M.right) / 2} y={H - 8} textAnchor="middle" className={styles.axis}>
          width ae, {unitWord}
        </text>
        <text x={M.left} y={10} className={styles.axis}>
          depth ap, {unitWord}
        </text>
        {lines.map(({ of, over, at }) => (
          <g key={of}>
            <path d={path(over) ?? ''} className={styles.beyond} />
            {at && (
              <text
                x={Math.min(W - 70, x((at[0] * most.ae) / STEPS) + 4)}
                y={Math.max(M.top + 12, y((at[1] * most.ap) / STEPS) - 4)}
                className={styles.limit}
              >
                {WORDS[of]}
              </text>
            )}
          </g>
        ))}
        {beside && <circle cx={x(beside.ae)} cy={y(beside.ap)} r="6" className={styles.other} />}
        <circle
          cx={x(cut.ae)}
          cy={y(cut.ap)}
          r="9"
          className={styles.point}
          role="slider"
          tabIndex={0}
          aria-label="This cut: depth and width"
          aria-valuetext={`${show(cut.ap, 2)} deep, ${show(cut.ae, 2)} wide`}
          aria-valuenow={Math.round((100 * cut.ap) / most.ap)}
          aria-valuemin={0}
          aria-valuemax={100}
          onKeyDown={key}
        />
      </svg>
      <figcaption className="soft small">
        {lines.length === 0
          ? 'No limit is known that goes with depth or width: say what the spindle gives, or how far it may bend.'
          : 'Shaded: past a limit. Drag the point, or move it by the arrow keys.'}
      </figcaption>
    </figure>
  );
}

/** What lies past each limit, in columns and rows, and where its name stands: the first place along its line. */
function linesOf(asked: CutAsked) {
  const { shares } = cutMap(asked, STEPS);
  return namesOf(WORDS).flatMap((of, i, all) => {
    const values = shares[of];
    if (!values) return [];
    const [over] = contours().size([STEPS, STEPS]).thresholds([1])(values);
    if (!over || over.coordinates.length === 0) return [];
    const inside = over.coordinates
      .flat(2)
      .filter(([c = 0, r = 0]) => c > 1 && r > 1 && c < STEPS - 1 && r < STEPS - 1);
    // Lines may lie on each other, as those of power and torque do at high turns: each name has its own place along them.
    const at = inside[Math.floor((inside.length * (i + 1)) / (all.length + 1))] ?? null;
    return [{ of, over, at: at && ([at[0] ?? 0, at[1] ?? 0] as const) }];
  });
}
