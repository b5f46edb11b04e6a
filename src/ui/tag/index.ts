export { Tag } from './Tag';
