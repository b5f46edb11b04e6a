'use client';
import { FRAGMENT_STATES } from '@/core/breakage';
import { endingChoices, ENDINGS } from '@/core/life';
import { namesOf } from '@/core/names';
import { edgesLeftWords } from '@/core/stock';
import type { ItemLine, MarkedBody, OneItemView } from '@/crib/catalogue';
import type { ShopView } from '@/crib/shop';
import { BecauseThis } from '@/ui/kit/figure';
import { type FieldSpec, VerbForm } from '@/ui/kit/form';
import { Fold } from '@/ui/kit/page';
import { parcelOf, inserts } from '@/ui/screens/common/found';
import { placeOptions } from '@/ui/screens/common/options';
import { SeatCaution } from '@/ui/screens/common/SeatCaution';
import { seatShape, seatSpecs } from '@/ui/screens/common/seatSpecs';

/** Inserts into a bare body, to their next edge, or out of it again. */
function InsertForms({ body, shop }: { body: MarkedBody; shop: ShopView }) {
  const { mark } = body;
  const place = (name: 'to', label: string): FieldSpec<'to'> => ({
    name,
    label,
    kind: 'choice',
    options: placeOptions(shop.places),
  });
  if (body.inserts === null)
    return (
      <div>
        <Fold label="Put inserts in">
          <VerbForm
            verb="mountInserts"
            fixed={{ piece: mark }}
            submit="Put in"
            fields={[{ name: 'inserts', label: 'Inserts from', kind: 'search', search: inserts, wide: true }]}
            shape={({ inserts: taken, ...input }) => ({
              ...input,
              ...parcelOf(taken),
            })}
            said={(d) => `${d.quantity} × ${d.item} into ${mark}`}
          />
        </Fold>
      </div>
    );
  return (
    <>
      <div>
        <Fold label="Turn inserts, all or some">
          <VerbForm
            verb="turnSeats"
            fixed={{ piece: mark }}
            submit="Turn"
            fields={[
              ...seatSpecs(body.good),
              ...(body.ended
                ? []
                : ([
                    {
                      name: 'ended.kind',
                      label: 'How the life of these edges ended',
                      kind: 'choice',
                      optional: true,
                      options: endingChoices(false)
                        .filter((e) => e !== 'lost')
                        .map((e) => [e, ENDINGS[e].words] as const),
                      help: 'blank: all changed in good time',
                    },
                    {
                      name: 'ended.fragments',
                      label: 'Fragments, where one broke',
                      kind: 'choice',
                      optional: true,
                      options: namesOf(FRAGMENT_STATES).map((f) => [f, FRAGMENT_STATES[f]] as const),
                    },
                    {
                      name: 'ended.recutBy',
                      label: 'Recut by, where they were not found',
                      optional: true,
                      wide: true,
                    },
                  ] satisfies FieldSpec[])),
            ]}
            shape={seatShape}
            said={(d) => `${d.turned} turned, ${d.replaced} replaced, ${d.cutsOn} cut on in ${mark}`}
          />
          <SeatCaution />
        </Fold>
      </div>
      <div>
        <Fold label="Take the inserts out">
          <VerbForm
            verb="unmountInserts"
            fixed={{ piece: mark }}
            submit="Take out"
            fields={[
              place('to', 'Onto'),
              body.seats.length
                ? {
                    name: 'brokenSeats',
                    label: 'Of them broken',
                    kind: 'several',
                    options: body.good.map((n) => [String(n), String(n)] as const),
                    wide: true,
                    optional: true,
                  }
                : { name: 'broken', label: 'Of them broken', kind: 'whole', optional: true },
            ]}
            said={(d) =>
              d.edgesLeft === null
                ? `${d.back} back, ${d.scrapped} scrapped`
                : `${d.back} back with ${d.edgesLeft} edges left, ${d.scrapped} scrapped`
            }
          />
        </Fold>
      </div>
    </>
  );
}

const setsWords = (n: number) => `${n} ${n === 1 ? 'set' : 'sets'} of edges`;

/** One marked body: where it is, its seats and what sits in them, and its screws. */
function Body({
  body,
  seats,
  spares,
  shop,
}: {
  body: MarkedBody;
  seats: number | null;
  spares: OneItemView['spares'];
  shop: ShopView;
}) {
  const due = body.renewed.filter((r) => r.due);
  return (
    <div>
      <div>
        <strong className="fig">{body.mark}</strong> in {body.place ?? 'no place'}:{' '}
        {body.damaged.length
          ? `seat${body.damaged.length === 1 ? '' : 's'} ${body.damaged.join(', ')} damaged`
          : 'no damaged seat known'}
        {seats === null ? '' : ` of ${seats}`}. {body.inserts ? `Holds ${body.inserts}.` : 'It is bare.'}
        {body.seats.length > 0 &&
          ` Not alike: ${edgesLeftWords({ edgesLeft: null, seats: body.seats })}.`}{' '}
        {body.inDamaged && (
          <strong>
            An insert sits in a damaged seat, which doesn’t hold it: it is stopped everywhere. Take the
            inserts out, then put a set in: the damaged seat stays empty.{' '}
          </strong>
        )}
        Held {setsWords(body.sets)} so far
        {body.renewed.map((r) => `, ${setsWords(r.sets)} since ${r.item} was renewed`)}.
        {body.screwsDue && (
          <strong>
            {due.length
              ? ` Renew ${due.map((r) => r.item).join(', ')}.`
              : ' No screw of it was renewed so far: renew them.'}
          </strong>
        )}
      </div>
      {!body.here && body.inserts !== null && (
        <div>New edges are a new build: take it down first, there its inserts are turned.</div>
      )}
      {body.here && <InsertForms body={body} shop={shop} />}
      {spares.length > 0 && (
        <div>
          <Fold label="Renew screws">
            <VerbForm
              verb="renewSpare"
              fixed={{ piece: body.mark }}
              submit="Renew"
              fields={[
                {
                  name: 'spare',
                  label: 'Which, out of',
                  kind: 'choice',
                  options: spares.map(
                    (s) =>
                      [
                        JSON.stringify({ item: s.code, from: s.place }),
                        `${s.code}: ${s.quantity} at ${s.place}`,
                      ] as const,
                  ),
                },
                {
                  name: 'quantity',
                  label: 'How many',
                  kind: 'whole',
                  start: seats === null ? '' : String(seats),
                },
              ]}
              shape={({ spare, ...input }) => ({
                ...input,
                ...parcelOf(spare),
              })}
              said={(d) => `${d.quantity} × ${d.item} renewed in ${body.mark}`}
            />
          </Fold>
        </div>
      )}
      <VerbForm
        verb="stateSeat"
        fixed={{ piece: body.mark }}
        submit="Mark"
        fields={[
          { name: 'seat', label: 'Seat', kind: 'whole' },
          {
            name: 'damaged',
            label: 'It is',
            kind: 'choice',
            options: [
              ['yes', 'damaged'],
              ['no', 'good again'],
            ],
          },
        ]}
        said={(d) => `seat ${d.seat} of ${body.mark} marked`}
      />
    </div>
  );
}

/** Marked bodies and their seats: a damaged seat is known before an insert goes into it. */
export function Seats({
  item,
  of: { bodies, bodyLife, spares },
  shop,
}: {
  item: ItemLine;
  of: Pick<OneItemView, 'bodies' | 'bodyLife' | 'spares'>;
  shop: ShopView;
}) {
  const seats = item.facts.find((f) => f.symbol === 'CICT')?.value ?? null;
  if (!bodies.length) return null;
  const sets = bodyLife?.sets ?? null;
  return (
    <>
      <h2>Its seats</h2>
      {bodies.map((b) => (
        <Body key={b.mark} body={b} seats={seats} spares={spares} shop={shop} />
      ))}
      {bodyLife && sets && (
        <>
          <div>
            {'median' in sets
              ? `Half of such bodies are scrap by ${setsWords(sets.median)}.`
              : `Fewer than half of such bodies are scrap: one holds more than ${setsWords(sets.moreThan)}.`}
          </div>
          <BecauseThis because={bodyLife.because} />
        </>
      )}
    </>
  );
}
