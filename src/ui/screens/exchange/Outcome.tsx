'use client';
import Table from '@mui/material/Table';
import TableBody from '@mui/material/TableBody';
import TableCell from '@mui/material/TableCell';
import TableHead from '@mui/material/TableHead';
import TableRow from '@mui/material/TableRow';
import { counted } from '@/core/units';
import type { ShownPreview } from '@/crib/exchange';

/** New, changed value by value, refused with row and reason. */
export function Outcome({ preview: p }: { preview: ShownPreview }) {
  return (
    <>
      <p>
        <strong>{counted(p.of.added)} new</strong>, <strong>{counted(p.of.changed)} changed</strong>,{' '}
        {counted(p.same)} as they are,{' '}
        <strong style={p.of.refused ? { color: 'var(--rust)' } : undefined}>
          {counted(p.of.refused)} refused
        </strong>
        .{p.suppliers.length > 0 && ` Suppliers that come with it: ${p.suppliers.join(', ')}.`}
      </p>
      {p.refused.length > 0 && (
        <Table>
          <TableHead>
            <TableRow>
              <TableCell>Row</TableCell>
              <TableCell>Code</TableCell>
              <TableCell>Refused because</TableCell>
            </TableRow>
          </TableHead>
          <TableBody>
            {p.refused.map((r) => (
              <TableRow key={r.row}>
                <TableCell className="fig">{r.row}</TableCell>
                <TableCell className="fig">{r.code || '—'}</TableCell>
                <TableCell>{r.reasons.join('; ')}</TableCell>
              </TableRow>
            ))}
          </TableBody>
        </Table>
      )}
      <More n={p.of.refused - p.refused.length} of="refused" />
      {p.changed.length > 0 && (
        <Table>
          <TableHead>
            <TableRow>
              <TableCell>Changed</TableCell>
              <TableCell>Value</TableCell>
              <TableCell>From</TableCell>
              <TableCell>To</TableCell>
            </TableRow>
          </TableHead>
          <TableBody>
            {p.changed.flatMap((x) =>
              x.changes.map((ch, i) => (
                <TableRow key={`${x.item.code} ${ch.field} ${i}`}>
                  <TableCell className="fig">{i === 0 ? x.item.code : ''}</TableCell>
                  <TableCell className="fig">{ch.field}</TableCell>
                  <TableCell>{ch.from ?? <span className="soft">not known</span>}</TableCell>
                  <TableCell>{ch.to}</TableCell>
                </TableRow>
              )),
            )}
          </TableBody>
        </Table>
      )}
      <More n={p.of.changed - p.changed.length} of="changed" />
      {p.added.length > 0 && (
        <Table>
          <TableHead>
            <TableRow>
              <TableCell>New</TableCell>
              <TableCell>Kind</TableCell>
              <TableCell>Facts</TableCell>
            </TableRow>
          </TableHead>
          <TableBody>
            {p.added.map((a) => (
              <TableRow key={a.code}>
                <TableCell className="fig">{a.code}</TableCell>
                <TableCell>{a.family ?? a.kind}</TableCell>
                <TableCell className="small">
                  {a.facts.map((f) => `${f.symbol} ${f.text}${f.unit === 'inch' ? ' in' : ''}`).join(', ')}
                </TableCell>
              </TableRow>
            ))}
          </TableBody>
        </Table>
      )}
      <More n={p.of.added - p.added.length} of="new" />
    </>
  );
}

const More = ({ n, of }: { n: number; of: string }) =>
  n > 0 ? (
    <p className="soft small">
      and {counted(n)} more {of}
    </p>
  ) : null;
