import Button from '@mui/material/Button';
import type { SheetStep } from '@/crib/assemblies';
import type { TakeSource } from '@/crib/stock';
import { GradeMark } from '@/ui/kit/figure';
import { Fold } from '@/ui/kit/page';
import { useLengths } from '@/ui/shell';
import styles from './Sheets.module.css';

/** One piece that a build takes: where it lies, what may stand in for it, or what was taken. */
export function Step({
  piece,
  taken,
  onTake,
}: {
  piece: SheetStep;
  taken: TakeSource | undefined;
  onTake: (source: TakeSource | undefined) => void;
}) {
  const { entered } = useLengths();
  const name = { cutter: 'Cutter', holder: 'Holder', part: 'Part' }[piece.what];
  const stands = taken && piece.instead.find((o) => o.source.value === taken.value);
  return (
    <div>
      <strong>{name}</strong> {piece.code && <span className="fig">{piece.code}</span>}{' '}
      <span className="soft">{piece.words}</span>
      {piece.outMm !== null && <div>set out {entered(piece.outEntered ?? '', piece.outMm, 1)}</div>}
      {taken ? (
        <div className={styles.take}>
          <span>
            {taken.item}: {taken.take}
          </span>
          {stands && stands.judgement.grade !== 'good' && (
            <GradeMark grade={stands.judgement.grade}>{stands.judgement.words}</GradeMark>
          )}
          <Button variant="text" size="small" onClick={() => onTake(undefined)}>
            another
          </Button>
        </div>
      ) : (
        <>
          <div className={styles.take}>
            {piece.sources.map((s) => (
              <Button key={s.value} size="small" onClick={() => onTake(s)}>
                {s.take}
              </Button>
            ))}
            {piece.sources.length === 0 && <span className="soft">none in the crib</span>}
          </div>
          {piece.instead.length > 0 && (
            <Fold label={`${piece.instead.length} that may stand in`}>
              {piece.instead.map(({ source, judgement }) => (
                <div key={source.value} className={styles.take}>
                  <Button size="small" onClick={() => onTake(source)}>
                    {source.item}: {source.take}
                  </Button>
                  <GradeMark grade={judgement.grade}>{judgement.words}</GradeMark>
                </div>
              ))}
            </Fold>
          )}
          {[...piece.sources].some((s) => s.caution) && (
            <p className="soft small">{piece.sources.flatMap((s) => s.caution ?? []).join('; ')}</p>
          )}
        </>
      )}
    </div>
  );
}
