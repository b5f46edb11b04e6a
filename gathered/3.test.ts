import { gather } from './gather';

gather(3, 4);
