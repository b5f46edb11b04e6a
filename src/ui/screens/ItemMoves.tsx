'use client';
import { linkTo } from '@/core/links';
import Button from '@mui/material/Button';
import Link from 'next/link';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { SIGNS } from '@/core/life';
import { inCrib } from '@/core/stock';
import type { ProblemDocument } from '@/crib/door';
import type { ItemLine } from '@/crib/stock';
import type { ShopView } from '@/crib/shop';
import { FileButton, ProblemNote, VerbForm, type FieldSpec, base64, post, useSendOnce } from '../form';
import { useSurroundings } from '../shell';
import { useQuery } from './query';
import { SET_UP } from './setUp';
import { thingInput, thingOptions } from './things';

export const cribPlaces = (shop: ShopView) =>
  shop.places.filter((p) => inCrib(p.kind)).map((p) => [p.code, `${p.code} ${p.name}`] as const);
const people = (shop: ShopView) => shop.people.map((p) => [p.initials, p.name] as const);

/** What is done most stands first; the rest opens by 'more'. */
const ACTS = [
  ['receive', 'Receive'],
  ['issue', 'Hand out'],
  ['return', 'Take back'],
  ['move', 'Move'],
  ['found', 'Found one'],
  ['scrap', 'Scrap'],
  ['lose', 'Lost'],
  ['facts', 'State facts'],
  ['like', 'One like this'],
  ['standing', 'Versions, trial'],
] as const;

const OFTEN: readonly string[] = ['receive', 'issue', 'return', 'move', 'found'];

/** Everything that is done with an item's stock; which form is open stands in the address. */
export function ItemMoves({
  item,
  shop,
  grades,
}: {
  item: ItemLine;
  shop: ShopView;
  /** Rungs a used one may go to. */
  grades: readonly (readonly [string, string])[];
}) {
  const query = useQuery('cutters');
  const act = query.get('do');
  const out = thingOptions(item, (kind) => kind === 'hand' || kind === 'machine');
  const shown = ACTS.filter(([name]) => name !== 'return' || out.length > 0);
  const href = (name: (typeof ACTS)[number][0]) =>
    name === 'like'
      ? query.href({ new: item.kind, like: item.code, family: item.family, open: null, do: null })
      : query.href({ do: act === name ? null : name });
  const where = thingOptions(item, inCrib);
  const taken = (options: typeof where): FieldSpec<'from'> => ({
    name: 'from',
    label: 'From',
    kind: 'choice',
    wide: true,
    options,
    start: options[0]?.[0] ?? '',
  });
  const quantity: FieldSpec<'quantity'> = { name: 'quantity', label: 'How many', kind: 'whole', start: '1' };
  const reason: FieldSpec<'reason'> = { name: 'reason', label: 'Why', wide: true };
  const insert = item.kind === 'insert';
  const parcel: FieldSpec<'lot' | 'supplier' | 'edgesLeft'>[] = [
    { name: 'lot', label: 'Lot', optional: true },
    {
      name: 'supplier',
      label: 'Stays the supplier’s until used',
      kind: 'choice',
      options: shop.suppliers.map((s) => [s.code, s.name] as const),
      optional: true,
    },
    ...(insert
      ? [
          {
            name: 'edgesLeft' as const,
            label: 'Edges left on each, if used',
            kind: 'whole' as const,
            optional: true,
          },
        ]
      : []),
  ];
  const onto: FieldSpec<'place'> = {
    name: 'place',
    label: 'Onto',
    kind: 'choice',
    options: cribPlaces(shop),
    start: item.places.find((p) => inCrib(p.placeKind))?.place ?? '',
    add: SET_UP.place,
  };
  const fixed = { item: item.code };
  return (
    <>
      <div className="acts">
        {shown.map(([name, words]) => (
          <Button
            key={name}
            variant={name === 'receive' ? 'contained' : OFTEN.includes(name) ? 'outlined' : 'text'}
            component={Link}
            href={href(name)}
            scroll={false}
            size="small"
            aria-expanded={act === name}
          >
            {words}
          </Button>
        ))}
      </div>
      {act === 'receive' && (
        <>
          <h2>Receive without an order</h2>
          <VerbForm
            key={act}
            verb="receiveStock"
            fixed={fixed}
            submit="Receive"
            fields={[{ ...quantity, start: '' }, onto, ...parcel]}
            said={(d) => `${d.quantity} × ${item.code} onto ${d.place}`}
          />
        </>
      )}
      {act === 'found' && (
        <>
          <h2>Found, though the count denies it</h2>
          <VerbForm
            key={act}
            verb="foundStock"
            fixed={fixed}
            submit="Book as found"
            fields={[quantity, onto]}
            said={(d) => `${d.quantity} × ${item.code} onto ${d.place}`}
          />
        </>
      )}
      {act === 'issue' && (
        <>
          <h2>Hand out</h2>
          <VerbForm
            key={act}
            verb="issueStock"
            fixed={fixed}
            submit="Hand out"
            shape={thingInput}
            fields={[
              taken(where),
              quantity,
              { name: 'to', label: 'To', kind: 'choice', options: people(shop) },
              { name: 'due', label: 'Wanted back by', kind: 'day', optional: true },
            ]}
            said={(d) => `${d.what} to ${d.to}`}
          />
        </>
      )}
      {act === 'return' && (
        <>
          <h2>Take back</h2>
          <TakeBack
            item={item}
            shop={shop}
            grades={grades}
            from={taken(out)}
            quantity={quantity}
            onto={onto.start!}
          />
        </>
      )}
      {act === 'move' && (
        <>
          <h2>Move</h2>
          <VerbForm
            key={act}
            verb="moveStock"
            fixed={fixed}
            submit="Move"
            shape={thingInput}
            fields={[
              taken(where),
              quantity,
              {
                name: 'to',
                label: 'To',
                kind: 'choice',
                options: shop.places
                  .filter((p) => inCrib(p.kind) || p.kind === 'machine')
                  .map((p) => [p.code, `${p.code} ${p.name}`] as const),
              },
            ]}
            said={(d) => `${d.what} to ${d.to}`}
          />
        </>
      )}
      {(act === 'scrap' || act === 'lose') && (
        <>
          <h2>{act === 'scrap' ? 'Scrap' : 'Lost'}</h2>
          <VerbForm
            key={act}
            verb={act === 'scrap' ? 'scrapStock' : 'loseStock'}
            fixed={fixed}
            submit={act === 'scrap' ? 'Scrap' : 'Book as lost'}
            shape={thingInput}
            fields={[taken(where), quantity, reason]}
            said={(d) => `${d.what} ${act === 'scrap' ? 'scrapped' : 'booked as lost'}`}
          />
        </>
      )}
      <p className="small">
        <Link href={linkTo('places', { show: 'moves', item: item.code })}>What moved of it</Link>
      </p>
    </>
  );
}

/** What a used cutter is graded by: where it may be used next, what is still good, what was seen. */
export const gradeSpecs = (
  grades: readonly (readonly [string, string])[],
  optional: boolean,
): FieldSpec<'grade' | 'goodFrom' | 'goodTo' | 'goodZone' | 'signs'>[] => [
  {
    name: 'grade',
    label: optional ? 'If used: good for' : 'Good for',
    kind: 'choice',
    options: grades,
    optional,
  },
  { name: 'goodFrom', label: 'Flute good from, above the tip', kind: 'length', optional: true },
  { name: 'goodTo', label: 'Flute good up to', kind: 'length', optional: true },
  { name: 'goodZone', label: 'In words', optional: true },
  {
    name: 'signs',
    label: 'Signs seen',
    kind: 'several',
    options: SIGNS.map((s) => [s, s] as const),
    wide: true,
    optional: true,
  },
];

/** Back into the crib: unused again, or graded, with what was seen and a picture of the edge. */
function TakeBack({
  item,
  shop,
  grades,
  from,
  quantity,
  onto,
}: {
  item: ItemLine;
  shop: ShopView;
  grades: readonly (readonly [string, string])[];
  from: FieldSpec;
  quantity: FieldSpec;
  onto: string;
}) {
  const { who, say } = useSurroundings();
  const router = useRouter();
  const [picture, setPicture] = useState<File | null>(null);
  const [problem, setProblem] = useState<ProblemDocument | null>(null);
  const { once } = useSendOnce();
  const cutter = item.kind === 'cutter';
  /** The picture goes to the mark that came back; where it fails the return stands, and it can be sent again below. */
  const keep = async (marks: readonly string[]) => {
    if (!picture) return;
    const content = await base64(picture);
    const answer = await once((formId) =>
      post('/api/v1/pictures', {
        ...(marks[0] ? { piece: marks[0] } : { item: item.code }),
        shows: 'worn edge',
        content,
        who,
        formId,
      }),
    );
    if (!answer) return;
    setProblem(answer.ok ? null : answer.problem);
    if (!answer.ok) return;
    say(`${marks[0] ?? item.code} is back, its picture kept`);
    setPicture(null);
    router.refresh();
  };
  return (
    <>
      <VerbForm
        verb="returnStock"
        fixed={{ item: item.code }}
        submit="Take back"
        shape={thingInput}
        fields={[
          from,
          quantity,
          { name: 'to', label: 'Onto', kind: 'choice', options: cribPlaces(shop), start: onto },
          ...(cutter
            ? ([
                {
                  name: 'used',
                  label: 'Was it used?',
                  kind: 'choice',
                  options: [
                    ['no', 'no, as new'],
                    ['yes', 'yes'],
                  ],
                },
                ...gradeSpecs(grades, true),
              ] satisfies FieldSpec[])
            : []),
        ]}
        said={(d) => `${d.what} back to ${d.to}`}
        onDone={(d) => void keep(d.marks)}
      >
        {cutter && (
          <div className="acts" style={{ alignItems: 'center' }}>
            <FileButton
              words={picture ? `Picture: ${picture.name}` : 'Picture of a used edge'}
              label="A picture of the edge"
              accept="image/jpeg,image/png,image/webp"
              camera
              onFile={setPicture}
            />
          </div>
        )}
      </VerbForm>
      <ProblemNote problem={problem} />
    </>
  );
}
