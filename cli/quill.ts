import { parseArgs } from 'node:util';
import { BadCall } from './bad-call.ts';

const USAGE = `quill: books from recipes, without a server

  quill make book.json --out folder   makes interior.pdf, wrap.pdf, front.jpg, listing and one ZIP;
                                      with --anyway also where something must be fixed
  quill check book.json               prints the proof's findings; exit 1 if any must be fixed
  quill describe book.json            prints the job ticket
  quill items book.json               lists every puzzle; with --json also what is in it;
                                      with --as ipuz (line, words, clues, svg, png, pdf …) and --out folder as files
  quill pages book.json --out folder  draws pages as pictures: --png (or --svg), --pages 1-4,9
  quill pack book.json --out book.zip joins a recipe and its resources in one file
  quill unpack book.zip --out folder  parts them again: recipe.json and resources/
  quill clues book.json               prints words of crosswords that have no clue, with the dictionary's
  quill topic "birds of prey"         prints lists of words for a topic
  quill kinds                         lists kinds of page, compositions and services; with --json their options
  quill reference                     prints all that a recipe may name, for people (Markdown)
  quill schema                        prints the recipe's JSON Schema

  Every command that takes book.json takes book.zip as well; resources of a recipe lie in resources/ beside it.

  --json   for programs: one JSON document on standard output
  --help   this page`;

async function run(): Promise<number> {
  let call: ReturnType<typeof parse>;
  try {
    call = parse();
  } catch (error) {
    throw new BadCall(`${(error as Error).message}\n\n${USAGE}`);
  }
  const [command, file, ...more] = call.positionals;
  const {
    json = false,
    out,
    help = false,
    pages: list,
    svg = false,
    png = false,
    anyway = false,
    as,
  } = call.values;
  if (svg && png) throw new BadCall('Pages are written as --png or as --svg, not as both.');
  if (help || command === undefined) {
    console.log(USAGE);
    return help ? 0 : 2;
  }
  if (more.length > 0) throw new BadCall(`“${more[0]}” is one word too many.\n\n${USAGE}`);
  // Each reads what it needs when it is called.
  if (command === 'schema') {
    const { recipeJsonSchema } = await import('#core/book/schema.ts');
    console.log(JSON.stringify(recipeJsonSchema(), null, 2));
    return 0;
  }
  if (command === 'reference') {
    console.log((await import('./reference.ts')).reference());
    return 0;
  }
  if (command === 'kinds') return (await import('./kinds.ts')).kinds(json);
  const commands = {
    make: async () => (await import('./make.ts')).make(file!, { out, anyway, json }),
    check: async () => (await import('./check.ts')).check(file!, json),
    describe: async () => (await import('./describe.ts')).describe(file!, json),
    items: async () => (await import('./items.ts')).items(file!, { json, as, out }),
    pages: async () => (await import('./pages.ts')).pages(file!, { list, out, svg, json }),
    pack: async () => (await import('./pack.ts')).pack(file!, out, json),
    clues: async () => (await import('./clues.ts')).clues(file!, json),
    topic: async () => (await import('./topic.ts')).topic(file!, json),
    unpack: async () => (await import('./pack.ts')).unpack(file!, out, json),
  };
  if (!Object.hasOwn(commands, command)) throw new BadCall(`There is no command “${command}”.\n\n${USAGE}`);
  if (file === undefined)
    throw new BadCall(
      command === 'topic'
        ? 'Name the topic: quill topic "birds"'
        : `Name the recipe: quill ${command} book.json`,
    );
  return commands[command as keyof typeof commands]();
}

const parse = () =>
  parseArgs({
    allowPositionals: true,
    options: {
      out: { type: 'string' },
      as: { type: 'string' },
      pages: { type: 'string' },
      png: { type: 'boolean' },
      svg: { type: 'boolean' },
      anyway: { type: 'boolean' },
      json: { type: 'boolean' },
      help: { type: 'boolean', short: 'h' },
    },
  });

// Whoever reads only the beginning, as `head` does, has what was asked for.
process.stdout.on('error', (error: NodeJS.ErrnoException) => {
  if (error.code !== 'EPIPE') throw error;
  process.exit();
});

run().then(
  (code) => {
    process.exitCode = code;
  },
  (error: unknown) => {
    console.error(error instanceof BadCall ? error.message : error);
    process.exitCode = 2;
  },
);
