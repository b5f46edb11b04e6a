import { manySavedViews } from '@/data/catalogue';
import type { Connection } from '@/data/database';

/** Questions kept by name; a name's latest address counts, an empty one drops it. */
export const savedViews = (c: Connection) => manySavedViews(c);
