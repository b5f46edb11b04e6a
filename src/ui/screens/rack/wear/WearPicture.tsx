'use client';
import Button from '@mui/material/Button';
import { type KeyboardEvent, type MouseEvent, type PointerEvent, useEffect, useRef, useState } from 'react';
import { type Dot, landInPicture } from '@/core/life';
import { parseLength } from '@/core/units';
import { Entry, Field } from '@/ui/kit/field';
import { FileButton } from '@/ui/kit/file';
import { Acts } from '@/ui/kit/page';
import { useLengths, useSurroundings } from '@/ui/shell';
import styles from './WearPicture.module.css';

/** What is pointed at, in order: a length that is known, then the land. */
const POINTS = [
  'one end of the known length',
  'its other end',
  'the edge, where the land begins',
  'where the worn land ends',
] as const;
/** A hand sets a point to about so many dots of the screen, each way (practice). */
const HAND_OFF = 1.5;
const ZOOMS = [1, 2, 4] as const;

/** A figure read in a picture, as texts of the form's unit. */
export type FromPicture = Record<'as' | 'value' | 'off', string>;

/** Flank wear out of a picture: two points on a known length, two across the land. */
export function WearPicture({
  DC,
  onPicture,
  onRead,
}: {
  /** Of the cutter, mm: most often the length that is known. */
  DC: number;
  onPicture: (file: File) => void;
  onRead: (read: FromPicture) => void;
}) {
  const { show, unitWord } = useLengths();
  const { unit } = useSurroundings();
  const decimals = unit === 'mm' ? 3 : 4;
  const [url, setUrl] = useState<string | null>(null);
  const [size, setSize] = useState<{ width: number; height: number } | null>(null);
  const [lost, setLost] = useState(false);
  const [points, setPoints] = useState<(Dot & { off: number })[]>([]);
  const [zoom, setZoom] = useState<number>(1);
  // In the unit in which it was typed: swapping the display must not turn 20 mm into 20 inches.
  const [known, setKnown] = useState({ text: show(DC, decimals), unit });
  const [moving, setMoving] = useState<number | null>(null);
  const drawing = useRef<SVGSVGElement>(null);
  useEffect(() => () => void (url && URL.revokeObjectURL(url)), [url]);

  /** Half of a point's cross, in dots: as large at every size. */
  const arm = size ? size.width / 28 / zoom : 0;
  const knownMm = parseLength(known.text, known.unit)?.mm ?? null;
  const [a, b, c, d] = points;
  const read =
    a && b && c && d && knownMm !== null
      ? landInPicture([a, b], knownMm, [c, d], Math.max(a.off, b.off, c.off, d.off))
      : null;
  const choose = (file: File) => {
    setUrl(URL.createObjectURL(file));
    setSize(null);
    setLost(false);
    setPoints([]);
    onPicture(file);
  };
  /** The dot under the pointer, and by how many dots a hand is off at this size. */
  const dotAt = (event: MouseEvent) => {
    const box = drawing.current?.getBoundingClientRect();
    if (!box || !size) return null;
    const per = size.width / box.width;
    return { x: (event.clientX - box.left) * per, y: (event.clientY - box.top) * per, off: HAND_OFF * per };
  };
  const put = (at: number, dot: Dot & { off: number }) =>
    setPoints((were) => were.map((p, i) => (i === at ? dot : p)));
  /** A press that stays where it is sets the next point, however near to another; a finger that moves the picture sets none. */
  const pressed = (event: MouseEvent) => {
    const dot = dotAt(event);
    if (dot && points.length < POINTS.length) setPoints([...points, dot]);
  };
  /** Once all are set, the nearest is taken along. */
  const taken = (event: PointerEvent) => {
    const dot = dotAt(event);
    if (!dot || points.length < POINTS.length) return;
    const far = points.map((p) => Math.hypot(p.x - dot.x, p.y - dot.y));
    const nearest = far.indexOf(Math.min(...far));
    if ((far[nearest] ?? Infinity) <= arm) setMoving(nearest);
  };
  const byKey = (at: number) => (event: KeyboardEvent) => {
    const step = event.shiftKey ? 10 : 1;
    const by = { ArrowLeft: [-step, 0], ArrowRight: [step, 0], ArrowUp: [0, -step], ArrowDown: [0, step] }[
      event.key
    ];
    const was = points[at];
    if (!by || !was) return;
    event.preventDefault();
    put(at, { ...was, x: was.x + (by[0] ?? 0), y: was.y + (by[1] ?? 0) });
  };
  const use = (as: 'flankWear' | 'corner') => {
    if (!read) return;
    onRead({ as, value: show(read.mm, decimals), off: show(read.offMm, decimals) });
  };
  const line = (from?: Dot, to?: Dot) =>
    from && to && <line x1={from.x} y1={from.y} x2={to.x} y2={to.y} className={styles.between} />;
  return (
    <section aria-label="Wear in a picture">
      <p className="small">
        Taken square on the land, with a length you know in the same plane: the diameter, the width of a
        flute, a scale.
      </p>
      <Acts>
        <FileButton
          words={url ? 'Another picture' : 'Take or choose a picture'}
          label="A picture of the worn edge"
          accept="image/jpeg,image/png,image/webp"
          camera
          onFile={choose}
        />
        {url && (
          <>
            {ZOOMS.map((z) => (
              <Button key={z} variant={z === zoom ? 'contained' : 'text'} onClick={() => setZoom(z)}>
                {z} ×
              </Button>
            ))}
            <Button variant="text" onClick={() => setPoints([])}>
              Begin again
            </Button>
          </>
        )}
      </Acts>
      {url && (
        <>
          <div className={styles.window}>
            <div style={{ width: `${100 * zoom}%` }} className={styles.sheet}>
              {/* A picture of this machine's own, which nobody has sent yet. */}
              {/* eslint-disable-next-line @next/next/no-img-element */}
              <img
                src={url}
                alt="The worn edge"
                onError={() => setLost(true)}
                onLoad={(e) =>
                  setSize({ width: e.currentTarget.naturalWidth, height: e.currentTarget.naturalHeight })
                }
              />
              {size && (
                <svg
                  ref={drawing}
                  viewBox={`0 0 ${size.width} ${size.height}`}
                  data-testid="points"
                  onClick={pressed}
                  onPointerDown={taken}
                  onPointerMove={(e) => {
                    const dot = moving === null ? null : dotAt(e);
                    if (moving !== null && dot) put(moving, dot);
                  }}
                  onPointerUp={() => setMoving(null)}
                  onPointerLeave={() => setMoving(null)}
                >
                  {line(a, b)}
                  {line(c, d)}
                  {points.map((p, i) => (
                    <g
                      key={POINTS[i]}
                      role="button"
                      tabIndex={0}
                      aria-label={`${POINTS[i]}: arrow keys move it`}
                      className={styles.point}
                      transform={`translate(${p.x} ${p.y})`}
                      onKeyDown={byKey(i)}
                    >
                      <circle r={arm * 0.7} className={styles.grip} />
                      <path
                        d={`M${-arm} 0H${-arm / 4}M${arm / 4} 0H${arm}M0 ${-arm}V${-arm / 4}M0 ${arm / 4}V${arm}`}
                      />
                    </g>
                  ))}
                </svg>
              )}
            </div>
          </div>
          <Field>
            <label htmlFor="known-length">Known length, {known.unit === 'mm' ? 'mm' : 'in'}</label>
            <Entry
              id="known-length"
              className="fig"
              inputMode="decimal"
              value={known.text}
              aria-invalid={knownMm === null || !(knownMm > 0)}
              onChange={(e) =>
                setKnown({ text: e.target.value, unit: known.text.trim() === '' ? unit : known.unit })
              }
            />
          </Field>
          <p aria-live="polite">
            {lost ? (
              <>This file is no picture that can be shown: take it again, or save it as JPEG.</>
            ) : points.length < POINTS.length ? (
              <>Point at {POINTS[points.length]}.</>
            ) : read ? (
              <>
                The land is <b className="fig">{show(read.mm, decimals)}</b> ±{' '}
                <span className="fig">{show(read.offMm, decimals)}</span> {unitWord}
                {read.offMm > read.mm / 2 && ': too vague; take it nearer, or point at it larger'}.
              </>
            ) : (
              <>
                Nothing can be said of these points: the two of a pair lie on each other, or the length is
                none.
              </>
            )}
          </p>
          {read && (
            <Acts>
              <Button onClick={() => use('flankWear')}>Use as flank wear</Button>
              <Button onClick={() => use('corner')}>Use as wear of the corner</Button>
            </Acts>
          )}
        </>
      )}
    </section>
  );
}
