import { printService } from './service.ts';

/** What a book keeps once it is live: a service, and everybody who links to the book, knows it by these. */
export interface LiveBook {
  service: string;
  title: string;
  penName: string;
}

/**
 * Why the title or the pen name of a live book cannot be what they are now; null where they are as they were. Common
 * practice, no source: services take another title or author for another book.
 */
export function frozenChange(live: LiveBook, now: Pick<LiveBook, 'title' | 'penName'>): string | null {
  const { name } = printService(live.service);
  if (now.title !== live.title) return `Live at ${name} as “${live.title}”: the title of a live book stays.`;
  if (now.penName !== live.penName)
    return `Live at ${name} by ${live.penName}: the pen name of a live book stays.`;
  return null;
}
