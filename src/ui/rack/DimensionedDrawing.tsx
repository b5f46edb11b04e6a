'use client';
import { Link } from '@/ui/kit/link';
import type { Dimensioned, FactSymbol } from '@/core/cutters';
import { type Placed, layDimensions } from './dimensionLayout';
import { mirrored } from './drawing';

/** How sure a fact is, as the figure shows it. */
export type Sureness = 'known' | 'guess' | 'not known';
/** What stands at a dimension: its figure in words, how sure it is, what it is called, and where it is stated. */
export interface DimensionWords {
  text: string | null;
  sure: Sureness;
  words: string;
  href: string;
}

const INK: Record<Sureness, string> = {
  known: 'var(--ink)',
  guess: 'var(--soft)',
  'not known': 'var(--brass)',
};

const NOT_KNOWN = 'not known';
/** Room for a symbol and its figure, px. */
const labelWidth = (symbol: string, text: string | null): number =>
  symbol.length * 8.5 + (text ?? NOT_KNOWN).length * (text === null ? 7 : 9.8) + 16;

/** A cutter or holder lying, to scale, with its facts on it: each is a way to state it. */
export function DimensionedDrawing({
  figure,
  of,
  label,
  open,
  width = 740,
}: {
  figure: Dimensioned;
  of: (symbol: FactSymbol) => DimensionWords;
  label: string;
  /** The fact that is being stated. */
  open: string | null;
  width?: number;
}) {
  const { height, scale, origin, placed } = layDimensions(figure, width, (symbol) =>
    labelWidth(symbol, of(symbol).text),
  );
  return (
    <svg viewBox={`0 0 ${width} ${height}`} width="100%" role="group" aria-label={label}>
      <g transform={`translate(${origin.x} ${origin.y}) rotate(-90)`} aria-hidden="true">
        <path d={mirrored(figure.body, scale)} fill="var(--steel)" />
        <path d={mirrored(figure.edge, scale)} fill="var(--sheet)" stroke="var(--accent)" strokeWidth="1.6" />
      </g>
      <line
        x1={origin.x - 16}
        x2={origin.x + figure.length * scale + 16}
        y1={origin.y}
        y2={origin.y}
        stroke="var(--soft)"
        strokeDasharray="14 4 3 4"
        aria-hidden="true"
      />
      {placed.map((p) => (
        <OneDimension key={p.dimension.symbol} placed={p} said={of(p.dimension.symbol)} open={open} />
      ))}
    </svg>
  );
}

function OneDimension({
  placed: { dimension, line, extensions, label, arrows },
  said,
  open,
}: {
  placed: Placed;
  said: DimensionWords;
  open: string | null;
}) {
  const [x1, y1, x2, y2] = line;
  const ink = INK[said.sure];
  const dash = said.sure === 'not known' ? '6 4' : undefined;
  const text = said.text ?? NOT_KNOWN;
  const wide = labelWidth(dimension.symbol, said.text);
  return (
    <Link
      href={said.href}
      scroll={false}
      aria-label={`${dimension.symbol} ${said.words}: ${text}${said.sure === 'guess' ? ', a guess' : ''}. State it`}
      aria-current={open === dimension.symbol ? 'true' : undefined}
    >
      <g stroke={ink} fill="none">
        {extensions.map((e, i) => (
          <line key={i} x1={e[0]} y1={e[1]} x2={e[2]} y2={e[3]} strokeWidth="0.8" opacity="0.55" />
        ))}
        <line x1={x1} y1={y1} x2={x2} y2={y2} strokeWidth="1.2" strokeDasharray={dash} />
      </g>
      {/* More to hit than a hairline. */}
      <line x1={x1} y1={y1} x2={x2} y2={y2} stroke="transparent" strokeWidth="16" />
      {arrows === 2 && <Arrow at={[x1, y1]} from={[x2, y2]} ink={ink} />}
      <Arrow at={[x2, y2]} from={[x1, y1]} ink={ink} />
      <rect
        x={label.x - wide / 2}
        y={label.y - 12}
        width={wide}
        height={24}
        fill="var(--sheet)"
        stroke={open === dimension.symbol ? 'var(--accent)' : 'none'}
        strokeWidth="2"
      />
      <text
        x={label.x}
        y={label.y + 5}
        textAnchor="middle"
        fill={ink}
        fontStyle={said.text === null ? 'italic' : undefined}
      >
        <tspan fontSize="12.5" fill={said.sure === 'known' ? 'var(--soft)' : ink}>
          {dimension.symbol}{' '}
        </tspan>
        <tspan
          className={said.text === null ? undefined : 'fig'}
          fontSize={said.text === null ? 12.5 : 15.5}
          fontWeight={said.sure === 'known' ? 700 : 400}
        >
          {text}
        </tspan>
      </text>
    </Link>
  );
}

/** A filled arrow whose point is at one end of a line. */
function Arrow({ at: [x, y], from, ink }: { at: [number, number]; from: [number, number]; ink: string }) {
  const turn = (Math.atan2(y - from[1], x - from[0]) * 180) / Math.PI;
  return <path d="M0 0L-10 -3.6L-10 3.6Z" fill={ink} transform={`translate(${x} ${y}) rotate(${turn})`} />;
}
