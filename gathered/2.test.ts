import { gather } from './gather';

gather(2, 4);
