export { shopView } from './shopView';
export type { ShopView } from './shopView';
