// What a page is made of: its views, what must be seen on it, what unfolds
export { Fold } from './Fold';
export { Acts, Empty, Hand, Head, Lines } from './layout';
export { Caution, Notice } from './Notice';
export { type View, Views } from './Views';
