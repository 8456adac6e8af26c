import type { PrintingService } from './printing-service.ts';
import { wrenfair } from './wrenfair.ts';

/** The services that submissions can be sent to from here, by the id of their rules. */
const clients = new Map<string, PrintingService>([['wrenfair', wrenfair]]);

/** Null for a service that takes no submissions from here. */
export const printingService = (id: string): PrintingService | null => clients.get(id) ?? null;
