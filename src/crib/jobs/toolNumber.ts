import { field } from '@/crib/door';

export const t = field.whole(0, 9999);
