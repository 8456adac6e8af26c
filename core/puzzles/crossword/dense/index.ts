export { DENSE_SIDES, denseSteps } from './dense.ts';
