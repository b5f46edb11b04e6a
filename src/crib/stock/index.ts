// Stock: verbs
export { addMaterial } from './addMaterial';
export { addPlace } from './addPlace';
export { gradePiece } from './gradePiece';
export { placeInCrib } from './placeInCrib';
export { foundStock, receiveStock } from './receiveStock';
// The crib's shelves as lists
export { itemsView } from './itemsView';
export type { ItemLine, ItemsView } from './itemsView';
