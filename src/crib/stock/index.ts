// Stock: verbs
export { addMaterial } from './addMaterial';
export { addPlace } from './addPlace';
export { gradePiece } from './gradePiece';
export { placeInCrib } from './placeInCrib';
export { foundStock, receiveStock } from './receiveStock';
export { ladderInForce, setLadder } from './ladder';
export { issueStock, returnStock } from './lendStock';
export { loseStock, moveStock, scrapStock } from './moveStock';
export { bookCount, enterCount, startCount } from './countSheet';
export { sendToRegrind, takeFromRegrind } from './regrind';
export { mountInserts, unmountInserts } from './inserts';
export { stateSeat } from './seats';
export { consignedView, settleTakings } from './settle';
export type { ConsignedView, Taken, TakenLine } from './settle';
export { addPicture, keptPicture } from './pictures';
export { maybePicture } from '@/data/stock';
export type { PictureLine } from '@/data/stock';
export { savedViews, saveView } from './saveView';
export type { SavedView } from '@/data/stock';
// What moved, what lies where, who has what, count sheets
export { movementsView } from './movementsView';
export type { MovementsAsked, MovementsView } from './movementsView';
export { awaitedBack, countView, placesView, placeView } from './placesView';
export type { CountedLine, CountView, PlaceLine, PlacesView, PlaceView } from './placesView';
// All that lies somewhere, in pages
export { allStock, stockQuestion, stockView } from './stockView';
export type { StockAsked, StockLine, StockView } from './stockView';
// The catalogue in pages, one item whole, what can be taken for a build
export { catalogueQuestion, catalogueView, PAGE_LINES } from './catalogueView';
export type { CatalogueAsked, CatalogueLine, CatalogueView } from './catalogueView';
export { itemView } from './itemsView';
export type { ItemLine, OneItemView } from './itemsView';
export { takeableView } from './takeable';
export type { TakeableView, TakeSource } from './takeable';
