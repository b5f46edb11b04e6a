export {
  chiSquareBeyond,
  chiSquareQuantile,
  gamma,
  logGamma,
  lowerGamma,
  normalQuantile,
  tQuantile,
} from './distributions';
export { holm } from './holm';
export { lineThrough } from './line';
export type { Line } from './line';
export { rootOf } from './root';
