import { and, eq, sql as raw } from 'drizzle-orm';
import { RECIPE_VERSION, type Recipe, readRecipe } from '#core/book/recipe.ts';
import { writeWords } from '#core/resources/index.ts';
import { sumUpBooks } from './book-summary.ts';
import { db, sql } from './db/client.ts';
import { book, bookRevision, submission } from './db/schema.ts';
import { judgeUnjudged } from './niches/looks.ts';
import { keepContents, keepResource } from './resources/resources.ts';

/** Recipes looked at at a time. */
const BATCH = 100;

/** Brings what earlier programs stored to the form of this one. May be broken off and begun again. */
export async function bringUp(): Promise<void> {
  await moveWordBanks();
  await bringUpRecipes(book, ['id']);
  await bringUpRecipes(bookRevision, ['bookId', 'revision']);
  await bringUpRecipes(submission, ['id']);
  await sumUpBooks();
  await judgeUnjudged();
}

/** Word banks were rows; their words go to the file store. */
async function moveWordBanks(): Promise<void> {
  const [there] = await sql()<
    { name: string | null }[]
  >`select to_regclass('earlier_word_bank')::text as name`;
  if (!there?.name) return;
  const banks = await sql()<{ workspace_id: string; name: string; words: string[] }[]>`
    select workspace_id, name, words from earlier_word_bank`;
  for (const { workspace_id, name, words } of banks)
    if (words.length) await keepResource(workspace_id, { type: 'words', name }, [writeWords(words)]);
  await sql()`drop table earlier_word_bank`;
}

type Stored = typeof book | typeof bookRevision | typeof submission;

/** Stores older recipes in the newest version, and apart from them what they held inside. One that cannot be read stays. */
async function bringUpRecipes(table: Stored, keys: readonly string[]): Promise<void> {
  const version = raw<number>`coalesce((${table.recipe}->>'quill')::int, 0)`;
  const columns = keys.map((key) => (table as unknown as Record<string, typeof book.id>)[key]!);
  for (let offset = 0; ; ) {
    const rows = await db()
      .select({
        workspaceId: table.workspaceId,
        recipe: table.recipe,
        key: raw<string[]>`jsonb_build_array(${raw.join(columns, raw`, `)})`,
      })
      .from(table)
      .where(raw`jsonb_typeof(${table.recipe}->'quill') = 'number' and ${version} < ${RECIPE_VERSION}`)
      .orderBy(...columns)
      .limit(BATCH)
      .offset(offset);
    for (const { workspaceId, recipe, key } of rows) {
      const read = readRecipe(recipe);
      if (read.problems) {
        offset++;
        continue;
      }
      await keepContents(workspaceId, read.recipe, read.contents);
      await db()
        .update(table)
        .set({ recipe: read.recipe as Recipe })
        .where(and(...columns.map((column, i) => eq(column, key[i]!))));
    }
    if (rows.length < BATCH) return;
  }
}
