import { inserts } from '@/data/database';
import type { WorkWord } from './types';

export const insertWorkWord = inserts<{
  line: string;
  word: WorkWord;
  until: string | null;
  person: string | null;
  reason: string | null;
}>('work_word');
