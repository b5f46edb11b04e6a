import { cutterOutline, type CutterGeometry } from '@/core/cutters';
import { mirrored, openLine } from './drawing';

/** A cutter alone, lying, to scale within the width given. Says what had to be assumed. */
export function CutterDrawing({ cutter, width = 300 }: { cutter: CutterGeometry; width?: number }) {
  const length = cutter.OAL ?? Math.max(cutter.DC * 6, (cutter.LCF ?? 0) * 1.8);
  const outline = cutterOutline(cutter, length);
  const widest = Math.max(cutter.DC, cutter.DMM ?? cutter.DC);
  const scale = Math.min((width - 8) / length, 90 / widest);
  return (
    <figure style={{ margin: '10px 0' }}>
      <svg width={width} height={widest * scale + 12} role="img" aria-label="The cutter to scale">
        <g transform={`translate(4 ${(widest * scale) / 2 + 6}) rotate(-90)`}>
          <path d={mirrored(outline.shank, scale)} fill="var(--steel)" />
          <path d={mirrored(outline.flute, scale)} fill="var(--sheet)" />
          <path
            d={outline.openEnd ? openLine(outline.flute, scale, 'tip') : mirrored(outline.flute, scale)}
            fill="none"
            stroke="var(--accent)"
            strokeWidth="1.4"
          />
        </g>
      </svg>
      {(outline.assumed.length > 0 || cutter.OAL === null) && (
        <figcaption className="soft small">
          {[
            ...outline.assumed.map((a) => a.words),
            ...(cutter.OAL === null ? ['OAL not known: length guessed'] : []),
          ].join('; ')}
        </figcaption>
      )}
    </figure>
  );
}
