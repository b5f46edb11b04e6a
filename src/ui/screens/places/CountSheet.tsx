'use client';
import Table from '@mui/material/Table';
import TableBody from '@mui/material/TableBody';
import TableCell from '@mui/material/TableCell';
import TableHead from '@mui/material/TableHead';
import TableRow from '@mui/material/TableRow';
import { Fragment, useState } from 'react';
import type { CountedLine, CountView } from '@/crib/places';
import { ProblemNote, SendButton, useVerb, VerbForm, Entry, Tick } from '@/ui/kit/form';
import { Tag } from '@/ui/kit/tag';
import { items } from '@/ui/screens/common/found';
import { useQuery } from '@/ui/screens/common/query';

const key = (l: CountedLine) => [l.place, l.item, l.lot, l.owner, l.edgesLeft].join('|');

/** A count sheet: what is there is entered; what differs is explained before it is booked. */
export function CountSheet({ view }: { view: CountView }) {
  const query = useQuery('places');
  const { send, problem, pending } = useVerb('enterCount');
  const sheet = view.sheet!;
  const open = sheet.bookedEntryId === null;
  const [texts, setTexts] = useState<Record<string, string>>({});
  const [shown, setShown] = useState(false);
  const entered = view.lines.filter((l) => (texts[key(l)] ?? '').trim() !== '');
  const differ = view.lines.filter((l) => l.counted !== null && l.counted !== l.expected);
  const left = view.lines.filter((l) => l.counted === null).length;
  const enter = async () => {
    const input = {
      sheet: sheet.number,
      lines: entered.map((l) => ({
        place: l.place,
        item: l.item,
        counted: texts[key(l)]!.trim(),
        ...(l.lot ? { lot: l.lot } : {}),
        ...(l.owner ? { supplier: l.owner } : {}),
        ...(l.edgesLeft !== null ? { edgesLeft: l.edgesLeft } : {}),
      })),
    };
    const done = await send(input, (d) => `${d.lines} lines entered, ${d.differ} differ`);
    if (done) setTexts({});
  };
  return (
    <Tag
      over={open ? 'Count sheet' : 'Count sheet, booked'}
      number={sheet.number}
      words={`${sheet.place}, begun by ${sheet.who}`}
      closeHref={query.href({ sheet: null })}
    >
      {!open && (
        <p>
          Booked by {sheet.bookedBy}. {sheet.explained}
        </p>
      )}
      {open && (
        <label className="small">
          <Tick checked={shown} onChange={(e) => setShown(e.target.checked)} /> show what the books say before
          counting
        </label>
      )}
      <Table>
        <TableHead>
          <TableRow>
            <TableCell>What, where</TableCell>
            <TableCell className="num">Books</TableCell>
            <TableCell className="num">There</TableCell>
          </TableRow>
        </TableHead>
        <TableBody>
          {view.lines.map((l) => (
            <Fragment key={key(l)}>
              <TableRow>
                <TableCell>
                  <strong className="fig">{l.item}</strong> <span className="soft small">{l.place}</span>
                  <div className="soft small">
                    {[
                      l.words,
                      l.lot && `lot ${l.lot}`,
                      l.owner && `${l.owner}’s`,
                      l.edgesLeft !== null && `${l.edgesLeft} edges left`,
                      l.marks.join(' '),
                    ]
                      .filter(Boolean)
                      .join(', ')}
                  </div>
                </TableCell>
                <TableCell className="num fig">{l.counted !== null || shown ? l.expected : '·'}</TableCell>
                <TableCell className="num">
                  {open ? (
                    <Entry
                      className="fig"
                      inputMode="numeric"
                      aria-label={`Counted of ${l.item} at ${l.place}`}
                      placeholder={l.counted === null ? '' : String(l.counted)}
                      value={texts[key(l)] ?? ''}
                      onChange={(e) => setTexts({ ...texts, [key(l)]: e.target.value })}
                      style={{ width: 60, textAlign: 'right' }}
                    />
                  ) : (
                    <span className="fig">{l.counted}</span>
                  )}
                </TableCell>
              </TableRow>
              {l.counted !== null && l.counted !== l.expected && (
                <TableRow>
                  <TableCell colSpan={3}>
                    <Difference line={l} />
                  </TableCell>
                </TableRow>
              )}
            </Fragment>
          ))}
        </TableBody>
      </Table>
      {open && (
        <>
          <ProblemNote problem={problem} />
          <div className="acts">
            <SendButton
              variant="contained"
              onSend={() => void enter()}
              pending={pending}
              disabled={entered.length === 0}
            >
              Enter {entered.length || ''} counted
            </SendButton>
          </div>
          <AlsoThere view={view} />
          {entered.length === 0 && view.lines.some((l) => l.counted !== null) && (
            <>
              <h2>Book it</h2>
              <p className="small">
                {differ.length === 0 ? 'Everything counted agrees.' : `${differ.length} differ.`}{' '}
                {left > 0 && `${left} not counted: they stay as the books have them.`}
              </p>
              <VerbForm
                verb="bookCount"
                fixed={{ sheet: sheet.number }}
                submit={differ.length ? 'Book the differences' : 'Close the sheet'}
                fields={
                  differ.length ? [{ name: 'explained', label: 'What was the matter', wide: true }] : []
                }
                said={(d) => `${sheet.number} booked: ${d.missing} missing, ${d.over} over`}
              />
            </>
          )}
        </>
      )}
    </Tag>
  );
}

/** What differs and what may explain it: offered, never booked by itself. */
function Difference({ line: l }: { line: CountedLine }) {
  return (
    <div className="ask" style={{ margin: 0 }}>
      <strong>
        {Math.abs(l.counted! - l.expected)} {l.counted! < l.expected ? 'missing' : 'over'}.
      </strong>{' '}
      {l.explanations.length ? (
        <ul className="plainlist small">
          {l.explanations.map((e) => (
            <li key={e}>{e}</li>
          ))}
        </ul>
      ) : (
        <span className="small">Nothing in the books explains it.</span>
      )}
    </div>
  );
}

/** Something that lies there and that the books know nothing of at that place. */
function AlsoThere({ view }: { view: CountView }) {
  const sheet = view.sheet!;
  const places = [...new Set([sheet.place, ...view.lines.map((l) => l.place)])];
  return (
    <details>
      <summary>Something else lies there</summary>
      <VerbForm
        verb="enterCount"
        submit="Enter it"
        fields={[
          { name: 'item', label: 'What lies there', kind: 'search', search: items, wide: true },
          {
            name: 'place',
            label: 'Where',
            kind: 'choice',
            options: places.map((p) => [p, p] as const),
            start: sheet.place,
          },
          { name: 'counted', label: 'How many', kind: 'whole' },
          { name: 'lot', label: 'Lot', optional: true },
        ]}
        shape={({ item, place, counted, lot, formId, ...rest }) => ({
          ...rest,
          formId,
          sheet: sheet.number,
          lines: [{ item, place, counted, ...(lot ? { lot } : {}) }],
        })}
        said={() => 'entered: the books had none there'}
      />
      <p className="soft small">
        Found by code or words. Not in the catalogue? Add it there first, then it can be counted.
      </p>
    </details>
  );
}
