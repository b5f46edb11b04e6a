import { inserts } from '@/data/database';

export const insertHandOver = inserts<{ words: string | null }>('hand_over');
export const insertHandOverTaken = inserts<{ handOverId: number }>('hand_over_taken');
