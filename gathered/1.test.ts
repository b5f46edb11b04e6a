import { gather } from './gather';

gather(1, 4);
