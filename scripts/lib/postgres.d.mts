export function freePort(): Promise<number>;
/** Stops the server of a cluster. @returns how to start it again at the same address */
export function pausePostgres(home: string): Promise<() => Promise<void>>;
/** Removes a cluster made for this folder. */
export function removePostgres(home: string): Promise<void>;
/** Where the cluster of a home lies. */
export function postgresFolder(home: string): string;
