export { Link } from './Link';
