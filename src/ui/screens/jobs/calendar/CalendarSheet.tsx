'use client';
import {
  DndContext,
  type DragEndEvent,
  PointerSensor,
  pointerWithin,
  useDraggable,
  useDroppable,
  useSensor,
  useSensors,
} from '@dnd-kit/core';
import Button from '@mui/material/Button';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { openMinutes, type ShopCalendar } from '@/core/buying';
import { planWeeks, type WeekBar } from '@/core/jobs';
import { linkTo } from '@/core/links';
import { addDays, daysBetween } from '@/core/units';
import type { DayLine, DayMachine, DayView } from '@/crib/today';
import { ProblemNote, useVerb } from '@/ui/kit/form';
import { Link } from '@/ui/kit/link';
import { Acts, Empty, Head } from '@/ui/kit/page';
import { shortDay } from '@/ui/shell';
import styles from './Calendar.module.css';
import { MoveNote, type Moving } from './MoveNote';

/** Three weeks: what is planned further on is a wish. */
const DAYS = 21;

/** Operations on machines by days: one that is let go on another day starts there, and what waits behind it follows. */
export function CalendarSheet({ day, today }: { day: DayView; today: string }) {
  const start = useVerb('planStart');
  const [moving, setMoving] = useState<Moving | null>(null);
  const rows: DayMachine[] = [
    ...day.machines,
    ...day.idle.map((m) => ({ ...m, byHand: false, lines: [] })),
  ].sort((a, b) => a.code.localeCompare(b.code, 'en', { numeric: true }));
  const sensors = useSensors(useSensor(PointerSensor, { activationConstraint: { distance: 6 } }));
  const calendar: ShopCalendar = { ...day.calendar, closed: new Set(day.calendar.closed) };
  const days = Array.from({ length: DAYS }, (_, i) => addDays(today, i));
  const dropped = ({ active, over }: DragEndEvent) => {
    if (!over) return;
    const [machine, on] = String(over.id).split(' ');
    const to = rows.find((m) => m.code === machine);
    const of = day.machines.find((m) => m.lines.some((l) => l.operation === Number(active.id)));
    const line = of?.lines.find((l) => l.operation === Number(active.id));
    if (!of || !to || !line || !on) return;
    if (of.code !== to.code) return setMoving({ line, from: of, to, on });
    if (on === line.planned) return;
    void start.send({ operation: line.operation, starts: on }, (d) => `${d.job} starts ${shortDay(on)}`);
  };
  return (
    <>
      <Head>
        <div>
          <Link className="small" href={linkTo('jobs')}>
            all jobs
          </Link>
          <h1>Jobs on their machines</h1>
          <div className="soft">
            One after the other in the hours the shop works, as if nothing went wrong. Drag one to the day it
            is to start, or to another machine.
          </div>
        </div>
        <Acts>
          <Button component={Link} href={linkTo('machines', { do: 'days' })}>
            Days and hours
          </Button>
        </Acts>
      </Head>
      <ProblemNote problem={start.problem} />
      {day.machines.length === 0 && (
        <Empty>
          No job has parts to make. <Link href={linkTo('jobs', { new: 'job' })}>Add a job</Link>.
        </Empty>
      )}
      <DndContext sensors={sensors} collisionDetection={pointerWithin} onDragEnd={dropped}>
        {moving && <MoveNote key={moving.line.operation} moving={moving} done={() => setMoving(null)} />}
        <div className={styles.scroll}>
          <div className={styles.grid}>
            {day.machines.length > 0 && (
              <div className={styles.days}>
                <span />
                <ol style={columns}>
                  {days.map((d) => (
                    <li key={d}>
                      <strong>{d.slice(8)}</strong>
                      {WEEKDAYS[new Date(d).getUTCDay()]}
                    </li>
                  ))}
                </ol>
              </div>
            )}
            {day.machines.length > 0 &&
              rows.map((m) => <Row key={m.code} machine={m} calendar={calendar} days={days} today={today} />)}
          </div>
        </div>
      </DndContext>
    </>
  );
}
const WEEKDAYS = ['Su', 'Mo', 'Tu', 'We', 'Th', 'Fr', 'Sa'];
const columns = { gridTemplateColumns: `repeat(${DAYS}, minmax(0, 1fr))` };

function Row({
  machine: m,
  calendar,
  days,
  today,
}: {
  machine: DayMachine;
  calendar: ShopCalendar;
  days: readonly string[];
  today: string;
}) {
  const bars = planWeeks(
    m.lines.map((l) => ({
      minutes: l.minutesPerPart === null ? null : l.minutesPerPart * l.partsLeft,
      starts: l.starts,
      due: l.due,
    })),
    calendar,
    today,
  );
  const last = days.at(-1) ?? today;
  const beyond = bars.filter((b) => b.from > last);
  return (
    <div className={styles.row}>
      <div className={styles.machine}>
        <strong>{m.code}</strong>
        <div className="soft small">{m.taper}</div>
        {beyond.length > 0 && (
          <div className="soft small">later: {beyond.map((b) => m.lines[b.index]?.job).join(', ')}</div>
        )}
      </div>
      <div className={styles.lane} style={columns}>
        {days.map((d, i) => (
          <Day key={d} id={`${m.code} ${d}`} column={i + 1} closed={openMinutes(calendar, d) === 0} />
        ))}
        {bars.flatMap((bar) => {
          const line = m.lines[bar.index];
          return line && bar.from <= last
            ? [<Bar key={line.operation} bar={bar} line={line} today={today} last={last} />]
            : [];
        })}
      </div>
    </div>
  );
}

function Day({ id, column, closed }: { id: string; column: number; closed: boolean }) {
  const { setNodeRef, isOver } = useDroppable({ id });
  return (
    <div
      ref={setNodeRef}
      className={[styles.cell, closed && styles.closed, isOver && styles.over].filter(Boolean).join(' ')}
      style={{ gridColumn: column }}
    />
  );
}

function Bar({ bar, line, today, last }: { bar: WeekBar; line: DayLine; today: string; last: string }) {
  const router = useRouter();
  const { setNodeRef, attributes, listeners, transform, isDragging } = useDraggable({ id: line.operation });
  const from = daysBetween(today, bar.from);
  const end = bar.to === null ? from + 1 : daysBetween(today, bar.to < last ? bar.to : last);
  const looks = [
    styles.bar,
    bar.late ? styles.late : bar.pushed ? styles.pushed : null,
    (bar.to === null || bar.uncertain) && styles.open,
    isDragging && styles.held,
  ].filter(Boolean);
  const says = saysOf(bar, line);
  return (
    // No button of the library: its ripple and focus stand in the way of what is dragged.
    <button
      type="button"
      ref={setNodeRef}
      {...attributes}
      {...listeners}
      className={looks.join(' ')}
      style={{
        gridColumn: `${from + 1} / span ${Math.max(1, end - from + 1)}`,
        gridRow: bar.index + 1,
        ...(transform ? { transform: `translate(${transform.x}px, ${transform.y}px)` } : {}),
      }}
      title={`${line.job} ${line.part}: ${says}`}
      aria-roledescription="drag it to another day or machine, or open it"
      onClick={() => router.push(linkTo('jobs', { open: line.job, op: line.number }))}
    >
      <span className={styles.name}>
        {bar.late && <span aria-hidden="true">■ </span>}
        {!bar.late && bar.pushed && <span aria-hidden="true">▲ </span>}
        {line.job} {line.part}
      </span>
      <span className="small">{says}</span>
    </button>
  );
}

function saysOf(bar: WeekBar, line: DayLine): string {
  const due = `due ${shortDay(line.due)}`;
  if (line.minutesPerPart === null) return `no program: how long is not known, ${due}`;
  const done =
    bar.to === null ? 'not done in a year' : `${line.atLeast ? 'not before' : 'about'} ${shortDay(bar.to)}`;
  const parts = [`${line.partsLeft} left, ${done}, ${due}`];
  if (bar.late) parts.unshift('late');
  if (bar.pushed && line.planned) parts.push(`was to start ${shortDay(line.planned)}`);
  if (bar.uncertain) parts.push('what is before it has no program');
  return parts.join(', ');
}
