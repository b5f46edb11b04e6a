// Draws the path of a program beside the page: twice through the text, first how far it reaches, then what is to be seen.
import { bothHear, DepthPicture, Extents, planFrame, PlanPicture, readProgram } from '@/core/programs';
import { fileSourceOf, tellWhyLost } from './fileSource';
import type { AskedPicture, Drawn, ToldPicture } from './picture';

/** A batch is shown no more often than this, ms. */
const EVERY = 250;

const tell = (told: ToldPicture) => self.postMessage(told);

self.addEventListener('message', ({ data: asked }: MessageEvent<AskedPicture>) =>
  tellWhyLost(tell, () => {
    const { file, options, size, only, rapidMmS } = asked;
    const source = fileSourceOf(file);
    const reach = new Extents();
    readProgram(source, options, {
      path: reach,
      progress: (bytes) => tell({ kind: 'progress', share: bytes / file.size / 2 }),
    });
    const { extents } = reach;
    if (!extents.feed) return tell({ kind: 'nothing' });
    const [x, y] = extents.feed;
    const plan = new PlanPicture(planFrame(x, y, size.width, size.height), only);
    const seconds = extents.seconds + (rapidMmS ? extents.rapidMm / rapidMmS : 0);
    const depth = new DepthPicture(seconds, size.columns, rapidMmS);
    let shown = 0;
    const drawn = (done: boolean): Drawn => ({
      extents,
      seconds,
      plan: shownPlan(plan),
      depth: shownDepth(depth),
      done,
    });
    readProgram(source, options, {
      path: bothHear(plan, depth),
      progress: (bytes) => {
        tell({ kind: 'progress', share: 0.5 + bytes / file.size / 2 });
        const now = performance.now();
        if (now - shown < EVERY) return;
        shown = now;
        tell({ kind: 'drawn', drawn: drawn(false) });
      },
    });
    tell({ kind: 'drawn', drawn: drawn(true) });
  }),
);

const shownPlan = ({ frame, marks, lines, lowest }: PlanPicture): Drawn['plan'] => ({
  frame,
  marks,
  lines,
  lowest,
});
const shownDepth = (d: DepthPicture): Drawn['depth'] => ({
  columns: d.columns,
  feedLow: d.feedLow,
  feedHigh: d.feedHigh,
  rapidLow: d.rapidLow,
  rapidHigh: d.rapidHigh,
  lines: d.lines,
  spans: d.spans,
});
