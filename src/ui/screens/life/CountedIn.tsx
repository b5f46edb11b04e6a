'use client';
import { MEASURE_NAMES, MEASURES } from '@/core/life';
import { isOne } from '@/core/names';
import type { LifeSheet } from '@/crib/life';
import { Link } from '@/ui/kit/link';
import { useQuery } from '@/ui/screens/common/query';

/** In what the lives on the chart are counted, and the way to count them otherwise. */
export function CountedIn({ line }: { line: LifeSheet }) {
  const query = useQuery('life');
  const said = query.get('in');
  const asked = said !== null && isOne(MEASURE_NAMES, said) ? said : line.measure;
  const now = line.beside ? 'minutes' : (line.counted?.measure ?? 'minutes');
  const here = { item: line.item.code, material: line.material.code };
  return (
    <div className="small">
      Counted in{' '}
      {MEASURE_NAMES.map((m, i) => (
        <span key={m}>
          {i > 0 && ' · '}
          {m === now ? (
            <strong>{MEASURES[m].words}</strong>
          ) : (
            <Link
              href={query.href({ ...here, in: m === line.measure ? null : m, beside: null })}
              scroll={false}
            >
              {MEASURES[m].words}
            </Link>
          )}
        </span>
      ))}
      {asked !== now && !line.beside && (
        <span className="soft">: in {MEASURES[asked].words} it is known of none of them</span>
      )}
    </div>
  );
}
