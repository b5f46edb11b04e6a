'use client';
import {
  DndContext,
  type DragEndEvent,
  PointerSensor,
  useDraggable,
  useDroppable,
  useSensor,
  useSensors,
} from '@dnd-kit/core';
import Button from '@mui/material/Button';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { numbersInOrder, type RenumberedProgram } from '@/core/programs';
import type { JobView, ToolLine } from '@/crib/jobs';
import { Tick } from '@/ui/kit/field';
import { ProblemNote, SendButton, useVerb } from '@/ui/kit/form';
import { Link } from '@/ui/kit/link';
import { Acts, Caution, Head, Notice } from '@/ui/kit/page';
import { useQuery } from '@/ui/screens/common/query';
import styles from './Kit.module.css';
import { useRenumbered } from './renumbered';

/** Other numbers for the tools of a program: the order they are put in, the map it makes, and what the text would be. */
export function NumbersSheet({ job, program }: { job: JobView; program: NonNullable<JobView['program']> }) {
  const query = useQuery('jobs');
  const router = useRouter();
  const verb = useVerb('renumberTools');
  const [order, setOrder] = useState(() => job.tools.map((t) => t.t));
  const [kept, setKept] = useState<ReadonlySet<number>>(new Set());
  const sensors = useSensors(useSensor(PointerSensor, { activationConstraint: { distance: 4 } }));
  const map = numbersInOrder(order, kept);
  const moved = map.filter((m) => m.t !== m.to);
  const { answer, look, forget } = useRenumbered(program.entryId);
  const change = (next: () => void) => {
    forget();
    next();
  };
  const put = (t: number, at: number) =>
    change(() => {
      const rest = order.filter((x) => x !== t);
      const to = Math.max(0, Math.min(rest.length, at));
      setOrder([...rest.slice(0, to), t, ...rest.slice(to)]);
    });
  const dropped = ({ active, over }: DragEndEvent) => {
    if (over && over.id !== active.id) put(Number(active.id), order.indexOf(Number(over.id)));
  };
  const send = () =>
    void verb
      .send(
        { operation: job.operation.id, program: program.entryId, numbers: moved },
        (d) => `${d.tools} tools of ${d.job} have other numbers`,
      )
      .then((done) => done && router.push(query.href({ do: null }), { scroll: false }));
  return (
    <>
      <Head>
        <div>
          <Link className="small" href={query.href({ do: null })}>
            {job.operation.job} {job.operation.part}
          </Link>
          <h1>Other numbers for its tools</h1>
          <div className="soft">
            Put them in the order you want: T, H and D move together. {program.name} stays as it was stored.
          </div>
        </div>
      </Head>
      <DndContext sensors={sensors} onDragEnd={dropped}>
        <ul className={styles.order}>
          {order.flatMap((t, i) => {
            const line = job.tools.find((x) => x.t === t);
            return line
              ? [
                  <Numbered
                    key={t}
                    line={line}
                    to={map[i]?.to ?? t}
                    keeps={kept.has(t)}
                    onKeep={(keeps) =>
                      change(() => {
                        const next = new Set(kept);
                        if (keeps) next.add(t);
                        else next.delete(t);
                        setKept(next);
                      })
                    }
                    onMove={(by) => put(t, i + by)}
                  />,
                ]
              : [];
          })}
        </ul>
      </DndContext>
      {moved.length === 0 ? (
        <p className="soft">Each has the number it has now.</p>
      ) : (
        <Acts>
          <Button onClick={() => look(moved)}>What changes in the program</Button>
        </Acts>
      )}
      {answer === 'on its way' && <p className="soft">Reading the program …</p>}
      {answer && answer !== 'on its way' && 'line' in answer && (
        <Notice kind="stop" now>
          <strong>Line {answer.line}:</strong> {answer.why}. Number it by hand, and store it as it is then.
        </Notice>
      )}
      {answer && answer !== 'on its way' && 'made' in answer && (
        <>
          <Made made={answer.made} name={program.name} />
          <ProblemNote problem={verb.problem} />
          <Caution>
            Lengths go by these numbers: until the machine has been given its registers anew, each tool runs
            with another one’s. What was proved is proved again.
          </Caution>
          <Acts>
            <SendButton variant="contained" pending={verb.pending} barred={verb.barred} onSend={send}>
              Number them so
            </SendButton>
          </Acts>
        </>
      )}
    </>
  );
}

function Numbered({
  line,
  to,
  keeps,
  onKeep,
  onMove,
}: {
  line: ToolLine;
  to: number;
  keeps: boolean;
  onKeep: (keeps: boolean) => void;
  onMove: (by: -1 | 1) => void;
}) {
  const { setNodeRef, attributes, listeners, transform } = useDraggable({ id: line.t });
  const { setNodeRef: setRow, isOver } = useDroppable({ id: line.t });
  return (
    <li
      ref={setRow}
      className={isOver ? styles.over : undefined}
      style={
        transform ? { transform: `translateY(${transform.y}px)`, position: 'relative', zIndex: 1 } : undefined
      }
    >
      {/* No button of the library: its ripple and focus stand in the way of what is dragged. */}
      <button
        type="button"
        className={styles.grip}
        ref={setNodeRef}
        {...attributes}
        {...listeners}
        aria-label={`T${line.t}: drag it, or move it by the arrows`}
        onKeyDown={(e) => {
          if (e.key !== 'ArrowUp' && e.key !== 'ArrowDown') return;
          e.preventDefault();
          onMove(e.key === 'ArrowUp' ? -1 : 1);
        }}
      >
        ⠿
      </button>
      <span className="fig">
        T{line.t}
        {to !== line.t && <strong> → T{to}</strong>}
      </span>
      <span>
        {line.plan?.does ?? line.tool.name} <span className="soft small">{line.tag ?? line.words}</span>
      </span>
      <label className="small">
        <Tick checked={keeps} onChange={(e) => onKeep(e.target.checked)} /> keeps T{line.t}
      </label>
    </li>
  );
}

/** How many lines are shown of what changes. */
const SHOWN = 60;
function Made({ made, name }: { made: RenumberedProgram; name: string }) {
  return (
    <>
      <h2>
        {made.changed} lines change <span className="soft small">and no other does</span>
      </h2>
      <div className={styles.differs}>
        {made.changes.slice(0, SHOWN).map((c) => (
          <Differs key={c.line} {...c} />
        ))}
      </div>
      {made.changed > SHOWN && <p className="soft small">and {made.changed - SHOWN} more in the copy</p>}
      {made.left.length > 0 && (
        <Notice label="Left as it is">
          <strong>Left as it is, to be looked at by hand.</strong>
          {made.left.slice(0, 12).map((l) => (
            <div key={`${l.line} ${l.why}`} className="small">
              line {l.line} <span className="fig">{l.text}</span>: {l.why}
            </div>
          ))}
        </Notice>
      )}
      <Acts>
        <Button
          onClick={() => {
            const href = URL.createObjectURL(new Blob([made.text], { type: 'text/plain' }));
            const link = Object.assign(document.createElement('a'), { href, download: copyName(name) });
            link.click();
            URL.revokeObjectURL(href);
          }}
        >
          The changed copy
        </Button>
      </Acts>
    </>
  );
}
const Differs = ({ line, was, is }: RenumberedProgram['changes'][number]) => (
  <>
    <span className="soft">{line}</span>
    <del>{was}</del>
    <ins>{is}</ins>
  </>
);

/** The copy's name says that it is one. Example: 'block.nc' -> 'block-renumbered.nc'. */
const copyName = (name: string): string => {
  const dot = name.lastIndexOf('.');
  return dot > 0 ? `${name.slice(0, dot)}-renumbered${name.slice(dot)}` : `${name}-renumbered.nc`;
};
