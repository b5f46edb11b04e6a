// Files that are chosen, dropped, or taken by the camera
export { FileButton } from './FileButton';
export { FileDrop } from './FileDrop';
