'use client';
import { Link } from '@/ui/kit/link';
import { type KeyboardEvent, useEffect, useRef, useState } from 'react';
import type { Grade } from '@/core/because';
import { useLengths } from '@/ui/shell';
import { AssemblyDrawing } from './AssemblyDrawing';
import { Pointed } from './Pointed';
import type { RackSlot } from './slot';
import { rackLayout, ROW_LABELS } from './rackLayout';

/** Before the tag: what must not run, and what somebody must say. */
const MARKS: Record<Grade, string> = { stop: '■ ', question: '▲ ', 'not judged': '', good: '' };

const AXIS = 44;
const TOP = 50;

/** Assemblies to scale, hung tip-down from one gauge line a row; the same scale in all rows. */
export function Rack({
  slots,
  open,
  hrefOf,
}: {
  slots: RackSlot[];
  open: string | null;
  hrefOf: (slot: RackSlot) => string;
}) {
  const box = useRef<HTMLDivElement>(null);
  const [size, setSize] = useState({ width: 730, height: 600 });
  useEffect(() => {
    const measure = () => {
      const at = box.current;
      if (at)
        setSize({
          width: at.clientWidth,
          height: Math.max(360, window.innerHeight - at.getBoundingClientRect().top - 40),
        });
    };
    measure();
    window.addEventListener('resize', measure);
    return () => window.removeEventListener('resize', measure);
  }, []);
  const point = useRef<(slot: RackSlot) => void>(null);
  const layout = rackLayout(
    slots.map((s) => ({ widest: s.card?.outline.widest ?? 63, length: s.card?.outline.length ?? 120 })),
    size.width - AXIS,
    size.height,
  );
  return (
    <div
      ref={box}
      role="group"
      aria-label="Rack, to scale, hanging from the gauge line"
      onKeyDown={(e) => step(e, box.current)}
    >
      <Pointed at={point} />
      {layout.rows.map((row) => {
        const height = row.length * layout.scale + ROW_LABELS;
        return (
          // A row out of sight is laid out and not painted: five hundred of them scroll as one does.
          <div key={row.first} style={{ contentVisibility: 'auto', containIntrinsicHeight: height, height }}>
            <svg width={size.width} height={height} style={{ display: 'block' }}>
              <RackRow
                slots={slots.slice(row.first, row.first + row.count)}
                y={TOP}
                layout={layout}
                length={row.length}
                open={open}
                hrefOf={hrefOf}
                onPoint={(slot) => point.current?.(slot)}
              />
            </svg>
          </div>
        );
      })}
    </div>
  );
}

/** Left and right step along the rack, from row to row. */
function step(e: KeyboardEvent, rack: HTMLElement | null): void {
  const way = e.key === 'ArrowRight' ? 1 : e.key === 'ArrowLeft' ? -1 : 0;
  const links = [...(rack?.querySelectorAll('a') ?? [])];
  const at = links.findIndex((a) => a === document.activeElement);
  const next = links[at + way];
  if (way === 0 || at < 0 || !next) return;
  e.preventDefault();
  next.focus();
}

function RackRow({
  slots,
  y,
  layout,
  length,
  open,
  hrefOf,
  onPoint,
}: {
  slots: RackSlot[];
  y: number;
  layout: ReturnType<typeof rackLayout>;
  length: number;
  open: string | null;
  hrefOf: (slot: RackSlot) => string;
  onPoint: (slot: RackSlot) => void;
}) {
  const { show } = useLengths();
  const { scale, columnWidth } = layout;
  const width = slots.length * columnWidth;
  const lines = Array.from({ length: Math.floor(length / 50) + 1 }, (_, i) => i * 50);
  return (
    <g transform={`translate(0 ${y})`}>
      {lines.map((mm) => (
        <g key={mm}>
          <line
            x1={AXIS - 6}
            x2={AXIS + width}
            y1={mm * scale}
            y2={mm * scale}
            stroke="var(--line)"
            strokeWidth={mm ? 0.8 : 0}
          />
          <text
            x={AXIS - 10}
            y={mm * scale + 4}
            textAnchor="end"
            fontSize="12"
            fill="var(--soft)"
            className="fig"
          >
            {show(mm, 0)}
          </text>
        </g>
      ))}
      {slots.map((slot, i) => {
        const isOpen = slot.card !== null && slot.card.tag === open;
        return (
          <g key={slot.key} transform={`translate(${AXIS + (i + 0.5) * columnWidth} 0)`}>
            <Link
              href={hrefOf(slot)}
              scroll={false}
              onPointerEnter={() => onPoint(slot)}
              onFocus={() => onPoint(slot)}
              aria-label={labelOf(slot, show)}
              aria-current={isOpen ? 'true' : undefined}
            >
              <rect
                x={-columnWidth / 2 + 2}
                y={-TOP + 2}
                width={columnWidth - 4}
                height={length * scale + ROW_LABELS - 6}
                fill="var(--accent)"
                opacity={isOpen ? 0.1 : 0}
              />
              <text
                y={-28}
                textAnchor="middle"
                fontSize="17"
                fontWeight="700"
                fill="var(--ink)"
                className="fig"
              >
                {slot.title}
              </text>
              <Below slot={slot} scale={scale} />
            </Link>
          </g>
        );
      })}
      <rect x={AXIS - 6} y={-6} width={width + 6} height={6} fill="var(--ink)" />
      <text x={AXIS - 10} y={-9} fontSize="11.5" textAnchor="end" fill="var(--soft)">
        gauge
      </text>
    </g>
  );
}

const labelOf = (slot: RackSlot, show: (mm: number | null) => string): string =>
  slot.card
    ? `${slot.title} ${slot.card.tag} ${slot.card.cutter.words}, ${slot.use.why ? `${slot.use.grade}: ${slot.use.why}, ` : ''}${slot.card.measured.state === 'measured' ? `length ${show(slot.card.measured.lengthMm)}` : slot.card.measured.state}${slot.card.outline.openEnd ? ', flute length not known' : ''}`
    : `${slot.title}: ${slot.missing ?? 'to build'}`;

/** The drawing and the words below its tip. */
function Below({ slot, scale }: { slot: RackSlot; scale: number }) {
  const { show } = useLengths();
  const { card } = slot;
  if (!card)
    return (
      <>
        <text y={-12} textAnchor="middle" fontSize="12.5" fill="var(--rust)">
          ■ to build
        </text>
        <rect
          x={-15}
          y={2}
          width={30}
          height={110 * scale}
          fill="none"
          stroke="var(--rust)"
          strokeDasharray="3 5"
          strokeWidth="1.5"
        />
        <text y={110 * scale + 20} textAnchor="middle" fontSize="12.5" fill="var(--rust)">
          {slot.reachMm !== null ? `reach ${show(slot.reachMm, 1)}` : ''}
        </text>
      </>
    );
  const tip = card.outline.length * scale;
  const reachZ = slot.reachMm === null ? null : (card.outline.length - slot.reachMm) * scale;
  const stop = slot.use.grade === 'stop';
  const state = card.measured.state;
  return (
    <>
      <text
        y={-12}
        textAnchor="middle"
        fontSize="12.5"
        fill={stop ? 'var(--rust)' : slot.use.grade === 'question' ? 'var(--brass)' : 'var(--soft)'}
        fontWeight={stop ? 700 : undefined}
        className="fig"
      >
        {MARKS[slot.use.grade]}
        {card.tag}
      </text>
      <AssemblyDrawing card={card} scale={scale} />
      {reachZ !== null && (slot.reachMm ?? 0) > 0 && (
        <line
          x1={-34}
          x2={34}
          y1={reachZ}
          y2={reachZ}
          stroke={stop ? 'var(--rust)' : 'var(--brass)'}
          strokeWidth="1.6"
          strokeDasharray="7 4"
        />
      )}
      {state === 'measured' ? (
        <text
          y={tip + 18}
          textAnchor="middle"
          fontSize="15"
          fontWeight="600"
          fill="var(--ink)"
          className="fig"
        >
          {show(card.measured.lengthMm)}
        </text>
      ) : (
        // Two lines: in one the words of narrow neighbours would touch.
        <text y={tip + 15} textAnchor="middle" fontSize="12.5" fontWeight="600" fill="var(--brass)">
          <tspan x={0}>▲</tspan>
          <tspan x={0} dy={15}>
            {state === 'in question' ? 'in question' : 'not measured'}
          </tspan>
        </text>
      )}
    </>
  );
}
