import { eq, sql as raw } from 'drizzle-orm';
import * as v from 'valibot';
import { type Formats, formatsSchema, USUAL_FORMATS } from '#core/formats.ts';
import { db } from './db/client.ts';
import { workspace } from './db/schema.ts';

/** How a workspace reads lengths and days; the usual forms where it never chose. */
export async function formatsOf(workspaceId: string): Promise<Formats> {
  const [row] = await db()
    .select({ formats: workspace.formats })
    .from(workspace)
    .where(eq(workspace.id, workspaceId));
  const read = v.safeParse(formatsSchema, row?.formats ?? {});
  return read.success ? read.output : USUAL_FORMATS;
}

/** Changes what is given and leaves the rest: two choices made one right after the other are both kept. */
export async function saveFormats(workspaceId: string, change: Partial<Formats>): Promise<void> {
  await db()
    .update(workspace)
    .set({ formats: raw`${workspace.formats} || ${JSON.stringify(change)}::jsonb` })
    .where(eq(workspace.id, workspaceId));
}
