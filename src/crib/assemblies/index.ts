// Builds: verbs
export { build, buildAssembly, cutterSourceSchema } from './buildAssembly';
export type { CutterSource } from './buildAssembly';
export { resetStickout } from './resetStickout';
export { dismantle, standing, takeDown } from './takeDown';
