import { and, asc, count, eq } from 'drizzle-orm';
import type { DesignFile, SavedDesign } from '#core/pages/composed/saved.ts';
import { db } from './db/client.ts';
import { pageDesign } from './db/schema.ts';
import { newId } from './ids.ts';

/** More than anybody finds again in a list. */
const MOST_DESIGNS = 500;

/** The designs of pages that a workspace keeps, by name. */
export const listDesigns = (workspaceId: string): Promise<SavedDesign[]> =>
  db()
    .select({ id: pageDesign.id, name: pageDesign.name, look: pageDesign.look, design: pageDesign.design })
    .from(pageDesign)
    .where(eq(pageDesign.workspaceId, workspaceId))
    .orderBy(asc(pageDesign.name));

/** Keeps a design under its name, in place of one that had it. @returns why not, or null */
export async function saveDesign(workspaceId: string, { look, design }: DesignFile): Promise<string | null> {
  const { name } = design;
  const changed = await db()
    .update(pageDesign)
    .set({ look, design })
    .where(and(eq(pageDesign.workspaceId, workspaceId), eq(pageDesign.name, name)))
    .returning({ id: pageDesign.id });
  if (changed.length) return null;
  const [kept] = await db()
    .select({ designs: count() })
    .from(pageDesign)
    .where(eq(pageDesign.workspaceId, workspaceId));
  if (kept!.designs >= MOST_DESIGNS) return `You keep ${MOST_DESIGNS} designs already. Remove one first.`;
  await db()
    .insert(pageDesign)
    .values({ id: newId(), workspaceId, name, look, design })
    .onConflictDoUpdate({ target: [pageDesign.workspaceId, pageDesign.name], set: { look, design } });
  return null;
}

/** Takes a design out of what a workspace keeps. Books that use it have it in themselves. */
export async function removeDesign(workspaceId: string, id: string): Promise<void> {
  await db()
    .delete(pageDesign)
    .where(and(eq(pageDesign.workspaceId, workspaceId), eq(pageDesign.id, id)));
}
