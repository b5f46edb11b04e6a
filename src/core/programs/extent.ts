/** From the least to the greatest, mm. */
export interface Extent {
  least: number;
  most: number;
}
