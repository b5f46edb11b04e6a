'use client';
import TableCell from '@mui/material/TableCell';
import TableRow from '@mui/material/TableRow';
import { useState } from 'react';
import { useForm, useWatch } from 'react-hook-form';
import type { CountedLine, CountView } from '@/crib/places';
import { Entry, Tick } from '@/ui/kit/field';
import { ProblemNote, SendButton, useVerb, VerbForm } from '@/ui/kit/form';
import { Acts, Fold, Lines, Notice } from '@/ui/kit/page';
import { LongTable } from '@/ui/kit/table';
import { Tag } from '@/ui/kit/tag';
import { items } from '@/ui/screens/common/found';
import { useQuery } from '@/ui/screens/common/query';

/** What was counted, as typed, by line. */
type Counted = Record<string, string>;
/**
 * A line by itself: an item may lie in one place in several lots, of several owners, with edges used. A form's names
 * nest at dots, commas and brackets, so those of codes are written otherwise.
 */
const key = (l: CountedLine) =>
  [l.place, l.item, l.lot, l.owner, l.edgesLeft]
    .join('|')
    .replace(/[%.,[\]]/g, (sign) => `%${sign.charCodeAt(0)}`);
/** The lines somebody has typed a count into. */
const enteredOf = (lines: readonly CountedLine[], texts: Partial<Counted>) =>
  lines.flatMap((line) => {
    const counted = texts[key(line)]?.trim();
    return counted ? [{ line, counted }] : [];
  });

/** A count sheet: what is there is entered; what differs is explained before it is booked. */
export function CountSheet({ view }: { view: CountView }) {
  const query = useQuery('places');
  const { send, problem, pending, barred } = useVerb('enterCount');
  // Shown only where there is a sheet.
  const sheet = view.sheet!;
  const open = sheet.bookedEntryId === null;
  const { control, register, handleSubmit, reset } = useForm<Counted>({ defaultValues: {} });
  const [shown, setShown] = useState(false);
  const entered = enteredOf(view.lines, useWatch({ control }));
  const differ = view.lines.filter((l) => l.counted !== null && l.counted !== l.expected);
  const left = view.lines.filter((l) => l.counted === null).length;
  const enter = async (texts: Counted) => {
    const input = {
      sheet: sheet.number,
      lines: enteredOf(view.lines, texts).map(({ line: l, counted }) => ({
        place: l.place,
        item: l.item,
        counted,
        ...(l.lot ? { lot: l.lot } : {}),
        ...(l.owner ? { supplier: l.owner } : {}),
        ...(l.edgesLeft !== null ? { edgesLeft: l.edgesLeft } : {}),
      })),
    };
    const done = await send(input, (d) => `${d.lines} lines entered, ${d.differ} differ`);
    // Blank by name: a field that is only forgotten keeps its text and is read again.
    if (done) reset(Object.fromEntries(view.lines.map((l) => [key(l), ''])));
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
      <LongTable
        label={`Lines of ${sheet.number}`}
        head={
          <TableRow>
            <TableCell>What, where</TableCell>
            <TableCell className="num">Books</TableCell>
            <TableCell className="num">There</TableCell>
          </TableRow>
        }
        rows={view.lines}
        keyOf={key}
        cells={(l) => (
          <>
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
              {l.counted !== null && l.counted !== l.expected && <Difference line={l} counted={l.counted} />}
            </TableCell>
            <TableCell className="num fig">{l.counted !== null || shown ? l.expected : '·'}</TableCell>
            <TableCell className="num">
              {open ? (
                <Entry
                  className="fig"
                  inputMode="numeric"
                  aria-label={`Counted of ${l.item} at ${l.place}`}
                  placeholder={l.counted === null ? '' : String(l.counted)}
                  {...register(key(l))}
                  style={{ width: 60, textAlign: 'right' }}
                />
              ) : (
                <span className="fig">{l.counted}</span>
              )}
            </TableCell>
          </>
        )}
      />
      {open && (
        <>
          <ProblemNote problem={problem} />
          <Acts>
            <SendButton
              variant="contained"
              onSend={() => void handleSubmit(enter)()}
              pending={pending}
              barred={barred}
              disabled={entered.length === 0}
            >
              Enter {entered.length || ''} counted
            </SendButton>
          </Acts>
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
function Difference({ line: l, counted }: { line: CountedLine; counted: number }) {
  return (
    <Notice style={{ margin: '6px 0 0' }}>
      <strong>
        {Math.abs(counted - l.expected)} {counted < l.expected ? 'missing' : 'over'}.
      </strong>{' '}
      {l.explanations.length ? (
        <Lines small>
          {l.explanations.map((e, i) => (
            // The books may say the same of two movements.
            <li key={`${i} ${e}`}>{e}</li>
          ))}
        </Lines>
      ) : (
        <span className="small">Nothing in the books explains it.</span>
      )}
    </Notice>
  );
}

/** Something that lies there and that the books know nothing of at that place. */
function AlsoThere({ view }: { view: CountView }) {
  const sheet = view.sheet!;
  const places = [...new Set([sheet.place, ...view.lines.map((l) => l.place)])];
  return (
    <Fold label="Something else lies there">
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
    </Fold>
  );
}
