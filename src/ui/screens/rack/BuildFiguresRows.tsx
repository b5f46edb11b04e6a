import type { BuildFigures } from '@/core/assemblies';
import { parseNumber } from '@/core/units';
import { Entry } from '@/ui/kit/field';
import { BecauseThis, Row, Rows } from '@/ui/kit/figure';
import { useLengths } from '@/ui/shell';

const atLeast = (yes: boolean) => (yes ? 'at least ' : '');

/** What follows from a build's parts: each figure with its reason beside. */
export function BuildFiguresRows({
  expected,
  ratio,
  figures: f,
  onForce,
}: {
  /** mm; null: it stands elsewhere on the page. */
  expected: number | null;
  /** How far the cutter stands out, in diameters. */
  ratio?: string;
  figures: BuildFigures;
  /** Takes another side force, N; left out: it stands. */
  onForce?: (newtons: number) => void;
}) {
  const { show, unitWord } = useLengths();
  return (
    <Rows>
      {expected !== null && (
        <Row name="Expected gauge length" note={ratio} unit={unitWord}>
          {show(expected, 1)}
        </Row>
      )}
      <Row name="Weight" note={<BecauseThis because={f.weight.because} />} unit="kg">
        {atLeast(f.weight.atLeast)}
        {f.weight.value.toFixed(2)}
      </Row>
      <Row name="Not faster than" note={<BecauseThis because={f.rpm.because} />} unit="rev/min">
        {f.rpm.value ?? 'not known'}
      </Row>
      <Row name="Unbalance it may have" note={<BecauseThis because={f.unbalance.because} />} unit="g mm">
        {f.unbalance.value === null ? 'cannot say' : f.unbalance.value.toFixed(1)}
      </Row>
      <Row
        name="Tip gives way"
        note={
          <>
            under{' '}
            {onForce ? (
              <Entry
                aria-label="Side force, newtons"
                inputMode="decimal"
                className="fig"
                style={{ width: 64, minHeight: 28 }}
                defaultValue={f.force}
                onChange={(e) => {
                  const newtons = parseNumber(e.target.value);
                  if (newtons !== null && newtons > 0) onForce(newtons);
                }}
              />
            ) : (
              f.force
            )}{' '}
            N <BecauseThis because={f.tip.because} />
          </>
        }
        unit={f.tip.value === null ? undefined : unitWord}
      >
        {f.tip.value === null ? 'cannot say' : `at least ${show(f.tip.value, 3)}`}
      </Row>
      {f.stiffness !== null && (
        <Row name="As stiff as at 3 × D" unit={f.stiffness < 1 ? '%' : undefined}>
          {f.stiffness < 1 ? (100 * f.stiffness).toFixed(0) : 'and more'}
        </Row>
      )}
    </Rows>
  );
}
