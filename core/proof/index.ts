export type { Finding } from './finding.ts';
export { checks, proofBook, proofSteps } from './proof.ts';
