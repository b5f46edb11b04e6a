'use client';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import type { ItemLine } from '@/crib/catalogue';
import type { ProblemDocument } from '@/crib/door';
import type { ShopView } from '@/crib/shop';
import { FileButton } from '@/ui/kit/file';
import { type FieldSpec, ProblemNote, useSendOnce, VerbForm } from '@/ui/kit/form';
import { Acts } from '@/ui/kit/page';
import { base64, post, useSurroundings } from '@/ui/shell';
import { gradeSpecs } from '@/ui/screens/common/gradeSpecs';
import { thingInput } from './things';
import { placeOptions } from '@/ui/screens/common/options';

/** Back into the crib: unused again, or graded, with what was seen and a picture of the edge. */
export function TakeBack({
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
  const { say } = useSurroundings();
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
          { name: 'to', label: 'Onto', kind: 'choice', options: placeOptions(shop.places), start: onto },
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
          <Acts style={{ alignItems: 'center' }}>
            <FileButton
              words={picture ? `Picture: ${picture.name}` : 'Picture of a used edge'}
              label="A picture of the edge"
              accept="image/jpeg,image/png,image/webp"
              camera
              onFile={setPicture}
            />
          </Acts>
        )}
      </VerbForm>
      <ProblemNote problem={problem} />
    </>
  );
}
