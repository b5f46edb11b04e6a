'use client';
import NextLink from 'next/link';
import type { ComponentPropsWithRef } from 'react';

/**
 * A link whose page is fetched when somebody opens it. By itself Next asks the server for every one that comes into sight: tens
 * on a page, hundreds while a long list is scrolled, each a frame lost here and a question there.
 */
export const Link = (props: ComponentPropsWithRef<typeof NextLink>) => (
  <NextLink prefetch={false} {...props} />
);
