import { gather } from './gather';

gather(4, 4);
