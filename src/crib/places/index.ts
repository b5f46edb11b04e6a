// What people do
export { addPlace } from './verbs/addPlace';
export { bookCount } from './verbs/bookCount';
export { enterCount } from './verbs/enterCount';
export { startCount } from './verbs/startCount';
// What screens show
export { countView } from './views/countView';
export type { CountView, CountedLine } from './views/countView';
export { placeView } from './views/placeView';
export type { PlaceView } from './views/placeView';
export { awaitedBack, placesView } from './views/placesView';
export type { PlacesView } from './views/placesView';
// What can be reckoned
export { PLACES_COMPUTATIONS } from './computations';
