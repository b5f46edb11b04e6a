'use client';
import LinearProgress from '@mui/material/LinearProgress';
import ToggleButton from '@mui/material/ToggleButton';
import ToggleButtonGroup from '@mui/material/ToggleButtonGroup';
import { useState } from 'react';
import type { Extent, ReadOptions, ToolReport } from '@/core/programs';
import { Notice } from '@/ui/kit/page';
import { DepthChart, depthWords } from './DepthChart';
import { PLAN_WORDS, PlanCanvas } from './PlanCanvas';
import styles from './Path.module.css';
import { PICTURE, useDrawing } from './picture';

/** The stock in the program's coordinates, as far as the setup sheet states it. */
export type StockShown = Record<'x' | 'y' | 'z', Extent | null>;

/** The path of a program in two pictures, of all its tools or of one; a place in either shows its line. */
export function PathPictures({
  file,
  options,
  tools,
  rapidMmMin,
  stock = null,
  line = null,
  keepsRoom = false,
  onLine,
}: {
  file: Blob;
  /** How it is read: the same object while nothing of it changes. */
  options: Partial<ReadOptions>;
  tools: readonly Pick<ToolReport, 't' | 'name'>[];
  rapidMmMin: number | null;
  stock?: StockShown | null;
  line?: number | null;
  /** Their room is kept until they come: below them stands what is pressed. A page that opens at a line does without. */
  keepsRoom?: boolean;
  onLine?: (line: number) => void;
}) {
  const [only, setOnly] = useState<number | null>(null);
  const drawing = useDrawing(file, options, only, rapidMmMin === null ? null : rapidMmMin / 60);
  const drawn = 'drawn' in drawing ? drawing.drawn : null;
  return (
    <section aria-label="Its path">
      {tools.length > 1 && (
        <ToggleButtonGroup
          exclusive
          size="small"
          className={styles.tools}
          aria-label="Which tool is shown"
          value={only ?? 'all'}
          onChange={(_, chosen: number | 'all' | null) => setOnly(chosen === 'all' ? null : chosen)}
        >
          <ToggleButton value="all">all</ToggleButton>
          {tools.map(({ t, name }) => (
            <ToggleButton key={t} value={t} className="fig" title={name ?? undefined}>
              T{t}
            </ToggleButton>
          ))}
        </ToggleButtonGroup>
      )}
      {drawing.state === 'lost' && <Notice>Its path could not be drawn: {drawing.why}.</Notice>}
      {drawing.state === 'nothing' && (
        <p className="soft small">No place of its path is known, so there is nothing to draw.</p>
      )}
      {/* Its room is kept: a picture that moved as the bar went would lie elsewhere under the pointer. */}
      <div className={styles.progress}>
        {drawing.state === 'drawing' && (
          <LinearProgress variant="determinate" aria-label="Drawing its path" value={100 * drawing.share} />
        )}
      </div>
      {keepsRoom && !drawn && drawing.state === 'drawing' && (
        <div className={styles.pictures} aria-hidden>
          {[depthWords(rapidMmMin !== null), PLAN_WORDS].map((words) => (
            <figure key={words}>
              <div className={styles.room} style={{ aspectRatio: `${PICTURE.width} / ${PICTURE.height}` }} />
              <figcaption className="small soft">{words}</figcaption>
            </figure>
          ))}
        </div>
      )}
      {drawn && (
        <div className={styles.pictures} data-drawn={drawing.state === 'drawn'}>
          <DepthChart
            {...{ drawn, only, line, onLine }}
            stock={stock?.z ?? null}
            timed={rapidMmMin !== null}
          />
          <PlanCanvas
            {...{ line, onLine }}
            plan={drawn.plan}
            stock={stock?.x && stock.y ? { x: stock.x, y: stock.y } : null}
          />
        </div>
      )}
    </section>
  );
}
