import Button from '@mui/material/Button';
import Table from '@mui/material/Table';
import TableBody from '@mui/material/TableBody';
import TableCell from '@mui/material/TableCell';
import TableHead from '@mui/material/TableHead';
import TableRow from '@mui/material/TableRow';
import type { Because } from '@/core/because';
import type { CutFigures } from '@/core/cutting';
import { Choice, Entry } from '@/ui/kit/field';
import { BecauseThis, Unknown } from '@/ui/kit/figure';
import { useLengths } from '@/ui/shell';
import styles from './Bench.module.css';
import type { CutTexts } from './readBench';

const NAMES = ['This cut', 'Beside it'] as const;

type Line = [name: string, unit: string, of: (f: CutFigures) => [string | null, Because]];

/** Two cuts side by side: what is typed of each, what it comes to, and what binds. */
export function CutTable({
  cuts,
  figures,
  asks,
  onChange,
  onKeep,
}: {
  cuts: readonly [CutTexts, CutTexts];
  figures: readonly (CutFigures | null)[];
  /** Whether a corner, a bore, a ramp and a part's volume are asked about. */
  asks: { corner: boolean; bore: boolean; ramp: boolean; volume: boolean };
  onChange: (which: number, over: Partial<CutTexts>) => void;
  onKeep: (which: number) => void;
}) {
  const { show, unitWord } = useLengths();
  const mm = (n: number | null, places = 3) => (n === null ? null : show(n, places));
  const plain = (n: number | null, places: number) => (n === null ? null : n.toFixed(places));
  const rows: Line[] = [
    ['Turns n', 'rev/min', (f) => [plain(f.n.value, 0), f.n.because]],
    ['Speed Vc', 'm/min', (f) => [plain(f.vc.value, 1), f.vc.because]],
    ['Feed a tooth', unitWord, (f) => [mm(f.fz.value, 4), f.fz.because]],
    ['Feed a minute', unitWord, (f) => [mm(f.vf.value, 0), f.vf.because]],
    [
      'Cuts on',
      `Ø ${unitWord}`,
      (f) => [`${show(f.D.value, 2)}${f.D.assumed.length ? ' assumed' : ''}`, f.D.because],
    ],
    ['Thickest chip', unitWord, (f) => [mm(f.chip.value?.max ?? null, 4), f.chip.because]],
    ['Mean chip', unitWord, (f) => [mm(f.chip.value?.mean ?? null, 4), f.chip.because]],
    [
      'Cut away',
      'cm³ a minute',
      (f) => [plain(f.Q.value === null ? null : f.Q.value / 1000, 2), f.Q.because],
    ],
    ['A litre takes', 'min', (f) => [plain(f.minutesALitre.value, 1), f.minutesALitre.because]],
    ['Power, by Kienzle', 'kW', (f) => [plain(f.power.value, 2), f.power.because]],
    ['by unit power', 'kW', (f) => [plain(f.byUnit.value, 2), f.byUnit.because]],
    ['Torque', 'N m', (f) => [plain(f.torque.value, 1), f.torque.because]],
    ['Force along the edge', 'N', (f) => [plain(f.force.value, 0), f.force.because]],
    ['Bends at the tip', unitWord, (f) => [mm(f.deflection.value), f.deflection.because]],
    ['Ridge on the floor', unitWord, (f) => [mm(f.ridge.value, 4), f.ridge.because]],
    [
      'Flute that wears',
      '%',
      (f) => [plain(f.flute.value === null ? null : f.flute.value * 100, 0), f.flute.because],
    ],
  ];
  // What was not asked about has no line.
  if (asks.corner)
    rows.push([
      'Feed in the corner',
      `${unitWord} a minute`,
      (f) => [mm(f.corner.value?.vf ?? null, 0), f.corner.because],
    ]);
  if (asks.bore)
    rows.push([
      'Feed of the centre in the bore',
      `${unitWord} a minute`,
      (f) => [mm(f.centre.value, 0), f.centre.because],
    ]);
  if (asks.ramp) rows.push(['Way along the ramp', unitWord, (f) => [mm(f.way.value, 1), f.way.because]]);
  if (asks.volume)
    rows.push(['A part takes', 'min', (f) => [plain(f.minutesAPart.value, 2), f.minutesAPart.because]]);
  return (
    <Table className={styles.cuts}>
      <TableHead>
        <TableRow>
          <TableCell />
          {NAMES.map((name) => (
            <TableCell key={name} className="num">
              {name}
            </TableCell>
          ))}
        </TableRow>
      </TableHead>
      <TableBody>
        <TableRow>
          <TableCell component="th" scope="row">
            Speed
          </TableCell>
          {cuts.map((c, i) => (
            <TableCell key={NAMES[i]} className="num">
              <Choice
                aria-label={`Speed as, ${NAMES[i]}`}
                value={c.speedAs}
                onChange={(e) => onChange(i, { speedAs: e.target.value === 'n' ? 'n' : 'Vc' })}
              >
                <option value="Vc">Vc m/min</option>
                <option value="n">n rev/min</option>
              </Choice>{' '}
              <Typed
                label={`Speed, ${NAMES[i]}`}
                value={c.speed}
                onText={(speed) => onChange(i, { speed })}
              />
            </TableCell>
          ))}
        </TableRow>
        <TableRow>
          <TableCell component="th" scope="row">
            Feed, {unitWord}
          </TableCell>
          {cuts.map((c, i) => (
            <TableCell key={NAMES[i]} className="num">
              <Choice
                aria-label={`Feed as, ${NAMES[i]}`}
                value={c.feedAs}
                onChange={(e) => onChange(i, { feedAs: e.target.value === 'minute' ? 'minute' : 'tooth' })}
              >
                <option value="tooth">a tooth</option>
                <option value="minute">a minute</option>
              </Choice>{' '}
              <Typed label={`Feed, ${NAMES[i]}`} value={c.feed} onText={(feed) => onChange(i, { feed })} />
            </TableCell>
          ))}
        </TableRow>
        {(['ap', 'ae'] as const).map((name) => (
          <TableRow key={name}>
            <TableCell component="th" scope="row">
              {name === 'ap' ? 'Depth ap' : 'Width ae'}, {unitWord}
            </TableCell>
            {cuts.map((c, i) => (
              <TableCell key={NAMES[i]} className="num">
                <Typed
                  label={`${name === 'ap' ? 'Depth' : 'Width'}, ${NAMES[i]}`}
                  value={c[name]}
                  onText={(text) => onChange(i, { [name]: text })}
                />
              </TableCell>
            ))}
          </TableRow>
        ))}
        <TableRow>
          <TableCell component="th" scope="row">
            <strong>What binds</strong>
          </TableCell>
          {figures.map((f, i) => (
            <TableCell key={NAMES[i]}>{f && <Binds of={f} />}</TableCell>
          ))}
        </TableRow>
        {figures.some((f) => f) && (
          <TableRow>
            <TableCell component="th" scope="row">
              To be kept
            </TableCell>
            {figures.map((f, i) => (
              <TableCell key={NAMES[i]} className="num">
                {f && (
                  <Button size="small" aria-label={`Keep as a recipe, ${NAMES[i]}`} onClick={() => onKeep(i)}>
                    as a recipe
                  </Button>
                )}
              </TableCell>
            ))}
          </TableRow>
        )}
        {figures.some((f) => f) &&
          rows.map(([name, unit, of]) => {
            const [a] = figures;
            return (
              <TableRow key={name}>
                <TableCell component="th" scope="row">
                  {name} <span className="soft small">{unit}</span>
                  {a && (
                    <>
                      {' '}
                      <BecauseThis because={of(a)[1]} />
                    </>
                  )}
                </TableCell>
                {figures.map((f, i) => (
                  <TableCell key={NAMES[i]} className="num fig">
                    {f && (of(f)[0] ?? <Unknown>cannot say</Unknown>)}
                  </TableCell>
                ))}
              </TableRow>
            );
          })}
      </TableBody>
    </Table>
  );
}

/** What a cut is over, else what it is nearest to; what is not known stands below. */
function Binds({ of }: { of: CutFigures }) {
  const over = of.binds.filter((b) => b.over);
  const near = of.binds.filter((b) => !b.over && b.share !== null).slice(0, 2);
  const unknown = of.binds.filter((b) => !b.over && b.share === null);
  return (
    <ul className={styles.binds}>
      {over.map((b) => (
        <li key={b.words} className={styles.over}>
          <span aria-hidden="true">■</span> {b.words}
        </li>
      ))}
      {over.length === 0 &&
        near.map((b) => (
          <li key={b.words}>
            <span aria-hidden="true">●</span> {b.words}
          </li>
        ))}
      {unknown.length > 0 && (
        <li className="soft small">
          <span aria-hidden="true">○</span> not judged: {unknown.map((b) => b.words).join('; ')}
        </li>
      )}
    </ul>
  );
}

const Typed = ({
  label,
  value,
  onText,
}: {
  label: string;
  value: string;
  onText: (text: string) => void;
}) => (
  <Entry
    className="fig"
    inputMode="decimal"
    aria-label={label}
    value={value}
    style={{ width: 96 }}
    onChange={(e) => onText(e.target.value)}
  />
);
