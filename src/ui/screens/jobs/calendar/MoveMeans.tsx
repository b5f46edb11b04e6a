import type { DayMachine } from '@/crib/today';

type Place = Pick<DayMachine, 'code' | 'taper'> & { byHand?: boolean };

/** What hangs on the machine of an operation: said before it goes to another one. */
export function MoveMeans({ from, to }: { from: Place; to: Place | null }) {
  return (
    <ul className="small">
      {to && from.taper !== to.taper && (
        <li>
          <strong>
            {to.code} takes {to.taper}, {from.code} {from.taper}
          </strong>
          : its tools are built anew in other holders.
        </li>
      )}
      {to?.byHand && <li>{to.code} has its tools swapped by hand.</li>}
      <li>H and D are entered anew there: they come from that machine’s own figures.</li>
      <li>What was signed for its setup comes into doubt; it is proved again there.</li>
      <li>Fixture and work offset on its setup sheet stay those of {from.code} until you write it anew.</li>
    </ul>
  );
}
