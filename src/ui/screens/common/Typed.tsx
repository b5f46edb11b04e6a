'use client';
import { type ComponentPropsWithRef, useId } from 'react';
import { Entry, Field } from '@/ui/kit/field';

/** A field with its label, for what signs in: the browser may keep it where its kind says so. */
export function Typed({ label, ...props }: { label: string } & ComponentPropsWithRef<'input'>) {
  const id = useId();
  return (
    <Field>
      <label htmlFor={id}>{label}</label>
      <Entry id={id} style={{ width: '100%' }} {...props} />
    </Field>
  );
}
