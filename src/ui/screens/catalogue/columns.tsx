'use client';
import type { GridColDef } from '@mui/x-data-grid';
import { Link } from '@/ui/kit/link';
import { type FactSymbol, SYMBOLS } from '@/core/cutters';
import type { CatalogueLine } from '@/crib/catalogue';
import { Unknown } from '@/ui/kit/figure';
import { useQuery } from '@/ui/screens/common/query';
import { useLengths } from '@/ui/shell';

/** Facts that have a column of their own, off until they are wanted. */
const FACT_COLUMNS: readonly FactSymbol[] = ['LCF', 'LU', 'RE', 'NOF', 'DMM', 'OAL', 'SUBSTRATE', 'COATING'];

export function useColumns(): GridColDef<CatalogueLine>[] {
  const { entered, unit } = useLengths();
  const fact = (line: CatalogueLine, symbol: string) => {
    const f = line.facts[symbol];
    if (!f) return <Unknown>—</Unknown>;
    const text =
      f.unit === 'mm' || f.unit === 'inch'
        ? entered(`${f.text} ${f.unit}`, f.value, unit === 'mm' ? 2 : 3)
        : f.text;
    return f.guess ? <em title="a guess">{text}?</em> : text;
  };
  const query = useQuery('cutters');
  return [
    {
      field: 'code',
      headerName: 'Code',
      width: 120,
      hideable: false,
      renderCell: ({ row, tabIndex }) => (
        <Link
          className="fig"
          href={query.href({ open: row.code, new: null, do: null })}
          scroll={false}
          tabIndex={tabIndex}
          onClick={(e) => e.stopPropagation()}
        >
          {row.code}
        </Link>
      ),
    },
    {
      field: 'words',
      headerName: 'What it is',
      flex: 1,
      minWidth: 180,
      sortable: false,
      renderCell: ({ row }) => (
        <span>
          {row.words}
          {row.maker ? <span className="soft">, {row.maker}</span> : null}
          {row.standing && row.standing !== 'approved' ? <strong> · {row.standing}</strong> : null}
        </span>
      ),
    },
    {
      field: 'dc',
      headerName: 'DC',
      width: 76,
      align: 'right',
      headerAlign: 'right',
      renderCell: ({ row }) => fact(row, 'DC'),
    },
    ...FACT_COLUMNS.map((symbol): GridColDef<CatalogueLine> => ({
      field: symbol,
      headerName: symbol,
      description: SYMBOLS[symbol].words,
      width: 92,
      sortable: false,
      align: 'right',
      headerAlign: 'right',
      renderCell: ({ row }) => fact(row, symbol),
    })),
    {
      field: 'unused',
      headerName: 'Unused',
      width: 86,
      align: 'right',
      headerAlign: 'right',
      renderCell: ({ row }) => (
        <span className="fig">
          {row.unused}
          {row.suppliers > 0 ? <div className="soft small">{row.suppliers} theirs</div> : null}
        </span>
      ),
    },
    {
      field: 'inBuilds',
      headerName: 'In builds',
      width: 86,
      align: 'right',
      headerAlign: 'right',
      sortable: false,
      renderCell: ({ row }) => (row.inBuilds ? <span className="fig">{row.inBuilds}</span> : null),
    },
    {
      field: 'places',
      headerName: 'Where',
      width: 130,
      sortable: false,
      renderCell: ({ row }) => row.places.join(', '),
    },
  ];
}
