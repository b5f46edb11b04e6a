'use client';
import Link from 'next/link';
import { linkTo, linkToRun } from '@/core/links';
import type { AssemblyCard, MachineRegisters } from '@/crib/rack';
import { BecauseThis, Row, Rows, Unknown } from '@/ui/kit/figure';
import { useLengths } from '@/ui/shell';

export const NotMeasured = () => <Unknown>not measured</Unknown>;

/** One machine's registers of a measured assembly, with their reasons. */
export function Registers({ r, t }: { r: MachineRegisters; t: number | null }) {
  const { formatIn } = useRegisterFormat();
  return (
    <div style={{ borderBottom: '1px solid var(--line)', padding: '4px 0' }}>
      <Rows style={{ margin: 0 }}>
        <Row name={`H${t ?? ''} on ${r.machine}`} unit={'value' in r.H ? r.units : undefined}>
          {formatIn(r.H, r.units)}
        </Row>
        <Row name={`D${t ?? ''}`} unit={'value' in r.D ? r.units : undefined}>
          {formatIn(r.D, r.units)}
        </Row>
      </Rows>
      <BecauseThis because={r.because} />
    </div>
  );
}

/** A register is shown in the machine's own unit: that is what is typed into it. */
function useRegisterFormat() {
  return {
    formatIn: (register: MachineRegisters['H'], unit: 'mm' | 'inch') => {
      if ('needs' in register) return <Unknown>needs {register.needs}</Unknown>;
      const value = unit === 'mm' ? register.value : register.value / 25.4;
      return value.toFixed(unit === 'mm' ? 3 : 4).replace('-', '−');
    },
  };
}

/** Life used and left of an assembly's edges. */
export function LifeRows({ card }: { card: AssemblyCard }) {
  const { show } = useLengths();
  const { life } = card;
  return (
    <>
      <h2>Life</h2>
      <Rows>
        <Row name="In the cut so far">{life.minutes.toFixed(1)} min</Row>
        <Row name="Life left" note={life.material ? `in ${life.material}` : undefined}>
          {life.leftMinutes === null ? (
            <Unknown>{life.fresh ? 'cannot say' : 'graded: cannot say'}</Unknown>
          ) : life.leftMinutes < 0 ? (
            `${(-life.leftMinutes).toFixed(0)} min past`
          ) : (
            `${life.leftMinutes.toFixed(0)} min`
          )}
        </Row>
        <Row name="Flank wear" note={`worn at ${show(card.wear.limit.value, 2)}`}>
          {card.wear.latest ? show(card.wear.latest.flankWearMm, 2) : <NotMeasured />}
        </Row>
      </Rows>
      {card.ties.map((t) => (
        <div key={`${t.operation} ${t.t}`}>
          {t.goodFor === null
            ? ''
            : `Good for about ${t.goodFor} of ${t.partsLeft} ${t.part.toLowerCase()}s of `}
          <Link href={linkTo('jobs', { open: t.job })}>{t.job}</Link>{' '}
          <Link href={linkToRun(t.operation)}>log parts</Link>
        </div>
      ))}
      {life.because && <BecauseThis because={life.because} />}
    </>
  );
}
