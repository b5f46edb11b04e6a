'use client';
import { useDraggable, useDroppable } from '@dnd-kit/core';
import { type CSSProperties, useId } from 'react';
import { worstGrade } from '@/core/because';
import type { MagazineKind } from '@/core/pockets';
import type { PocketLine, ToolHere } from '@/crib/pockets';
import { GradeMark } from '@/ui/kit/figure';
import styles from './Pockets.module.css';

/** More than stand round about without touching, beside an open tag on a small screen, are shown in rows. */
const ROUND = 20;

/** The pockets as they lie: round about, or in rows; each a place to drop a tool on, and one to open. */
export function PocketMap({
  kind,
  pockets,
  open,
  hand,
  onOpen,
  onPut,
  barred,
}: {
  kind: MagazineKind;
  pockets: readonly PocketLine[];
  open: number;
  hand: string | null;
  onOpen: (pocket: number) => void;
  onPut: (pocket: number) => void;
  /** Who may load where whoever looks may not. */
  barred: string | null;
}) {
  const round = kind !== 'rack' && pockets.length >= 6 && pockets.length <= ROUND;
  const at = (i: number): CSSProperties => {
    // The first at the top, on as a clock goes.
    const angle = (2 * Math.PI * i) / pockets.length - Math.PI / 2;
    return { left: `${50 + 43 * Math.cos(angle)}%`, top: `${50 + 42 * Math.sin(angle)}%` };
  };
  const size = round && pockets.length > 12 ? styles.small : undefined;
  return (
    <ol className={`${round ? styles.round : styles.rows} ${size ?? ''}`} aria-label="Pockets">
      {pockets.map((p, i) => (
        <li key={p.pocket} style={round ? at(i) : undefined}>
          <Pocket
            line={p}
            isOpen={p.pocket === open}
            hand={barred === null ? hand : null}
            onOpen={() => onOpen(p.pocket)}
            onPut={() => onPut(p.pocket)}
          />
        </li>
      ))}
    </ol>
  );
}

function Pocket({
  line,
  isOpen,
  hand,
  onOpen,
  onPut,
}: {
  line: PocketLine;
  isOpen: boolean;
  hand: string | null;
  onOpen: () => void;
  onPut: () => void;
}) {
  const { pocket, tool } = line;
  const { setNodeRef: dropRef, isOver } = useDroppable({ id: pocket });
  const {
    setNodeRef: dragRef,
    listeners,
    transform,
  } = useDraggable({ id: tool?.tag ?? `empty ${pocket}`, disabled: !tool });
  const grade =
    tool &&
    worstGrade([...(tool.use ? [tool.use] : []), ...(tool.pocket.grade === 'stop' ? [tool.pocket] : [])]);
  const words = tool ? `Pocket ${pocket}: T${tool.t}, ${tool.tag}` : `Pocket ${pocket}: empty`;
  return (
    <div ref={dropRef}>
      {/* No link: where it is let go after it was dragged, a browser would follow it. */}
      <button
        ref={dragRef}
        {...listeners}
        type="button"
        data-over={isOver ? '' : undefined}
        onClick={hand === null ? onOpen : onPut}
        aria-label={hand ? `${words}. Put ${hand} in` : words}
        aria-current={isOpen ? 'true' : undefined}
        className={[styles.pocket, tool ? styles.full : styles.empty, isOpen ? styles.open : ''].join(' ')}
        style={moved(transform)}
      >
        <span className={styles.no}>{pocket}</span>
        {tool ? (
          <>
            <strong className="fig">T{tool.t}</strong>
            <span className={styles.tag}>
              {grade && (tool.use ?? tool.pocket.grade === 'stop') ? (
                <GradeMark grade={grade}>{tool.tag}</GradeMark>
              ) : (
                tool.tag
              )}
            </span>
          </>
        ) : (
          <span className="soft">free</span>
        )}
      </button>
    </div>
  );
}

const moved = (by: { x: number; y: number } | null): CSSProperties | undefined =>
  by ? { transform: `translate(${by.x}px, ${by.y}px)`, zIndex: 5 } : undefined;

/** Tools of this machine's jobs that are in none of its pockets: dragged, or tapped and then their pocket. */
export function Waiting({
  tools,
  hand,
  onTake,
}: {
  tools: readonly ToolHere[];
  hand: string | null;
  onTake: (tag: string) => void;
}) {
  const id = useId();
  if (!tools.length) return null;
  return (
    <section aria-labelledby={id}>
      <h2 id={id}>Waiting to go in</h2>
      <ul className={styles.waiting}>
        {tools.map((t) => (
          <li key={t.tag}>
            <Chip tool={t} inHand={hand === t.tag} onTake={() => onTake(t.tag)} />
          </li>
        ))}
      </ul>
    </section>
  );
}

function Chip({ tool, inHand, onTake }: { tool: ToolHere; inHand: boolean; onTake: () => void }) {
  const { setNodeRef, listeners, transform } = useDraggable({ id: tool.tag });
  return (
    <button
      ref={setNodeRef}
      {...listeners}
      type="button"
      className={styles.chip}
      aria-pressed={inHand}
      onClick={onTake}
      style={moved(transform)}
    >
      <strong className="fig">{tool.tag}</strong>{' '}
      {tool.use && tool.use.grade !== 'good' && <GradeMark grade={tool.use.grade}>{tool.use.why}</GradeMark>}
      <br />
      <span className="soft small">{tool.words}</span>
    </button>
  );
}
