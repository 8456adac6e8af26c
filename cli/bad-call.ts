/** The caller's mistake: shown as it is, without a stack. */
export class BadCall extends Error {}
