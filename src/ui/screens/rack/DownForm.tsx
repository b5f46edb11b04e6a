'use client';
import { useState } from 'react';
import { FRAGMENT_STATES } from '@/core/breakage';
import { endingChoices, ENDINGS, SIGNS } from '@/core/life';
import { namesOf } from '@/core/names';
import { edgesLeftWords } from '@/core/stock';
import type { AssemblyView } from '@/crib/rack';
import { Legend, PickOne } from '@/ui/kit/field';
import { type FieldSpec, VerbForm } from '@/ui/kit/form';
import { Caution } from '@/ui/kit/page';
import { gradeSpecs } from '@/ui/screens/common/gradeSpecs';
import { placeOptions } from '@/ui/screens/common/options';
import { SeatCaution } from '@/ui/screens/common/SeatCaution';
import { seatShape, seatSpecs } from '@/ui/screens/common/seatSpecs';
import { useBarred } from '@/ui/shell';

type Place = { code: string; name: string; kind: string; inUse: boolean };

/** Takes an assembly down in one step: where each thing goes, what became of the cutter, and of a body's inserts. */
export function DownForm({ card, places }: { card: AssemblyView; places: readonly Place[] }) {
  const [ended, setEnded] = useState(false);
  const [someSeats, setSomeSeats] = useState(false);
  const barred = useBarred('gradePiece');
  const held = [...new Map([card.holder, ...card.parts].map((x) => [x.code, x])).values()];
  const options = placeOptions(places);
  const isBody = card.cutter.kind === 'body';
  // Where they are not alike already, how many are broken says nothing.
  const bySeat = someSeats || Boolean(card.inserts?.seats.length);
  const ending: FieldSpec[] = [
    {
      name: 'kind',
      label: 'How it ended',
      kind: 'choice',
      options: endingChoices(card.wear.here !== null)
        .filter((e) => e !== 'lost')
        .map((e) => [e, ENDINGS[e].words] as const),
    },
    {
      name: 'signs',
      label: 'Signs seen',
      kind: 'several',
      options: SIGNS.map((s) => [s, s] as const),
      wide: true,
      optional: true,
    },
    ...(card.ties.length > 1
      ? [
          {
            name: 'at',
            label: 'On which T, where it broke',
            kind: 'choice' as const,
            optional: true,
            options: card.ties.map((t) => [`${t.operation} ${t.t}`, `T${t.t} of ${t.job}`] as const),
          },
        ]
      : []),
    {
      name: 'fragments',
      label: 'Fragments, where it broke',
      kind: 'choice',
      optional: true,
      options: namesOf(FRAGMENT_STATES).map((f) => [f, FRAGMENT_STATES[f]] as const),
    },
    { name: 'recutBy', label: 'Recut by, where they were not found', optional: true, wide: true },
    ...(barred === null && !isBody
      ? gradeSpecs(
          card.grades.map((g) => [g, g] as const),
          false,
        )
          .filter((f) => f.name !== 'signs')
          .map((f) => (f.name === 'grade' ? { ...f, optional: true, label: 'Still good for' } : f))
      : []),
  ];
  const inserts: FieldSpec[] = card.inserts
    ? [
        {
          name: 'inserts',
          label: `Its ${card.inserts.quantity} × ${card.inserts.item}`,
          kind: 'choice',
          optional: true,
          options: [
            ['turned', 'turned to the next edge'],
            ['out', 'come out'],
          ],
          help: `blank: they stay; ${edgesLeftWords(card.inserts)}`,
        },
        ...(bySeat
          ? seatSpecs(card.inserts.numbers)
          : [{ name: 'broken', label: 'Of them broken', kind: 'whole' as const, optional: true }]),
      ]
    : [];
  return (
    <>
      <h2>Take down</h2>
      <Legend>Its life</Legend>
      <PickOne
        label="Its life"
        value={ended ? 'ended' : 'goes on'}
        onChange={(life) => setEnded(life === 'ended')}
        options={[
          ['goes on', 'paused: the cutter is still good'],
          ['ended', 'ended'],
        ]}
      />
      {card.inserts && !card.inserts.seats.length && (
        <>
          <Legend>Its inserts</Legend>
          <PickOne
            label="Its inserts"
            value={someSeats ? 'some' : 'all'}
            onChange={(which) => setSomeSeats(which === 'some')}
            options={[
              ['all', 'all the same'],
              ['some', 'some seats alone'],
            ]}
          />
        </>
      )}
      <VerbForm
        verb="takeDown"
        fixed={{ tag: card.tag }}
        submit="Take down"
        fields={[
          { name: 'cutterTo', label: 'Cutter goes to', kind: 'choice', options },
          ...(ended ? ending : []),
          ...inserts,
          ...held.map((x, i) => ({
            name: `to${i}`,
            label: `${x.code} back to ${x.from}, or to`,
            kind: 'choice' as const,
            optional: true,
            options: options.filter(([code]) => code !== x.from),
          })),
        ]}
        shape={({ kind, signs, at, fragments, recutBy, ...input }) => {
          const rest: Record<string, unknown> = seatShape(input);
          const [operation, t] = String(at ?? '')
            .split(' ')
            .map(Number);
          const elsewhere = held.flatMap((x, i) => {
            const place = rest[`to${i}`];
            delete rest[`to${i}`];
            return place === undefined ? [] : [{ item: x.code, place }];
          });
          return {
            ...rest,
            ...(ended
              ? {
                  ended: {
                    kind,
                    ...(signs === undefined ? {} : { signs }),
                    ...(at === undefined ? {} : { at: { operation, t } }),
                    ...(fragments === undefined ? {} : { fragments }),
                    ...(recutBy === undefined ? {} : { recutBy }),
                  },
                }
              : {}),
            ...(elsewhere.length ? { elsewhere } : {}),
          };
        }}
        said={(d) => `${card.tag} taken down, cutter ${d.piece} to ${d.cutterTo}`}
      />
      {card.inserts && <SeatCaution />}
      <Caution>
        Edges cut even worn: hold it by the shank, with gloves at the bench and none near a spindle that
        turns. Loosen it in the fixture that is made for it.
      </Caution>
    </>
  );
}
