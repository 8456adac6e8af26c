import { formatsChangeSchema } from '#core/formats.ts';
import { saveFormats } from '#server/formats.ts';
import { formFrom, requireVisitor } from '../visitor.server.ts';
import type { Route } from './+types/preferences.ts';

/** Keeps how the workspace reads lengths and days. */
export async function action({ request }: Route.ActionArgs) {
  const { workspaceId } = await requireVisitor(request);
  const read = await formFrom(request, formatsChangeSchema);
  if (!read.success) throw new Response(read.issues[0].message, { status: 400 });
  await saveFormats(workspaceId, read.output);
  return null;
}
